import { addAt, indexAt, numberAt } from '../util/entryAt.ts';
import type { Cause } from '../schema/cause.ts';
import type { CauseId, FindingId } from '../schema/common.ts';
import type { Finding } from '../schema/finding.ts';
import type { Treatment } from '../schema/treatment.ts';
import type { WordClasses } from './phrase.ts';
import { stem, stemSet } from './stem.ts';
import { wordsIn, type Token } from './tokens.ts';

/** Words that say nothing about a trouble. */
const EMPTY = stemSet(
  'a an the and or but of in on at to for from with without by as is are was were be been it its they them their this that these those there here i me my we our you your he she his her do does did have has had will would can could should may might not no so too very just some any all each one two three then than when what which who how why where if about into out over under up down off again also only more most much many few plant tree leaf grow get look see know think thing year week day month time now garden',
);

/** The documents that use a word, by number, and its tf-idf weight in each, in nats. */
export interface Uses {
  readonly documents: Int32Array;
  readonly nats: Float64Array;
}

/** The words of all causes' own descriptions. */
export interface Descriptions {
  readonly senses: (stem: string) => readonly string[];
  readonly uses: ReadonlyMap<string, Uses>;
  /** Number of each cause in the columns above. */
  readonly number: ReadonlyMap<CauseId, number>;
}

/** What a description is made of. */
export interface DescribedLibrary {
  readonly causes: readonly Cause[];
  readonly findings: ReadonlyMap<FindingId, Finding>;
  readonly treatments: ReadonlyMap<string, Treatment>;
  readonly strengths: ReadonlyMap<CauseId, ReadonlyMap<FindingId, number>>;
  readonly classes: WordClasses;
}

/** A word and the classes it stands in: "gray" is also any whitish colour. */
export function sensesOf(classes: WordClasses): Descriptions['senses'] {
  const byStem = new Map<string, string[]>();
  for (const [name, stems] of classes)
    for (const stem of stems) byStem.set(stem, [...(byStem.get(stem) ?? []), `@${name}`]);
  return (stem) => [stem, ...(byStem.get(stem) ?? [])];
}

/** Findings seldomer than this do not belong to a description. */
const MIN_STRENGTH = 0.3;
/** Weight of words about what follows, beside those that describe the trouble itself. */
const AFTERTHOUGHT = 0.5;

/** Numbers of the senses of a text's telling words, each once. */
type Reader = (text: string) => readonly number[];

/** Reads texts and numbers the senses in the order in which they are met; each word is looked up once. */
function readerOf(senses: Descriptions['senses'], numbers: Map<string, number>): Reader {
  const numberOf = (sense: string): number => {
    const known = numbers.get(sense);
    if (known !== undefined) return known;
    numbers.set(sense, numbers.size);
    return numbers.size - 1;
  };
  const byWord = new Map<string, readonly number[]>();
  const numbersOf = (word: string): readonly number[] => {
    const known = byWord.get(word);
    if (known) return known;
    const root = stem(word);
    const own = EMPTY.has(root) ? [] : senses(root).map(numberOf);
    byWord.set(word, own);
    return own;
  };
  return (text) => {
    const found = new Set<number>();
    for (const word of wordsIn(text)) for (const sense of numbersOf(word)) found.add(sense);
    return [...found];
  };
}

/** The senses that describe a cause, each with its weight; one may stand several times. */
function sensesFor(
  cause: Cause,
  { strengths, treatments }: DescribedLibrary,
  read: Reader,
  ofFinding: (id: FindingId) => readonly number[],
): readonly (readonly [readonly number[], number])[] {
  const shown = [...(strengths.get(cause.id) ?? [])].flatMap(([id, strength]) =>
    strength < MIN_STRENGTH ? [] : [[ofFinding(id), strength] as const],
  );
  const care = cause.category === 'care' ? cause.treatments : [];
  return [
    [read([cause.name, ...cause.aliases, cause.say].join(' ')), 1],
    ...care.map(({ use }) => [read(treatments.get(use)?.text ?? ''), AFTERTHOUGHT] as const),
    ...shown,
  ];
}

