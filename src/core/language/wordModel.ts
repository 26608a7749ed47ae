import { addAt, entryAt, indexAt, numberAt } from '../util/entryAt.ts';
import { memoize } from '../util/memoize.ts';
import { findingIdSchema, type FindingId } from '../schema/common.ts';
import type { WordClasses } from './phrase.ts';
import type { Token } from './tokens.ts';
import type { WordModelText } from '../schema/wordModel.ts';

/** How much one word speaks for findings, by their numbers. */
interface WordWeights {
  readonly number: number;
  /** ln of how many sentences there are to one with the word, plus 1. */
  readonly idf: number;
  readonly findings: Uint16Array;
  readonly weights: Float64Array;
}

/** A stem with all its names together, so that a sentence is summed up in one pass. */
export interface StemWeights {
  readonly names: readonly WordWeights[];
  readonly findings: Uint16Array;
  /** Weights of its names, each times its rarity. */
  readonly weights: Float64Array;
}

/** A word and what it has in common with others, each under a name of its own: `tan` and `1brown`. */
export type SynonymsOf = (stem: string) => readonly string[];

/** Makes a synonymsOf by lists of words; the same name in two lists is two things in common. */
export function makeSynonyms(lists: readonly WordClasses[]): SynonymsOf {
  const names = new Map<string, string[]>();
  lists.forEach((classes, i) => {
    for (const [name, words] of classes)
      for (const word of words) names.set(word, [...(names.get(word) ?? [word]), `${i}${name}`]);
  });
  return (stem) => names.get(stem) ?? [stem];
}

/** What words tell of findings, learned from labelled sentences; see docs/language.md. */
export interface WordModel {
  readonly findings: readonly FindingId[];
  readonly numberOf: ReadonlyMap<FindingId, number>;
  /** Log-odds of each finding in a sentence without any known word. */
  readonly bias: Float64Array;
  /** Room for counting the words of a sentence, by their numbers, and for listing them. */
  readonly times: Int32Array;
  readonly said: WordWeights[];
  /** What a stem tells; undefined for one that nothing was learned of. */
  readonly stemOf: (stem: string) => StemWeights | undefined;
  readonly readings: ReadonlyMap<string, number>;
  readonly rivals: ReadonlyMap<string, number>;
  /** Whether enquirers tell two findings in one sentence. */
  readonly reportedTogether: (a: FindingId, b: FindingId) => boolean;
}

const HUNDREDTHS = 100;

/** Reads what is known of one word; see {@link wordModelSchema}. */
function readWeights(text: string, number: number): WordWeights {
  const [idf = 0, ...rest] = text.split(' ').map(Number);
  const count = rest.length >> 1;
  const findings = new Uint16Array(count);
  const weights = new Float64Array(count);
  let finding = 0;
  for (let k = 0; k < count; k++) {
    finding += entryAt(rest, 2 * k);
    findings[k] = finding;
    weights[k] = entryAt(rest, 2 * k + 1) / HUNDREDTHS;
  }
  return { number, idf: idf / HUNDREDTHS, findings, weights };
}

/** Weights of a word, read when it is first asked for: most words of the model are not said in an enquiry. */
function makeWeightsOf(words: WordModelText['words']): (name: string) => WordWeights | undefined {
  const numbers = new Map(Object.keys(words).map((name, number) => [name, number]));
  return memoize((name) => {
    const number = numbers.get(name);
    return number === undefined ? undefined : readWeights(words[name] ?? '', number);
  });
}

/** What a stem says less of a finding moves a sentence by some tenths of log-odds at most, and is a third of all there is to add up. */
const MIN_SAID = 4;

/** Puts the names of a stem together. */
function together(names: readonly WordWeights[], count: number): StemWeights {
  const sums = new Float64Array(count);
  for (const { idf, findings, weights } of names)
    findings.forEach((f, k) => addAt(sums, f, idf * numberAt(weights, k)));
  const findings = Uint16Array.from(sums.keys()).filter(
    (f) => Math.abs(numberAt(sums, f)) >= MIN_SAID,
  );
  return { names, findings, weights: Float64Array.from(findings, (f) => numberAt(sums, f)) };
}

