import { findingIdSchema, type FindingId } from '../knowledge/schema/common.ts';
import type { WordClasses } from './phrase.ts';
import type { Token } from './tokens.ts';
import type { WordModelText } from '../knowledge/schema/wordModel.ts';

/** How much one word speaks for findings, by their numbers. */
interface WordWeights {
  /** ln of how many sentences there are to one with the word, plus 1. */
  readonly rarity: number;
  readonly findings: Int32Array;
  readonly weights: Float64Array;
}

/** A word and what it has in common with others, each under a name of its own: `tan` and `1brown`. */
export type Likening = (stem: string) => readonly string[];

/** Makes a likening by lists of words; the same name in two lists is two things in common. */
export function makeLikening(lists: readonly WordClasses[]): Likening {
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
  readonly words: ReadonlyMap<string, WordWeights>;
  readonly readings: ReadonlyMap<string, number>;
  readonly likening: Likening;
}

const HUNDREDTHS = 100;

/** `a 12 b 3` as pairs. */
function pairsOf(text: string): readonly (readonly [string, number])[] {
  const parts = text.split(' ');
  return parts.flatMap((word, i) =>
    i % 2 === 0 && word !== '' ? [[word, Number(parts[i + 1]) / HUNDREDTHS] as const] : [],
  );
}

/** Makes the model ready for use. */
export function compileWordModel(text: WordModelText, likening: Likening): WordModel {
  const entries = Object.entries(text.findings);
  const bias = new Float64Array(entries.length);
  const byWord = new Map<string, [number, number][]>();
  entries.forEach(([, line], f) => {
    const [first = '0', ...rest] = line.split(' ');
    bias[f] = Number(first) / HUNDREDTHS;
    for (const [word, weight] of pairsOf(rest.join(' '))) {
      const list = byWord.get(word);
      if (list) list.push([f, weight]);
      else byWord.set(word, [[f, weight]]);
    }
  });
  const words = pairsOf(text.words).map(([word, rarity]): [string, WordWeights] => {
    const list = byWord.get(word) ?? [];
    const weights = Float64Array.from(list, ([, weight]) => weight);
    return [word, { rarity, findings: Int32Array.from(list, ([f]) => f), weights }];
  });
  const findings = entries.map(([id]) => findingIdSchema.parse(id));
  return {
    findings,
    numberOf: new Map(findings.map((id, f) => [id, f])),
    bias,
    words: new Map(words),
    readings: new Map(Object.entries(text.readings)),
    likening,
  };
}

/** Shares of the words of a sentence and of what they have in common with others: each its rarity times 1 + ln of how often it stands there, together of length 1. */
export function sharesOf(
  stems: readonly string[],
  likening: Likening,
  rarityOf: (word: string) => number | undefined,
): ReadonlyMap<string, number> {
  const times = new Map<string, number>();
  for (const stem of stems)
    for (const one of likening(stem)) times.set(one, (times.get(one) ?? 0) + 1);
  const shares = new Map<string, number>();
  let squares = 0;
  for (const [one, count] of times) {
    const rarity = rarityOf(one);
    if (rarity === undefined) continue;
    const share = rarity * (1 + Math.log(count));
    shares.set(one, share);
    squares += share * share;
  }
  const length = Math.sqrt(squares);
  return new Map([...shares].map(([one, share]) => [one, share / length]));
}

/** Log-odds of what was not learned. */
const UNKNOWN_ODDS = -4.5;

/** What the words of one sentence tell. */
export interface Told {
  readonly words: readonly Token[];
  /** Log-odds of each finding of the model, by its number. */
  readonly odds: Float64Array;
  readonly oddsOf: (id: FindingId) => number;
  /** What each word adds for a finding, by its number. */
  readonly adds: (stem: string, finding: number) => number;
}

/** Adds what a word tells, by its share; the hot loop of hearing. */
function addTo(odds: Float64Array, { findings, weights }: WordWeights, share: number): void {
  const count = findings.length;
  for (let k = 0; k < count; k++) {
    const f = findings[k] ?? 0;
    odds[f] = (odds[f] ?? 0) + share * (weights[k] ?? 0);
  }
}

/** Log-odds of every finding by the words of one sentence. */
function tellOf(model: WordModel, sentence: readonly Token[]): Told {
  const stems = sentence.map(({ stem }) => stem);
  const shares = sharesOf(stems, model.likening, (one) => model.words.get(one)?.rarity);
  const odds = model.bias.slice();
  for (const [word, share] of shares) {
    const known = model.words.get(word);
    if (known) addTo(odds, known, share);
  }
  return {
    words: sentence,
    odds,
    oddsOf: (id) => odds[model.numberOf.get(id) ?? -1] ?? UNKNOWN_ODDS,
    adds: (stem, finding) => {
      let sum = 0;
      for (const one of model.likening(stem)) {
        const known = model.words.get(one);
        const at = known?.findings.indexOf(finding) ?? -1;
        if (at >= 0) sum += (shares.get(one) ?? 0) * (known?.weights[at] ?? 0);
      }
      return sum;
    },
  };
}

/** What the words of each sentence tell, by the number of the sentence. */
export function tellSentences(
  model: WordModel,
  tokens: readonly Token[],
): ReadonlyMap<number, Told> {
  const sentences = new Map<number, Token[]>();
  for (const token of tokens) {
    const list = sentences.get(token.sentence);
    if (list) list.push(token);
    else sentences.set(token.sentence, [token]);
  }
  return new Map([...sentences].map(([number, words]) => [number, tellOf(model, words)]));
}
