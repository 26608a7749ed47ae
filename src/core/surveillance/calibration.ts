import { sum } from '../util/maths.ts';

/** How surely something was said, 0 to 1, and whether it proved true. */
export interface SaidTrue {
  readonly said: number;
  readonly isTrue: boolean;
}

/** A share with the interval in which it lies with 95 %. */
export interface Share {
  readonly cases: number;
  readonly isTrue: number;
  /** Null without a case. */
  readonly share: number | null;
  readonly low: number;
  readonly high: number;
}

/** Said values of one range, beside how often they proved true. */
export interface CalibrationBin extends Share {
  readonly from: number;
  readonly to: number;
  /** Mean of what was said; null without a case. */
  readonly said: number | null;
}

/** 97.5 % point of the normal distribution. */
const Z = 1.959964;

/**
 * A share of true cases with its 95 % interval by the score method (E. B. Wilson, 1927), which holds for few cases too.
 * From 0 to 1 without a case.
 */
export function shareOf(isTrue: number, cases: number): Share {
  if (cases === 0) return { cases, isTrue, share: null, low: 0, high: 1 };
  const share = isTrue / cases;
  const weight = 1 / (1 + Z ** 2 / cases);
  const middle = weight * (share + Z ** 2 / (2 * cases));
  const half = weight * Z * Math.sqrt((share * (1 - share)) / cases + Z ** 2 / (4 * cases ** 2));
  return {
    cases,
    isTrue,
    share,
    low: Math.max(0, middle - half),
    high: Math.min(1, middle + half),
  };
}

/**
 * What was said against what proved true, by ranges of what was said. `edges` ascend from 0 to 1; a value on an edge
 * belongs to the range above it, 1 to the last one.
 */
export function calibrationBins(
  outcomes: readonly SaidTrue[],
  edges: readonly number[],
): readonly CalibrationBin[] {
  const last = edges.length - 2;
  return edges.slice(0, -1).map((from, i) => {
    const to = edges[i + 1] ?? 1;
    const inside = outcomes.filter(
      ({ said }) => said >= from && (said < to || (i === last && said <= to)),
    );
    const isTrue = inside.filter((one) => one.isTrue).length;
    const mean = inside.length === 0 ? null : sum(inside.map(({ said }) => said)) / inside.length;
    return { from, to, said: mean, ...shareOf(isTrue, inside.length) };
  });
}

/**
 * Mean squared distance of what was said from the truth (G. W. Brier, 1950, of one category): 0 is always right and sure,
 * 0.25 what saying a half of everything gives. Null without a case.
 */
export function brierScore(outcomes: readonly SaidTrue[]): number | null {
  if (outcomes.length === 0) return null;
  return sum(outcomes.map(({ said, isTrue }) => (said - (isTrue ? 1 : 0)) ** 2)) / outcomes.length;
}
