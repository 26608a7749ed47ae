import { remembering } from '../remembering.ts';
import type { Phrase } from './phrase.ts';
import type { Token } from './tokens.ts';

/** A place where a phrase was found: positions in the token list, in the order of the phrase's terms. */
export interface PhraseMatch<Target> {
  readonly phrase: Phrase<Target>;
  readonly positions: readonly number[];
  /** Its parts stand further from each other than the phrase asks, or one of them is only understood. */
  readonly far: boolean;
}

/**
 * Finds every phrase of a set in a token list. `understood` are stems that go without saying: of a lawn, "there is moss"
 * is moss in the lawn. A match has no position for a term that is only understood.
 */
export type PhraseIndex<Target> = (
  tokens: readonly Token[],
  understood?: ReadonlySet<string>,
) => readonly PhraseMatch<Target>[];

/** A pause in speech counts as so many words between the parts of a phrase. */
const WORDS_PER_PAUSE = 2;
/** So much further apart they are still heard, where no other reading wants the words. */
const FURTHER = 3;

/** How many phrases each stem stands in. */
export type Uses = ReadonlyMap<string, number>;

/** Counts {@link Uses}. */
export function countUses<Target>(phrases: readonly Phrase<Target>[]): Uses {
  // Equal terms are the same set, so that each is walked once.
  const times = new Map<ReadonlySet<string>, number>();
  for (const { terms } of phrases)
    for (const term of terms) times.set(term, (times.get(term) ?? 0) + 1);
  const uses = new Map<string, number>();
  for (const [term, count] of times)
    for (const word of term) uses.set(word, (uses.get(word) ?? 0) + count);
  return uses;
}

/** A phrase with its terms by number, equal terms of all phrases being one, and the term that it is looked up by. */
interface Anchored<Target> {
  readonly phrase: Phrase<Target>;
  readonly terms: readonly number[];
  readonly anchorTerm: number;
}

/** Tells by which term a phrase is looked up: the one whose words stand in the fewest other phrases. */
function makeRarestTerm<Target>(uses: Uses): (phrase: Phrase<Target>) => number {
  const countOf = remembering((term: ReadonlySet<string>): number => {
    let count = 0;
    for (const word of term) count += uses.get(word) ?? 0;
    return count;
  });
  return ({ terms }) => {
    let best = 0;
    terms.forEach((term, i) => {
      if (countOf(term) < countOf(terms[best] ?? term)) best = i;
    });
    return best;
  };
}

/** Which terms stand in the sentence that was looked at last; one table for all, as there are thousands. */
class Presence {
  readonly #termsOf: ReadonlyMap<string, Int32Array>;
  readonly #stamps: Int32Array;
  #stamp = 0;

  constructor(termsOf: ReadonlyMap<string, Int32Array>, count: number) {
    this.#termsOf = termsOf;
    this.#stamps = new Int32Array(count);
  }

  read(tokens: readonly Token[], from: number, to: number): void {
    this.#stamp++;
    for (let i = from; i < to; i++) {
      const terms = this.#termsOf.get(tokens[i]?.stem ?? '');
      for (let k = 0; k < (terms?.length ?? 0); k++) this.#stamps[terms?.[k] ?? 0] = this.#stamp;
    }
  }

  has(term: number): boolean {
    return this.#stamps[term] === this.#stamp;
  }
}

/** Nearest free position of a term around the anchor, inside its sentence, the later of two; null when there is none. */
function nearest(
  tokens: readonly Token[],
  term: ReadonlySet<string>,
  anchor: number,
  reach: number,
  taken: readonly number[],
): number | null {
  const sentence = tokens[anchor]?.sentence;
  for (let step = 1; step < reach; step++) {
    for (let place = anchor + step; place >= anchor - step; place -= 2 * step) {
      const token = tokens[place];
      if (token?.sentence !== sentence || token === undefined) continue;
      if (term.has(token.stem) && !taken.includes(place)) return place;
    }
  }
  return null;
}

/** Words from the first to the last part of a phrase, pauses counted in. */
function stretch(tokens: readonly Token[], first: number, last: number): number {
  let pauses = 0;
  for (let i = first + 1; i <= last; i++) if (tokens[i]?.pauseBefore === true) pauses++;
  return last - first + WORDS_PER_PAUSE * pauses;
}

/** Words that must not stand within the stretch of a phrase or the two words before it. */
function isForbidden<Target>(
  tokens: readonly Token[],
  { without }: Phrase<Target>,
  first: number,
  last: number,
): boolean {
  if (without.size === 0) return false;
  for (let i = Math.max(0, first - 2); i <= last; i++)
    if (without.has(tokens[i]?.stem ?? '')) return true;
  return false;
}