/** The words of phrases, without those that must not be there, counts and classes. */
function wordsOf(phrases: readonly string[]): string {
  return phrases.join(' ').replace(/(^|\s)[-~>]\S*|@[a-z-]+|\|/g, ' ');
}

interface Users {
  readonly causes: number[];
  readonly weights: number[];
}

const NOBODY: Users = { causes: [], weights: [] };

/** For each sense the causes that use it, each with its greatest weight. */
function usersOf(
  texts: readonly (readonly (readonly [readonly number[], number])[])[],
  senses: number,
): readonly Users[] {
  const users = Array.from({ length: senses }, (): Users => ({ causes: [], weights: [] }));
  // One column for all causes: a map for each took a third of the time of compiling the library.
  const own = new Float64Array(senses);
  texts.forEach((lists, cause) => {
    const met: number[] = [];
    for (const [list, weight] of lists)
      for (const sense of list) {
        if (own[sense] === 0) met.push(sense);
        own[sense] = Math.max(numberAt(own, sense), weight);
      }
    for (const sense of met) {
      users[sense]?.causes.push(cause);
      users[sense]?.weights.push(numberAt(own, sense));
      own[sense] = 0;
    }
  });
  return users;
}

/** Collects the words of all descriptions; a word that many causes use tells little (K. Sparck Jones, 1972). */
export function buildDescriptions(described: DescribedLibrary): Descriptions {
  const senses = sensesOf(described.classes);
  const numbers = new Map<string, number>();
  const read = readerOf(senses, numbers);
  const findings = new Map<FindingId, readonly number[]>();
  for (const { id, label, question, phrases } of described.findings.values())
    findings.set(id, read(`${label} ${question} ${wordsOf(phrases)}`));
  const texts = described.causes.map((cause) =>
    sensesFor(cause, described, read, (id) => findings.get(id) ?? []),
  );
  const users = usersOf(texts, numbers.size);
  const uses = new Map<string, Uses>();
  for (const [sense, number] of numbers) {
    const { causes, weights } = users[number] ?? NOBODY;
    const rarity = Math.log((described.causes.length + 1) / (causes.length + 1));
    const nats = new Float64Array(weights);
    for (let k = 0; k < nats.length; k++) nats[k] = numberAt(nats, k) * rarity;
    uses.set(sense, { documents: new Int32Array(causes), nats });
  }
  return { senses, uses, number: new Map(described.causes.map(({ id }, i) => [id, i])) };
}

/** How alike words are to the description of a cause, in nats were words independent; 0 without one in common. */
export type SimilarityOf = (cause: CauseId) => number;

/**
 * Summed tf-idf weights, in nats, that the different words of `tokens` have in each of `size` documents; of several
 * senses of a word the one of highest weight counts, and words of `empty` count nothing (K. Sparck Jones, 1972).
 */
export function sumOfWeights(
  { senses, uses }: Pick<Descriptions, 'senses' | 'uses'>,
  tokens: readonly Token[],
  empty: ReadonlySet<string>,
  size: number,
): Float64Array {
  const total = new Float64Array(size);
  const best = new Float64Array(size);
  for (const stem of new Set(tokens.map((token) => token.stem))) {
    if (empty.has(stem)) continue;
    const lists = senses(stem).flatMap((sense) => uses.get(sense) ?? []);
    for (const { documents, nats } of lists) {
      for (let k = 0; k < documents.length; k++) {
        const document = indexAt(documents, k);
        best[document] = Math.max(numberAt(best, document), numberAt(nats, k));
      }
    }
    for (const { documents } of lists) {
      for (const document of documents) {
        addAt(total, document, numberAt(best, document));
        best[document] = 0;
      }
    }
  }
  return total;
}

/**
 * Similarity of a text to the description of every cause, in nats of at least 0: the summed tf-idf weights of the
 * different words they share, of several senses of a word the one of highest weight (K. Sparck Jones, 1972). A
 * function that returns 0 for a cause without a shared word.
 */
export function similarityToCauses(
  descriptions: Descriptions,
  tokens: readonly Token[],
): SimilarityOf {
  const { number } = descriptions;
  const total = sumOfWeights(descriptions, tokens, EMPTY, number.size);
  return (cause) => numberAt(total, number.get(cause) ?? -1);
}
