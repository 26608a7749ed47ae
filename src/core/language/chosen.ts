import { entryAt } from '../util/entryAt.ts';
import type { FindingId } from '../schema/common.ts';
import { DOUBTFUL, isQuestionOfCare, type Candidate } from './candidates.ts';
import { relatedBy } from './spanConflicts.ts';
import { scoreReadings, type ScoredReading, type ReadingContext } from './readings.ts';
import { probabilitiesOf, FAINT, type FindingRelations } from './competingReadings.ts';
import type { Span } from './tokens.ts';
import type { SentenceScores, WordModel } from './wordModel.ts';

/** A reading that is to be heard. */
export interface Chosen {
  readonly finding: FindingId;
  readonly value: boolean;
  readonly sure: number;
  readonly span: Span;
  readonly group: string | undefined;
  /** The greater, the more it says: words of a phrase, or the chance that it is right. */
  readonly strength: number;
}

/** What a phrase says, as it is heard where nothing was learned. */
export const asExtracted = ({
  finding,
  value,
  sure,
  span,
  group,
  positions,
}: Candidate): Chosen => ({
  finding,
  value,
  sure,
  span,
  group,
  strength: positions.length,
});

/** Readings that are less likely are left as text. Judgement, by the totals of held sentences: what was misheard misleads, and what was not heard is asked for. */
const MIN_CHANCE = 0.6;
/** Of a kind of what a phrase reports in general, words alone must give more evidence: "holes" are not yet holes of one kind. */
const MIN_SPECIAL = 0.8;
/** Who says a thing plainly may still have been misread. */
const MAX_SURE = 0.95;

/** What is needed to judge the readings of a text. */
export interface ToJudge extends Omit<ReadingContext, 'reports' | 'denies'> {
  readonly model: WordModel;
  readonly groupOf: (id: FindingId) => string | undefined;
  readonly implied: (id: FindingId) => readonly FindingId[];
  readonly sentences: ReadonlyMap<number, SentenceScores>;
  readonly candidates: readonly Candidate[];
  readonly assertion: {
    readonly reports: (span: Span) => boolean;
    readonly denies: (span: Span) => boolean;
    readonly doubts: (span: Span) => boolean;
    readonly speculates: (span: Span) => boolean;
  };
}

/** Questions of care, and what nothing was learned of yet, are heard as their phrases say. */
const byPhraseAlone = ({ numberOf }: WordModel): ((one: Candidate) => boolean) => {
  return ({ target }) => isQuestionOfCare(target) || !numberOf.has(target.id);
};

/**
 * The readings with log-odds of at least `leastOdds` (natural logarithm; a probability of 0.5 is 0), except those of
 * phrases alone.
 */
export function describedOf(all: ToJudge, leastOdds: number): readonly ScoredReading[] {
  const alone = byPhraseAlone(all.model);
  const phrased = all.candidates.filter((one) => !alone(one));
  const readingContext = { ...all, ...all.assertion };
  return scoreReadings(all.model, all.sentences, phrased, readingContext, leastOdds);
}

/** What the library and the labelled sentences say of two findings. */
export const relationsOf = (
  implied: ToJudge['implied'],
  reportedTogether: FindingRelations['reportedTogether'],
): FindingRelations => ({ related: relatedBy(implied), reportedTogether });

/** Readings below {@link MIN_CHANCE} down to this are worth asking back: "the lawn has gone pinky" may be pink threads. */
const MIN_HALF_HEARD = 0.12;

/** Readings of a text by whether they are heard. */
export interface JudgedReadings {
  /** Probably right, each with its probability as its sureness, 0 to 1. */
  readonly likely: readonly Chosen[];
  /** Affirmed, and not likely enough to be heard, with the probability that they are right. */
  readonly halfHeard: readonly Chosen[];
}

/** Judges the readings of a text, each by the probability that it is right. */
export function judgeReadings(all: ToJudge): JudgedReadings {
  const { model, kept, assertion, implied } = all;
  const described = describedOf(all, FAINT);
  const relations = relationsOf(implied, model.reportedTogether);
  const chances = probabilitiesOf(described, relations, model.rivals);
  const isLikely = (i: number): boolean => entryAt(chances, i) >= MIN_CHANCE;
  const phrased = new Set<FindingId>();
  described.forEach(({ candidate, finding }, i) => {
    if (candidate && isLikely(i)) phrased.add(finding);
  });
  const halfHeard: Chosen[] = [];
  const chosen = [...kept].filter(byPhraseAlone(model)).map(asExtracted);
  described.forEach(({ finding, value, candidate, span }, i) => {
    const strength = entryAt(chances, i);
    const group = all.groupOf(finding);
    if (!isLikely(i)) {
      if (value && strength >= MIN_HALF_HEARD)
        halfHeard.push({ finding, value, sure: strength, span, group, strength });
      return;
    }
    const isImplied = implied(finding).some((one) => one !== finding && phrased.has(one));
    if (candidate === null && isImplied && strength < MIN_SPECIAL) return;
    const doubted = candidate ? candidate.doubted : assertion.doubts(span);
    const sure = Math.min(MAX_SURE, doubted ? DOUBTFUL : strength);
    chosen.push({ finding, value, sure, span, group, strength });
  });
  return { likely: chosen, halfHeard };
}

/** What says more counts; what was affirmed says more than what was denied elsewhere. */
function stronger(a: Chosen, b: Chosen): Chosen {
  if (a.value !== b.value) return a.value ? a : b;
  if (a.sure !== b.sure) return a.sure > b.sure ? a : b;
  return b.strength > a.strength ? b : a;
}

/**
 * One reading for each finding, and one for each exclusive group: that of highest probability, the earlier one of
 * equals.
 */
export function resolveExclusiveGroups(chosen: readonly Chosen[]): readonly Chosen[] {
  const best = new Map<FindingId, Chosen>();
  for (const one of chosen) {
    const known = best.get(one.finding);
    best.set(one.finding, known ? stronger(known, one) : one);
  }
  const held = new Map<string, Chosen>();
  for (const one of best.values()) {
    if (one.group === undefined || !one.value) continue;
    const known = held.get(one.group);
    if (!known || one.strength > known.strength) held.set(one.group, one);
  }
  return [...best.values()].filter(
    (one) => one.group === undefined || !one.value || held.get(one.group)?.finding === one.finding,
  );
}