/** How much a stem speaks for a finding, by its number; only ratios within a sentence count. */
export function speaksFor(known: StemWeights | undefined, finding: number): number {
  if (!known) return 0;
  const { findings, weights } = known;
  // They stand upwards.
  let [low, high] = [0, findings.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((findings[middle] ?? Infinity) < finding) low = middle + 1;
    else high = middle;
  }
  return findings[low] === finding ? numberAt(weights, low) : 0;
}

/** Works out what stems tell when they are first said. Of stems without a known name nothing is kept. */
function makeStemOf(
  weightsOf: (name: string) => WordWeights | undefined,
  synonymsOf: SynonymsOf,
  count: number,
): WordModel['stemOf'] {
  const made = new Map<string, StemWeights>();
  return (stem) => {
    const known = made.get(stem);
    if (known) return known;
    const names = synonymsOf(stem).flatMap((name) => weightsOf(name) ?? []);
    if (names.length === 0) return undefined;
    const all = together(names, count);
    made.set(stem, all);
    return all;
  };
}

/** Makes the model ready for use. */
export function compileWordModel(text: WordModelText, synonymsOf: SynonymsOf): WordModel {
  const findings = Object.keys(text.findings).map((id) => findingIdSchema.parse(id));
  return {
    findings,
    numberOf: new Map(findings.map((id, f) => [id, f])),
    bias: Float64Array.from(Object.values(text.findings), (odds) => odds / HUNDREDTHS),
    times: new Int32Array(Object.keys(text.words).length),
    said: [],
    stemOf: makeStemOf(makeWeightsOf(text.words), synonymsOf, findings.length),
    readings: new Map(Object.entries(text.readings)),
    rivals: new Map(Object.entries(text.rivals)),
    reportedTogether: makeToldTogether(text.together),
  };
}

function makeToldTogether(together: WordModelText['together']): WordModel['reportedTogether'] {
  const others = new Map(
    Object.entries(together).map(([id, list]) => [id, new Set(list.split(' '))]),
  );
  const lists = (a: FindingId, b: FindingId): boolean => others.get(a)?.has(b) ?? false;
  return (a, b) => lists(a, b) || lists(b, a);
}

/** What a word is worth that stands so often in a sentence, before all are brought to length 1. */
const worthOf = (rarity: number, times: number): number => rarity * (1 + Math.log(times));

/**
 * Normalised tf-idf vector of the words of a sentence and their synonym classes: idf times 1 + ln(term frequency),
 * scaled to length 1, so that components are between 0 and 1. `rarityOf` returns undefined for words to leave out.
 */
export function tfIdfVector(
  stems: readonly string[],
  synonymsOf: SynonymsOf,
  rarityOf: (word: string) => number | undefined,
): ReadonlyMap<string, number> {
  const times = new Map<string, number>();
  for (const stem of stems)
    for (const one of synonymsOf(stem)) times.set(one, (times.get(one) ?? 0) + 1);
  const shares = new Map<string, number>();
  let squares = 0;
  for (const [one, count] of times) {
    const rarity = rarityOf(one);
    if (rarity === undefined) continue;
    const share = worthOf(rarity, count);
    shares.set(one, share);
    squares += share * share;
  }
  const length = Math.sqrt(squares);
  return new Map([...shares].map(([one, share]) => [one, share / length]));
}

/** Log-odds of what was not learned. */
const UNKNOWN_ODDS = -4.5;
/** Words are worth a reading of their own from these log-odds. */
const MIN_LOG_ODDS = -2.5;
/** So many of the likeliest findings are told apart. */
const LEADING = 5;

