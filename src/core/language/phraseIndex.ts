import { entryAt } from '../util/entryAt.ts';
import { memoize } from '../util/memoize.ts';
import type { Phrase } from './phrase.ts';
import { NOWHERE, Presence, SEVERAL } from './presence.ts';
import type { Token } from './tokens.ts';

/** A place where a phrase was found: positions in the token list, in the order of the phrase's terms. */
export interface PhraseMatch<Target> {
  readonly phrase: Phrase<Target>;
  readonly positions: readonly number[];
  /** The least and the greatest of them. */
  readonly first: number;
  readonly last: number;
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

/** No term. */
const NONE = -1;

/** A phrase with its terms by number, equal terms of all phrases being one. */
interface Anchored<Target> {
  readonly phrase: Phrase<Target>;
  readonly terms: readonly number[];
  /** Place of the term that it is looked up by. */
  readonly anchorTerm: number;
  /** The other terms, those whose words stand in the fewest phrases first. */
  readonly others: readonly number[];
}

/** Tells the places of the terms of a phrase, those whose words stand in the fewest other phrases first. */
function makeRarestFirst<Target>(uses: Uses): (phrase: Phrase<Target>) => readonly number[] {
  const countOf = memoize((term: ReadonlySet<string>): number => {
    let count = 0;
    for (const word of term) count += uses.get(word) ?? 0;
    return count;
  });
  return ({ terms }) => {
    const counts = terms.map(countOf);
    return terms.map((_, i) => i).sort((a, b) => entryAt(counts, a) - entryAt(counts, b));
  };
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
  const reach = phrase.reach + FURTHER;
  // As long as it will be: a list that grows takes several times the room, and there are thousands of these.
  const positions = terms.map(() => NONE);
  let placed = 0;
  let [first, last] = [anchor, anchor];
  for (let i = 0; i < terms.length; i++) {
    const words = phrase.terms[i];
    let position: number | null = anchor;
    if (i !== anchorTerm) {
      const place = presence.placeOf(terms[i] ?? NONE);
      // What is not there at all was let through as understood.
      if (!words || place === NOWHERE) continue;
      if (place === SEVERAL) position = nearest(tokens, words, anchor, reach, positions);
      else position = Math.abs(place - anchor) < reach && !positions.includes(place) ? place : null;
      if (position === anchor) return null;
    }
    if (position === null) return null;
    if (phrase.ordered && placed > 0 && position < entryAt(positions, placed - 1)) return null;
    positions[placed++] = position;
    first = Math.min(first, position);
    last = Math.max(last, position);
  }
  const words = stretch(tokens, first, last);
  if (words >= reach || isForbidden(tokens, phrase, first, last)) return null;
  positions.length = placed;
  const far = placed < terms.length || words >= phrase.reach;
  return { phrase, positions, first, last, far };
}

/** Phrases that are looked up by one term. */
interface Entries<Target> {
  readonly list: readonly Anchored<Target>[];
  /** The first of the other terms of each, or NONE: side by side, as most phrases are dropped by it. */
  readonly seconds: Int32Array;
}

interface Tables<Target> {
  /** Phrases that are looked up by a word. */
  readonly anchoredOn: (word: string) => Entries<Target> | null;
  /** Terms by their numbers. */
  readonly terms: readonly ReadonlySet<string>[];
}

function buildTables<Target>(phrases: readonly Phrase<Target>[], uses: Uses): Tables<Target> {
  const rarestFirst = makeRarestFirst<Target>(uses);
  const numbers = new Map<ReadonlySet<string>, number>();
  const numberOf = (term: ReadonlySet<string>): number => {
    const known = numbers.get(term);
    if (known !== undefined) return known;
    numbers.set(term, numbers.size);
    return numbers.size - 1;
  };
  const byTerm = new Map<ReadonlySet<string>, Anchored<Target>[]>();
  for (const phrase of phrases) {
    const [anchorTerm = 0, ...rest] = rarestFirst(phrase);
    const term = phrase.terms[anchorTerm];
    const terms = phrase.terms.map(numberOf);
    const entry = { phrase, terms, anchorTerm, others: rest.map((i) => terms[i] ?? -1) };
    if (term) push(byTerm, term, entry);
  }
  const byWord = new Map<string, (readonly Anchored<Target>[])[]>();
  for (const [term, list] of byTerm) for (const word of term) push(byWord, word, list);
  // Put side by side when a word is first said: most words of the library never are.
  const entriesOf = memoize((lists: readonly (readonly Anchored<Target>[])[]): Entries<Target> => {
    const list = lists.flat();
    return { list, seconds: Int32Array.from(list, ({ others }) => others[0] ?? NONE) };
  });
  const anchoredOn = (word: string): Entries<Target> | null => {
    const lists = byWord.get(word);
    return lists ? entriesOf(lists) : null;
  };
  return { anchoredOn, terms: [...numbers.keys()] };
}

function push<K, V>(lists: Map<K, V[]>, key: K, value: V): void {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
}

const NOTHING: ReadonlySet<string> = new Set();

/** What somebody says without a stop is looked through so many words at a time, or nearly every phrase would seem to be there. */
const LONG = 60;

/** First positions of the sentences of a token list, and its length. */
function sentenceStarts(tokens: readonly Token[]): readonly number[] {
  const starts: number[] = [];
  for (let i = 0; i < tokens.length; i++)
    if (i === 0 || tokens[i]?.sentence !== tokens[i - 1]?.sentence) starts.push(i);
  starts.push(tokens.length);
  return starts;
}

function isAllMeant<Target>({ others }: Anchored<Target>, presence: Presence): boolean {
  for (let i = 1; i < others.length; i++) if (!presence.isMeant(others[i] ?? NONE)) return false;
  return true;
}

/**
 * Builds the phrase index. Matching is linear in the number of tokens: a token looks up only phrases anchored on its
 * stem, and a phrase with a term that is nowhere in the sentence is rejected at once.
 */
export function buildPhraseIndex<Target>(
  phrases: readonly Phrase<Target>[],
  uses: Uses = countUses(phrases),
): PhraseIndex<Target> {
  const { anchoredOn, terms } = buildTables(phrases, uses);
  const presence = new Presence(terms);
  const longest = FURTHER + phrases.reduce((most, { reach }) => Math.max(most, reach), 0);
  return (tokens, understood = NOTHING) => {
    const found: PhraseMatch<Target>[] = [];
    const starts = sentenceStarts(tokens);
    const lookUp = (anchor: number, { list, seconds }: Entries<Target>): void => {
      for (let k = 0; k < seconds.length; k++) {
        const second = seconds[k] ?? NONE;
        if (second !== NONE && !presence.isMeant(second)) continue;
        const entry = list[k];
        if (!entry || !isAllMeant(entry, presence)) continue;
        const match = matchAround(tokens, entry, anchor, presence);
        if (match) found.push(match);
      }
    };
    for (let s = 0; s + 1 < starts.length; s++) {
      const [from, to] = [entryAt(starts, s), entryAt(starts, s + 1)];
      for (let start = from; start < to; start += LONG) {
        const end = Math.min(to, start + LONG);
        presence.read(
          tokens,
          Math.max(from, start - longest),
          Math.min(to, end + longest),
          understood,
        );
        for (let anchor = start; anchor < end; anchor++) {
          const entries = anchoredOn(tokens[anchor]?.stem ?? '');
          if (entries) lookUp(anchor, entries);
        }
      }
    }
    return found;
  };
}
