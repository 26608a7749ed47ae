import type { FindingId } from '../schema/common.ts';

/** One report about a plant, before weighing. */
export interface Report {
  readonly finding: FindingId;
  readonly value: boolean;
  /** How sure the report is: 0 is uninformative, 1 is certain. */
  readonly sure: number;
}

/** How a report follows from the truth: chance of hearing "yes" when it is so, and when it is not. */
export interface Reliability {
  readonly yesWhenTrue: number;
  readonly yesWhenFalse: number;
}

/** Added to the background so that even the rarest sign is sometimes reported by mistake; our own estimate. */
const MISTAKEN_SIGN = 0.02;

/** Nobody is surer than this: a chance of exactly 0 could never be taken back by anything said later. */
const MAX_SURE = 0.999;

/**
 * From here on a "yes" is a considered report, of which only the rarity of the sign decides how often it is mistaken;
 * below, more and more of them are guesses, as likely with the sign as without it. Our own estimate.
 */
const CONSIDERED = 0.7;

/**
 * Sensitivity and specificity of a report. What is there is overlooked more often than what is not there is reported:
 * a "no" of the usual sureness of 0.85 misses one sign in seven. `sure` is between 0 and 1; `background` is the probability of the finding
 * without any cause. The rarer a finding, the rarer a mistaken "yes": nobody reports orange pustules for want of
 * something to say. With `sure` 0 both are 0.5, and the report changes nothing.
 */
export function reliabilityOf(sure: number, background: number): Reliability {
  const bounded = Math.min(sure, MAX_SURE);
  const considered = Math.min(1, bounded / CONSIDERED) ** 2;
  return {
    yesWhenTrue: 0.5 + bounded ** 2 / 2,
    yesWhenFalse:
      (1 - bounded) * ((1 - considered) / 2 + considered * (MISTAKEN_SIGN + background)),
  };
}

/** Probability of the report, given the probability `present` that the finding is there. */
export function reportLikelihood(
  present: number,
  value: boolean,
  reliability: Reliability,
): number {
  const yes = present * reliability.yesWhenTrue + (1 - present) * reliability.yesWhenFalse;
  return value ? yes : 1 - yes;
}
