import { entryAt, numberAt } from '../util/entryAt.ts';
import type { CauseId } from '../schema/common.ts';
import { sum } from '../util/maths.ts';

/** How a cause was confirmed after the advice. */
export const CONFIRMATIONS = ['laboratory', 'in-hand', 'photograph', 'enquirer'] as const;
export type Confirmation = (typeof CONFIRMATIONS)[number];

/** What one confirmed case counts, by how it was confirmed; our own estimates of how often each is right. */
const CONFIRMATION_WEIGHT: Readonly<Record<Confirmation, number>> = {
  laboratory: 1,
  'in-hand': 0.8,
  photograph: 0.5,
  enquirer: 0.25,
};

/** Cases whose cause became known in the same way. `month` is 1 to 12. */
export interface Outcome {
  readonly cause: CauseId;
  readonly confirmed: Confirmation;
  readonly month: number;
  /** How many there are; one where absent. */
  readonly cases?: number;
}

/** Weighted number of confirmed cases of each cause, as they count in one season. */
export type Experience = ReadonlyMap<CauseId, number>;

/** What a case of another season counts beside one of this season. */
const OTHER_SEASON = 0.25;
/** Months apart, around the year, that are still the same season. */
const SEASON_MONTHS = 1;
/** Cases that the library's own idea of what is common is worth: the sum of the Dirichlet parameters. */
export const LIBRARY_CASES = 30;
/** However many cases there are, a cause becomes at most this much more, or less, common. */
export const MAX_FACTOR = 3;

const monthsApart = (a: number, b: number): number => {
  const apart = Math.abs(a - b) % 12;
  return Math.min(apart, 12 - apart);
};

/**
 * Sums outcomes to the cases they count for in a month, 1 to 12. A case counts by how it was confirmed, 0 to 1; more
 * than one month away it counts a quarter of that.
 */
export function experienceIn(month: number, outcomes: readonly Outcome[]): Experience {
  const counts = new Map<CauseId, number>();
  for (const { cause, confirmed, month: then, cases = 1 } of outcomes) {
    const season = monthsApart(month, then) <= SEASON_MONTHS ? 1 : OTHER_SEASON;
    const weight = cases * season * CONFIRMATION_WEIGHT[confirmed];
    counts.set(cause, (counts.get(cause) ?? 0) + weight);
  }
  return counts;
}

/**
 * Factors by which the clinic's own cases move the prior weights of a host's causes: the posterior mean probability
 * of a Dirichlet distribution ({@link LIBRARY_CASES} library cases plus the cases seen) over the library's own,
 * bounded by {@link MAX_FACTOR}. All factors are 1 without cases of these causes.
 */
export function learnedFactors(
  causes: readonly { readonly id: CauseId }[],
  weights: Float64Array,
  experience: Experience,
): Float64Array {
  const unmoved = new Float64Array(causes.length).fill(1);
  if (experience.size === 0) return unmoved;
  const seen = causes.map(({ id }, i) =>
    numberAt(weights, i) > 0 ? (experience.get(id) ?? 0) : 0,
  );
  const [total, cases] = [sum(weights), sum(seen)];
  if (cases === 0 || total === 0) return unmoved;
  return weights.map((weight, i) => {
    if (weight === 0) return 1;
    const share = weight / total;
    const learned = (LIBRARY_CASES * share + entryAt(seen, i)) / (LIBRARY_CASES + cases);
    return Math.min(MAX_FACTOR, Math.max(1 / MAX_FACTOR, learned / share));
  });
}