function matchAround<Target>(
  tokens: readonly Token[],
  { phrase, terms, anchorTerm }: Anchored<Target>,
  anchor: number,
  presence: Presence,
): PhraseMatch<Target> | null {
  const taken = [anchor];
  const positions: number[] = [];
  let [first, last] = [anchor, anchor];
  for (const [i, words] of phrase.terms.entries()) {
    // What is not there at all was let through as understood.
    if (i !== anchorTerm && !presence.has(terms[i] ?? -1)) continue;
    const position =
      i === anchorTerm ? anchor : nearest(tokens, words, anchor, phrase.reach + FURTHER, taken);
    if (position === null) return null;
    if (phrase.ordered && position < (positions.at(-1) ?? 0)) return null;
    positions.push(position);
    taken.push(position);
    first = Math.min(first, position);
    last = Math.max(last, position);
  }
  const words = stretch(tokens, first, last);
  if (words >= phrase.reach + FURTHER || isForbidden(tokens, phrase, first, last)) return null;
  return { phrase, positions, far: positions.length < terms.length || words >= phrase.reach };
}

/** Phrases by the words that they are looked up by, a list for each term, and what terms each stem belongs to. */
interface Tables<Target> {
  readonly anchored: ReadonlyMap<string, readonly (readonly Anchored<Target>[])[]>;
  readonly termsOf: ReadonlyMap<string, Int32Array>;
  /** How many terms there are. */
  readonly count: number;
}

function buildTables<Target>(phrases: readonly Phrase<Target>[], uses: Uses): Tables<Target> {
  const rarestTerm = makeRarestTerm<Target>(uses);
  const numbers = new Map<ReadonlySet<string>, number>();
  const termsOf = new Map<string, number[]>();
  const numberOf = (term: ReadonlySet<string>): number => {
    const known = numbers.get(term);
    if (known !== undefined) return known;
    const number = numbers.size;
    numbers.set(term, number);
    for (const word of term) push(termsOf, word, number);
    return number;
  };
  const byTerm = new Map<ReadonlySet<string>, Anchored<Target>[]>();
  for (const phrase of phrases) {
    const anchorTerm = rarestTerm(phrase);
    const term = phrase.terms[anchorTerm];
    const entry = { phrase, terms: phrase.terms.map(numberOf), anchorTerm };
    if (term) push(byTerm, term, entry);
  }
  const anchored = new Map<string, Anchored<Target>[][]>();
  for (const [term, entries] of byTerm) for (const word of term) push(anchored, word, entries);
  return {
    anchored,
    count: numbers.size,
    termsOf: new Map([...termsOf].map(([word, list]) => [word, Int32Array.from(list)])),
  };
}

function push<K, V>(lists: Map<K, V[]>, key: K, value: V): void {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
}

const NOTHING: ReadonlySet<string> = new Set();

/** First positions of the sentences of a token list, and its length. */
function sentenceStarts(tokens: readonly Token[]): readonly number[] {
  const starts = tokens.flatMap(({ sentence }, i) =>
    i === 0 || sentence !== tokens[i - 1]?.sentence ? [i] : [],
  );
  return [...starts, tokens.length];
}

/** Whether every term of a phrase stands in the sentence or goes without saying. */
function mayMatch<Target>(
  { terms }: Anchored<Target>,
  presence: Presence,
  understood: ReadonlySet<number>,
): boolean {
  for (let i = 0; i < terms.length; i++) {
    const term = terms[i] ?? -1;
    if (!presence.has(term) && !understood.has(term)) return false;
  }
  return true;
}

/**
 * Builds the index. Finding is linear in the number of tokens: each token looks up only the phrases anchored on its
 * stem, a phrase is dropped at once when a term of it stands nowhere in the sentence, and the others look a few words to
 * either side.
 */
export function buildPhraseIndex<Target>(
  phrases: readonly Phrase<Target>[],
  uses: Uses = countUses(phrases),
): PhraseIndex<Target> {
  const { anchored, termsOf, count } = buildTables(phrases, uses);
  const presence = new Presence(termsOf, count);
  return (tokens, understood = NOTHING) => {
    const implied = new Set([...understood].flatMap((word) => [...(termsOf.get(word) ?? [])]));
    const found: PhraseMatch<Target>[] = [];
    const starts = sentenceStarts(tokens);
    for (let s = 0; s + 1 < starts.length; s++) {
      const [from, to] = [starts[s] ?? 0, starts[s + 1] ?? 0];
      presence.read(tokens, from, to);
      for (let anchor = from; anchor < to; anchor++)
        for (const entries of anchored.get(tokens[anchor]?.stem ?? '') ?? [])
          for (const entry of entries) {
            if (!mayMatch(entry, presence, implied)) continue;
            const match = matchAround(tokens, entry, anchor, presence);
            if (match) found.push(match);
          }
    }
    return found;
  };
}
