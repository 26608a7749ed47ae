import { entropyNats, tabulate } from '../maths.ts';
import type { Posterior } from './posterior.ts';

/** Hypotheses looked at: the likeliest that together hold nearly all probability, and never more than a few dozen. */
const HYPOTHESES_WEIGHED = 40;
const PROBABILITY_WEIGHED = 0.995;
/** Smaller probabilities are not even sorted; thousands of pairs stand below it. */
const LEAST_WEIGHED = 1e-5;

/** The likeliest hypotheses by position, their probabilities brought to a sum of 1. */
export interface Shortlist {
  readonly positions: readonly number[];
  readonly probabilities: Float64Array;
  /** Of the probabilities, in nats. */
  readonly entropy: number;
}

/** Picks the likeliest hypotheses of a posterior. */
export function shortlist({ hypotheses }: Posterior): Shortlist {
  const chance = (h: number): number => hypotheses[h] ?? 0;
  const likely: number[] = [];
  for (let h = 0; h < hypotheses.length; h++) if (chance(h) >= LEAST_WEIGHED) likely.push(h);
  likely.sort((a, b) => chance(b) - chance(a));
  let held = 0;
  const positions = likely.slice(0, HYPOTHESES_WEIGHED).filter((h) => {
    const wanted = held < PROBABILITY_WEIGHED;
    held += chance(h);
    return wanted;
  });
  const total = positions.reduce((sum, h) => sum + chance(h), 0);
  const probabilities = tabulate(positions.length, (k) => chance(positions[k] ?? 0) / total);
  return { positions, probabilities, entropy: entropyNats(probabilities) };
}
