import type { FindingId } from '../knowledge/schema/common.ts';
import { findingIdSchema } from '../knowledge/schema/common.ts';
import type { Likeness } from '../language/descriptions.ts';
import { NONE } from './likelihood.ts';
import type { Network } from './network.ts';
import type { Weighed } from './weigh.ts';

/** Stands among the arguments for the likeness of the words as a whole; no finding of the library. */
export const LIKE_WORDS: FindingId = findingIdSchema.parse('like-words');

/**
 * What words count beside what was understood from them: words are far from independent and most were
 * already heard as findings. Judgement: of 0.2 to 0.45 it ranked 75 judged cases best that nothing was corrected by.
 */
const WORTH_OF_LIKENESS = 0.3;
/** However alike, words move a cause by no more than this, in nats: less than one telltale sign. */
const MOST_NATS = 4;

/** The likeness of the words to the causes' descriptions, as a weak piece of evidence. */
export interface Wording extends Weighed {
  /** What the likeness makes of each cause, as a factor, by position; a pair takes that of its likest member. */
  readonly factors: Float64Array;
}

/** Weighs the likeness of words; null when nothing is alike. */
export function weighLikeness(network: Network, likeness: Likeness): Wording | null {
  const factors = new Float64Array(network.causes.length).fill(1);
  const touches: number[] = [];
  network.causes.forEach(({ id }, i) => {
    const alike = likeness(id);
    if (alike <= 0) return;
    factors[i] = Math.exp(Math.min(MOST_NATS, WORTH_OF_LIKENESS * alike));
    touches.push(i);
  });
  if (touches.length === 0) return null;
  const of = (i: number): number => (i === NONE ? 1 : (factors[i] ?? 1));
  return {
    finding: LIKE_WORDS,
    value: true,
    sure: 1,
    likelihood: { touches, unknown: 1, under: (i, j) => Math.max(of(i), of(j)), missed: null },
    factors,
  };
}