/** What the words of one sentence tell. */
export interface SentenceScores {
  readonly words: readonly Token[];
  /** What the stem of each of them tells. */
  readonly stems: readonly (StemWeights | undefined)[];
  /** Numbers of the findings that the words alone are worth a reading of. */
  readonly likely: readonly number[];
  /** Log-odds of the likeliest findings, downwards. */
  readonly leading: readonly number[];
  readonly logOddsOf: (id: FindingId) => number;
}

/** Adds what words tell, by their share; the hot loop of hearing. */
function addTo(
  odds: Float64Array,
  { findings, weights }: Pick<WordWeights, 'findings' | 'weights'>,
  share: number,
): void {
  const count = findings.length;
  for (let k = 0; k < count; k++) {
    const f = indexAt(findings, k);
    addAt(odds, f, share * numberAt(weights, k));
  }
}

/** Puts a number among the greatest, which stand downwards, in place of the least of them; tells the least that is left. */
function placeAmong(greatest: number[], one: number): number {
  let at = greatest.length - 1;
  for (; at > 0 && one > entryAt(greatest, at - 1); at--) greatest[at] = entryAt(greatest, at - 1);
  greatest[at] = one;
  return greatest[greatest.length - 1] ?? one;
}

/** Adds what the words of a sentence tell and gives the length that they have to be divided by. `times` is left empty, and `said` is written over. */
function addWords(
  { times, said }: WordModel,
  stems: readonly (StemWeights | undefined)[],
  odds: Float64Array,
): number {
  let count = 0;
  for (const known of stems) {
    if (!known) continue;
    addTo(odds, known, 1);
    for (const name of known.names) {
      const before = indexAt(times, name.number);
      if (before === 0) said[count++] = name;
      times[name.number] = before + 1;
    }
  }
  let squares = 0;
  for (let i = 0; i < count; i++) {
    const name = said[i];
    if (!name) continue;
    const often = indexAt(times, name.number);
    times[name.number] = 0;
    const worth = worthOf(name.idf, often);
    squares += worth * worth;
    // Each time it is said was added once.
    if (often > 1) addTo(odds, name, worth - often * name.idf);
  }
  return Math.sqrt(squares);
}

/** Log-odds of every finding by the words of one sentence: its words by {@link tfIdfVector}, those that stand there once in one pass for each stem. `odds` are written. */
function scoresOf(
  model: WordModel,
  sentence: readonly Token[],
  odds: Float64Array,
): SentenceScores {
  const stems = sentence.map(({ stem }) => model.stemOf(stem));
  const length = addWords(model, stems, odds);
  const share = length > 0 ? 1 / length : 0;
  const likely: number[] = [];
  const leading: number[] = new Array<number>(LEADING).fill(-Infinity);
  let least = -Infinity;
  const { bias } = model;
  for (let f = 0; f < odds.length; f++) {
    const one = numberAt(bias, f) + share * numberAt(odds, f);
    odds[f] = one;
    if (one > MIN_LOG_ODDS) likely.push(f);
    if (one > least) least = placeAmong(leading, one);
  }
  return {
    words: sentence,
    stems,
    likely,
    leading,
    logOddsOf: (id) => odds[model.numberOf.get(id) ?? -1] ?? UNKNOWN_ODDS,
  };
}

/**
 * Log-odds of every finding for each sentence, by its 0-indexed number; natural logarithm, so that 0 is a probability
 * of 0.5.
 */
export function scoreSentences(
  model: WordModel,
  tokens: readonly Token[],
): ReadonlyMap<number, SentenceScores> {
  const sentences = new Map<number, Token[]>();
  for (const token of tokens) {
    const list = sentences.get(token.sentence);
    if (list) list.push(token);
    else sentences.set(token.sentence, [token]);
  }
  // One table for all sentences, as each alone would be a piece of memory of its own.
  const count = model.bias.length;
  const table = new Float64Array(count * sentences.size);
  let next = 0;
  const scores = new Map<number, SentenceScores>();
  for (const [number, words] of sentences) {
    scores.set(number, scoresOf(model, words, table.subarray(next, next + count)));
    next += count;
  }
  return scores;
}
