import { entryAt } from '../core/util/entryAt.ts';
import { writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { stringify } from 'yaml';
import { makeLanguageContext } from '../core/library/languageContext.ts';
import { isAsking } from '../core/knowledge/careTopics.ts';
import { WORD_MODEL_FILE } from '../core/knowledge/read.ts';
import type { FindingId } from '../core/schema/common.ts';
import type { WordModelText } from '../core/schema/wordModel.ts';
import { scoreText, stemmedTokens } from '../core/language/extract.ts';
import { relationsOf } from '../core/language/chosen.ts';
import { FEATURE_NAMES, type ScoredReading } from '../core/language/readings.ts';
import { RIVALRY_NAMES, rivalriesOf } from '../core/language/competingReadings.ts';
import { stemSet } from '../core/language/stem.ts';
import { compileWordModel, tfIdfVector } from '../core/language/wordModel.ts';
import { seeded } from '../core/util/random.ts';
import { compileLibrary } from '../core/library/compile.ts';
import { readCheckedLibrary } from '../server/knowledge/loadLibrary.ts';
import { CORPUS, labelledSentences, paraphrases } from './corpus.ts';
import type { LabelledSentence } from './labelledSentences.ts';
import { heldOutScores, writeManifest } from './modelManifest.ts';
import { fitLogistic, fitNamed, sparseRows } from './logistic.ts';

/**
 * Learns what words tell of findings, and what makes a reading of a phrase right, from labelled sentences, and writes
 * models/hearing.yaml. What is held back is never read. See docs/language.md.
 */
/** How little the weights are held down; chosen among 5, 20, 40 and 80 by what was heard of sentences left out. */
const LOOSE = 10;
const READINGS_LOOSE = 1;
const FOLDS = 5;
const SEED = 20260613;
/** Smaller weights are left out, in log-odds for a word that stands alone. */
const MIN_WEIGHT = 0.5;
/** Findings told of more rarely are not learned. */
const MIN_EXAMPLES = 3;
/** Small words tell nothing. */
const SMALL = stemSet(
  'the a an of to is are and it i my on in that with have has was be this they at for',
);

const read = readCheckedLibrary(resolve('knowledge'));
if (!read.ok) throw new Error('run npm run check:knowledge');
const library = compileLibrary({ ...read.value, wordModel: null });
const languageContext = makeLanguageContext(library);

interface Example {
  readonly stems: readonly string[];
  readonly about: ReadonlySet<FindingId>;
  /** How much it counts. */
  readonly count: number;
}

/** A whole sentence of an enquirer counts more than words put together for one finding. */
const SENTENCE_COUNT = 3;

const stemsOf = (text: string): readonly string[] =>
  stemmedTokens(text)
    .map(({ stem }) => stem)
    .filter((stem) => !SMALL.has(stem));

const example = (text: string, about: readonly FindingId[], count = 1): Example => ({
  stems: stemsOf(text),
  about: new Set(about.flatMap(library.implied)),
  count,
});

/** A denied finding is spoken of as well; its sign is read from the words of denial. */
const exampleOf = (
  { say, yes, no, also, alsoNot }: LabelledSentence,
  count = SENTENCE_COUNT,
): Example => example(say, [...yes, ...also, ...no, ...alsoNot], count);

function libraryExamples(): readonly Example[] {
  return [...library.findings.values()]
    .filter(({ id }) => !isAsking(id))
    .flatMap(({ id, label, question }) => [label, question].map((text) => example(text, [id])));
}

function turnExamples(): readonly Example[] {
  return CORPUS.paraphrases.flatMap((name) =>
    paraphrases(name).flatMap(([id, said]) => said.map((text) => example(text, [id]))),
  );
}

/** How rare each stem is among examples: ln of all by those with it, plus 1. */
function rarities(examples: readonly Example[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { stems } of examples)
    for (const one of new Set(stems.flatMap(library.synonyms)))
      counts.set(one, (counts.get(one) ?? 0) + 1);
  return new Map(
    [...counts].map(([one, count]) => [one, 1 + Math.log((1 + examples.length) / (1 + count))]),
  );
}

const hundredths = (value: number): number => Math.round(100 * value);

type Words = Pick<WordModelText, 'words' | 'findings'>;

/** Learns the weights of words. */
function learnWords(examples: readonly Example[]): Words {
  const rarity = rarities(examples);
  const words = [...rarity.keys()].sort();
  const columnOf = new Map(words.map((word, i) => [word, i]));
  const rows = sparseRows(
    examples.map(({ stems }) =>
      [...tfIdfVector(stems, library.synonyms, (one) => rarity.get(one))].map(
        ([word, share]) => [columnOf.get(word) ?? 0, share] as const,
      ),
    ),
    words.length,
    examples.map(({ count }) => count),
  );
  const bias: [FindingId, number][] = [];
  const lines = words.map((word) => [hundredths(rarity.get(word) ?? 0)]);
  const last = words.map(() => 0);
  for (const { id } of library.findings.values()) {
    const labels = Uint8Array.from(examples, ({ about }) => (about.has(id) ? 1 : 0));
    if (labels.reduce((sum, one) => sum + one, 0) < MIN_EXAMPLES) continue;
    const weights = fitLogistic(rows, labels, LOOSE);
    const number = bias.length;
    bias.push([id, hundredths(weights[words.length] ?? 0)]);
    lines.forEach((line, i) => {
      const weight = weights[i] ?? 0;
      if (Math.abs(weight) < MIN_WEIGHT) return;
      line.push(number - entryAt(last, i), hundredths(weight));
      last[i] = number;
    });
  }
  return {
    findings: Object.fromEntries(bias),
    words: Object.fromEntries(words.map((word, i) => [word, entryAt(lines, i).join(' ')])),
  };
}

/** Pairs told in fewer sentences may be chance. */
const MIN_TOGETHER = 2;

/** Findings that are reported in one sentence, of the two the one that comes later in the alphabet under the other. */
function learnTogether(sentences: readonly LabelledSentence[]): WordModelText['together'] {
  const times = new Map<FindingId, Map<FindingId, number>>();
  for (const { yes, also } of sentences) {
    const told = [...new Set([...yes, ...also].flatMap(library.implied))].sort();
    told.forEach((first, i) => {
      const others = times.get(first) ?? new Map<FindingId, number>();
      times.set(first, others);
      for (const other of told.slice(i + 1)) others.set(other, (others.get(other) ?? 0) + 1);
    });
  }
  const pairs = [...times].flatMap(([first, others]): [FindingId, string][] => {
    const often = [...others].flatMap(([id, count]) => (count < MIN_TOGETHER ? [] : id));
    return often.length === 0 ? [] : [[first, often.sort().join(' ')]];
  });
  return Object.fromEntries(pairs.sort(([a], [b]) => a.localeCompare(b)));
}

/** A reading and whether the labels of its sentence bear it out. */
interface Judged {
  readonly reading: ScoredReading;
  readonly traits: readonly number[];
  readonly right: boolean;
}

/** Reads a sentence with words that were learned without it. */
function judgedReadings(words: Words): (sentence: LabelledSentence) => readonly Judged[] {
  const text = { ...words, readings: {}, rivals: {}, together: {} };
  const model = compileWordModel(text, library.synonyms);
  return ({ say, yes, also, no, alsoNot }) => {
    const there = new Set([...yes, ...also].flatMap(library.implied));
    const ruledOut = new Set([...no, ...alsoNot]);
    return scoreText(languageContext, model, say).map((reading) => ({
      reading,
      traits: reading.features(),
      right: reading.value
        ? there.has(reading.finding)
        : library.implied(reading.finding).some((general) => ruledOut.has(general)),
    }));
  };
}

/** Log-odds of a reading by the weights of its traits. */
const oddsBy = (weights: Record<string, number>, traits: readonly number[]): number =>
  FEATURE_NAMES.reduce(
    (sum, name, i) => sum + (weights[name] ?? 0) * entryAt(traits, i),
    weights.always ?? 0,
  );

// Words are learned from these, but not how far phrases can be trusted.
const mended = CORPUS.corrected.flatMap(labelledSentences);
const given = [
  ...libraryExamples(),
  ...turnExamples(),
  ...mended.map((one) => exampleOf(one)),
  // Not all of their labels are right, so that they count less.
  ...labelledSentences(CORPUS.machineLabelled).map((one) => exampleOf(one, 1)),
];
const plain = labelledSentences(CORPUS.uncorrected);
const random = seeded(SEED);
const folds = plain.map(() => Math.floor(FOLDS * random()));

/** The sentences of a fold, and what is known without them. */
function readFold(fold: number) {
  const known = plain.filter((_, i) => folds[i] !== fold);
  console.log(`fold ${fold + 1} of ${FOLDS}: ${given.length + known.length} examples`);
  const judge = judgedReadings(learnWords([...given, ...known.map((one) => exampleOf(one))]));
  const { reportedTogether } = compileWordModel(
    {
      words: {},
      findings: {},
      readings: {},
      rivals: {},
      together: learnTogether([...mended, ...known]),
    },
    library.synonyms,
  );
  const sentences = plain.filter((_, i) => folds[i] === fold).map(judge);
  return { sentences, relations: relationsOf(library.implied, reportedTogether) };
}

const byFold = Array.from({ length: FOLDS }, (_, fold) => readFold(fold));
const judged = byFold.flatMap(({ sentences }) => sentences.flat());
const readings = fitNamed(
  FEATURE_NAMES,
  judged.map(({ traits, right }) => ({ values: traits, right })),
  READINGS_LOOSE,
);
/** Each reading with its rivals, which are of the same sentence. */
const contested = byFold.flatMap(({ sentences, relations }) =>
  sentences.flatMap((sentence) => {
    const odds = sentence.map(({ traits }) => oddsBy(readings, traits));
    const contenders = sentence.map(({ reading }, i) => ({
      ...reading,
      odds: odds[i] ?? reading.logOdds,
    }));
    return rivalriesOf(contenders, relations).map((rivalry, i) => ({
      values: RIVALRY_NAMES.map((name) => rivalry[name]),
      right: sentence[i]?.right ?? false,
    }));
  }),
);
const text: WordModelText = {
  readings,
  rivals: fitNamed(RIVALRY_NAMES, contested, READINGS_LOOSE),
  together: learnTogether([...mended, ...plain]),
  ...learnWords([...given, ...plain.map((one) => exampleOf(one))]),
};
writeFileSync(
  resolve(WORD_MODEL_FILE),
  `# Written by npm run learn from corpus/train; not to be edited by hand.\n${stringify(text, { lineWidth: 0 })}`,
);
writeManifest({
  sentences: mended.length + plain.length,
  readings: judged.length,
  findings: Object.keys(text.findings).length,
  heldOut: heldOutScores(compileLibrary({ ...read.value, wordModel: text })),
});
console.log(`${judged.length} readings, ${Object.keys(text.findings).length} findings`);
