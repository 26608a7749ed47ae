import { z } from 'zod';
import type { Compiled } from '../core/library/compile.ts';
import { isAsking } from '../core/knowledge/careTopics.ts';
import { findingIdSchema, plantIdSchema, type FindingId } from '../core/schema/common.ts';
import {
  extract,
  type LanguageContext,
  type Extracted,
  type ExtractedFinding,
} from '../core/language/extract.ts';

/** A sentence of an enquirer with what it says. */
export const labelledSentenceSchema = z.strictObject({
  say: z.string(),
  /** The plant that is asked about; null where none is named. */
  plant: plantIdSchema.nullable(),
  /** Findings that it reports as there. */
  yes: z.array(findingIdSchema).default([]),
  /** Findings that it reports as not there. */
  no: z.array(findingIdSchema).default([]),
  /** Findings that are true of it as well, right when heard and not missed when not. */
  also: z.array(findingIdSchema).default([]),
  /** Findings that it rules out as well. */
  alsoNot: z.array(findingIdSchema).default([]),
});
export type LabelledSentence = z.infer<typeof labelledSentenceSchema>;

/** How a sentence was understood. */
export interface SentenceMarks {
  readonly plantOk: boolean;
  readonly plant: string;
  /** Heard, and labelled or implied by a label. */
  readonly right: readonly ExtractedFinding[];
  readonly wrong: readonly ExtractedFinding[];
  readonly missed: readonly FindingId[];
  readonly found: readonly FindingId[];
  /** Of findings both labelled and heard: with the right and the wrong sign. */
  readonly signOk: number;
  readonly signWrong: number;
}

/** What is called just a plant names none. */
const ANY_PLANT: string = 'plant';

/** The plant itself or a kind of it. */
function plantFits(library: Compiled, heard: Extracted, label: LabelledSentence['plant']): boolean {
  const [first] = heard.plants;
  if (label === null) return !first || first.plant === ANY_PLANT;
  return first !== undefined && library.taxonomy.lineage(first.plant).includes(label);
}

/** Marks what was heard. A general finding is right where a special one is labelled; a denied special one where the general is. */
export function judgeSentence(
  library: Compiled,
  languageContext: LanguageContext,
  sentence: LabelledSentence,
): SentenceMarks {
  const heard = extract(languageContext, sentence.say);
  const findings = heard.findings.filter(({ finding }) => !isAsking(finding));
  const ruledOut = [...sentence.no, ...sentence.alsoNot];
  const isRight = ({ finding, value }: ExtractedFinding): boolean =>
    value
      ? [...sentence.yes, ...sentence.also].some((one) => library.implied(one).includes(finding))
      : library.implied(finding).some((general) => ruledOut.includes(general));
  const isFound = (label: FindingId, value: boolean): boolean =>
    findings.some(
      (one) =>
        one.value === value &&
        (one.finding === label || (value && library.implied(one.finding).includes(label))),
    );
  const labels = [
    ...sentence.yes.map((id) => [id, true] as const),
    ...sentence.no.map((id) => [id, false] as const),
  ];
  const signs = labels.flatMap(([label, value]) => {
    const same = findings.find(({ finding }) => finding === label);
    return same ? [same.value === value] : [];
  });
  return {
    plantOk: plantFits(library, heard, sentence.plant),
    plant: heard.plants[0]?.plant ?? '-',
    right: findings.filter(isRight),
    wrong: findings.filter((one) => !isRight(one)),
    found: labels.filter(([id, value]) => isFound(id, value)).map(([id]) => id),
    missed: labels.filter(([id, value]) => !isFound(id, value)).map(([id]) => id),
    signOk: signs.filter(Boolean).length,
    signWrong: signs.filter((ok) => !ok).length,
  };
}

/** Sums of marks as shares, 0 to 1. */
export interface LanguageScores {
  readonly sentences: number;
  readonly plants: number;
  readonly precision: number;
  readonly recall: number;
  readonly sign: number;
}

/** Scores of a set of marks; a share of nothing is 1. */
export function scoreSentences(marks: readonly SentenceMarks[]): LanguageScores {
  const sum = (count: (one: SentenceMarks) => number): number =>
    marks.reduce((total, one) => total + count(one), 0);
  const share = (good: number, bad: number): number => (good + bad === 0 ? 1 : good / (good + bad));
  return {
    sentences: marks.length,
    plants: share(
      sum(({ plantOk }) => Number(plantOk)),
      sum(({ plantOk }) => Number(!plantOk)),
    ),
    precision: share(
      sum(({ right }) => right.length),
      sum(({ wrong }) => wrong.length),
    ),
    recall: share(
      sum(({ found }) => found.length),
      sum(({ missed }) => missed.length),
    ),
    sign: share(
      sum(({ signOk }) => signOk),
      sum(({ signWrong }) => signWrong),
    ),
  };
}
