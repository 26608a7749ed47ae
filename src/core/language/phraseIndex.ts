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

/** Term by which a phrase is looked up: the one with the fewest other phrases on its words. */
function rarestTerm<Target>(phrase: Phrase<Target>, uses: ReadonlyMap<string, number>): number {
  let best = 0;
  let fewest = Infinity;
  phrase.terms.forEach((term, i) => {
    let count = 0;
    for (const word of term) count += uses.get(word) ?? 0;
    if (count < fewest) [best, fewest] = [i, count];
  });
  return best;
}

/** How many phrases each stem stands in. */
export function countUses<Target>(phrases: readonly Phrase<Target>[]): ReadonlyMap<string, number> {
  const uses = new Map<string, number>();
  for (const { terms } of phrases) {
    for (const term of terms) for (const word of term) uses.set(word, (uses.get(word) ?? 0) + 1);
  }
  return uses;
}

/** Nearest free position of a term around the anchor, inside the anchor's sentence; null when there is none. */
function nearest(
  tokens: readonly Token[],
  term: ReadonlySet<string>,
  anchor: number,
  reach: number,
  taken: readonly number[],
): number | null {
  const sentence = tokens[anchor]?.sentence;
  for (let step = 1; step < reach; step++) {
    for (const position of [anchor + step, anchor - step]) {
      const token = tokens[position];
      if (
        token?.sentence === sentence &&
        token !== undefined &&
        term.has(token.stem) &&
        !taken.includes(position)
      ) {
        return position;
      }
    }
  }
  return null;
}

/** A pause in speech counts as so many words between the parts of a phrase. */
const WORDS_PER_PAUSE = 2;
/** So much further apart they are still heard, where no other reading wants the words. */
const FURTHER = 5;

/** Words from the first to the last part of a phrase, pauses counted in. */
function stretch(tokens: readonly Token[], first: number, last: number): number {
  let pauses = 0;
  for (let i = first + 1; i <= last; i++) if (tokens[i]?.pauseBefore === true) pauses++;
  return last - first + WORDS_PER_PAUSE * pauses;
}

const NOTHING: ReadonlySet<string> = new Set();

function overlaps(some: ReadonlySet<string>, others: ReadonlySet<string>): boolean {
  for (const one of some) if (others.has(one)) return true;
  return false;
}

function matchAround<Target>(
  tokens: readonly Token[],
  phrase: Phrase<Target>,
  anchorTerm: number,
  anchor: number,
  understood: ReadonlySet<string>,
): PhraseMatch<Target> | null {
  let goesWithoutSaying = false;
  const taken: number[] = [anchor];
  const positions: number[] = [];
  for (const [i, term] of phrase.terms.entries()) {
    const position =
      i === anchorTerm ? anchor : nearest(tokens, term, anchor, phrase.reach + FURTHER, taken);
    if (position === null) {
      if (!overlaps(term, understood)) return null;
      goesWithoutSaying = true;
      continue;
    }
    positions.push(position);
    taken.push(position);
  }
  const first = Math.min(...positions);
  const last = Math.max(...positions);
  const words = stretch(tokens, first, last);
  if (words >= phrase.reach + FURTHER) return null;
  if (
    phrase.ordered &&
    positions.some((position, i) => i > 0 && position < (positions[i - 1] ?? 0))
  )
    return null;
  if (phrase.without.size > 0) {
    for (let i = Math.max(0, first - 2); i <= last; i++) {
      if (phrase.without.has(tokens[i]?.stem ?? '')) return null;
    }
  }
  return { phrase, positions, far: goesWithoutSaying || words >= phrase.reach };
}

/**
 * Builds the index. Finding is linear in the number of tokens: each token looks up only the phrases
 * anchored on its stem, and each of those looks at most `reach` words to either side.
 */
export function buildPhraseIndex<Target>(phrases: readonly Phrase<Target>[]): PhraseIndex<Target> {
  const uses = countUses(phrases);
  const anchored = new Map<string, { phrase: Phrase<Target>; term: number }[]>();
  for (const phrase of phrases) {
    const term = rarestTerm(phrase, uses);
    for (const word of phrase.terms[term] ?? []) {
      const list = anchored.get(word) ?? [];
      list.push({ phrase, term });
      anchored.set(word, list);
    }
  }
  return (tokens, understood = NOTHING) => {
    const found: PhraseMatch<Target>[] = [];
    tokens.forEach((token, anchor) => {
      for (const { phrase, term } of anchored.get(token.stem) ?? []) {
        const match = matchAround(tokens, phrase, term, anchor, understood);
        if (match) found.push(match);
      }
    });
    return found;
  };
}
