import { addAt, entryAt, indexAt, numberAt } from '../core/util/entryAt.ts';
/** Rows of a sparse matrix: the columns of row r and their values stand from starts[r] up to starts[r + 1]. */
export interface SparseRows {
  readonly starts: Int32Array;
  readonly columns: Int32Array;
  readonly values: Float64Array;
  readonly width: number;
  /** How much each row counts. */
  readonly counts: Float64Array;
}

/** Puts rows of column and value together; columns are 0 to width - 1. */
export function sparseRows(
  rows: readonly (readonly (readonly [number, number])[])[],
  width: number,
  counts: readonly number[] = rows.map(() => 1),
): SparseRows {
  const starts = new Int32Array(rows.length + 1);
  rows.forEach((row, r) => (starts[r + 1] = indexAt(starts, r) + row.length));
  const cells = rows.flat();
  return {
    starts,
    columns: Int32Array.from(cells, ([column]) => column),
    values: Float64Array.from(cells, ([, value]) => value),
    width,
    counts: Float64Array.from(counts),
  };
}

/** Weights of the columns, then that of all rows. */
export type Weights = Float64Array;

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += numberAt(a, i) * numberAt(b, i);
  return sum;
};

/** Loss of the weights and its gradient, which is written into `gradient`. */
function lossOf(
  { starts, columns, values, width, counts }: SparseRows,
  labels: Uint8Array,
  loose: number,
  weights: Weights,
  gradient: Float64Array,
): number {
  let loss = 0.5 * dot(weights, weights);
  gradient.set(weights);
  for (let r = 0; r < labels.length; r++) {
    const [from, to] = [indexAt(starts, r), indexAt(starts, r + 1)];
    let odds = weights[width] ?? 0;
    for (let k = from; k < to; k++)
      odds += (weights[indexAt(columns, k)] ?? 0) * numberAt(values, k);
    const weight = loose * (counts[r] ?? 1);
    const margin = labels[r] === 1 ? odds : -odds;
    loss +=
      weight *
      (margin > 0 ? Math.log1p(Math.exp(-margin)) : -margin + Math.log1p(Math.exp(margin)));
    const pull = (weight * (labels[r] === 1 ? -1 : 1)) / (1 + Math.exp(margin));
    for (let k = from; k < to; k++) {
      const column = indexAt(columns, k);
      addAt(gradient, column, pull * numberAt(values, k));
    }
    addAt(gradient, width, pull);
  }
  return loss;
}

/** A step that was taken and how the gradient changed by it. */
interface Step {
  readonly moved: Float64Array;
  readonly turned: Float64Array;
  readonly scale: number;
}

const REMEMBERED = 8;
const ROUNDS = 150;
/** Share of the first slope that may be left, of a label that half of the rows have; of rarer ones less, as nearly all of their first slope is of the weight of all rows. */
const NEAR_ENOUGH = 1e-2;
/** Share of the promised gain that a step must bring. */
const ARMIJO = 1e-4;

/** Direction of descent by the last steps (J. Nocedal, "Updating quasi-Newton matrices with limited storage", 1980). */
function directionOf(gradient: Float64Array, steps: readonly Step[]): Float64Array {
  const direction = gradient.map((one) => -one);
  const shares: number[] = [];
  for (const { moved, turned, scale } of [...steps].reverse()) {
    const share = scale * dot(moved, direction);
    shares.push(share);
    for (let i = 0; i < direction.length; i++)
      direction[i] = numberAt(direction, i) - share * numberAt(turned, i);
  }
  const last = steps.at(-1);
  const size = last ? 1 / (last.scale * dot(last.turned, last.turned)) : 1;
  for (let i = 0; i < direction.length; i++) direction[i] = numberAt(direction, i) * size;
  for (const { moved, turned, scale } of steps) {
    const share = (shares.pop() ?? 0) - scale * dot(turned, direction);
    for (let i = 0; i < direction.length; i++) addAt(direction, i, share * numberAt(moved, i));
  }
  return direction;
}

/**
 * Logistic regression: the weights that minimise half their squared length plus `loose` times the summed loss of the rows, each as often as it counts. `labels`
 * are 0 or 1, one for each row. Deterministic.
 */
export function fitLogistic(rows: SparseRows, labels: Uint8Array, loose: number): Weights {
  let weights: Weights = new Float64Array(rows.width + 1);
  let gradient = new Float64Array(rows.width + 1);
  let loss = lossOf(rows, labels, loose, weights, gradient);
  const first = Math.sqrt(dot(gradient, gradient));
  const rarer = Math.max(1, labels.filter((one) => one === 1).length) / labels.length;
  const enough = NEAR_ENOUGH * first * Math.min(rarer, 1 - rarer);
  let steps: Step[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const direction = directionOf(gradient, steps);
    const slope = dot(direction, gradient);
    let size = steps.length === 0 ? 1 / Math.max(1, first) : 1;
    const nextGradient = new Float64Array(gradient.length);
    let next = weights;
    let nextLoss = Infinity;
    for (; size > 1e-10; size /= 2) {
      next = weights.map((one, i) => one + size * numberAt(direction, i));
      nextLoss = lossOf(rows, labels, loose, next, nextGradient);
      if (nextLoss <= loss + ARMIJO * size * slope) break;
    }
    if (!(nextLoss < loss)) break;
    const [before, turnedFrom] = [weights, gradient];
    const moved = next.map((one, i) => one - (before[i] ?? 0));
    const turned = nextGradient.map((one, i) => one - numberAt(turnedFrom, i));
    const curve = dot(moved, turned);
    if (curve > 1e-12) steps = [...steps, { moved, turned, scale: 1 / curve }].slice(-REMEMBERED);
    [weights, gradient, loss] = [next, nextGradient, nextLoss];
    if (Math.sqrt(dot(gradient, gradient)) < enough) break;
  }
  return weights;
}

/** Numbers that speak for something, and whether it is so. */
export interface Case {
  readonly values: readonly number[];
  readonly right: boolean;
}

const DECIMALS = 3;

/**
 * Weights by name, and of `always` for all, for values as they are; they are fitted to values brought to mean 0 and deviation 1, so
 * that all are held down alike.
 */
export function fitNamed(
  names: readonly string[],
  cases: readonly Case[],
  loose: number,
): Record<string, number> {
  const spread = names.map((_, i) => {
    const mean = cases.reduce((sum, { values }) => sum + entryAt(values, i), 0) / cases.length;
    const square = cases.reduce((sum, { values }) => sum + (entryAt(values, i) - mean) ** 2, 0);
    return { mean, deviation: Math.sqrt(square / cases.length) || 1 };
  });
  const rows = sparseRows(
    cases.map(({ values }) =>
      spread.map(({ mean, deviation }, i) => [i, (entryAt(values, i) - mean) / deviation] as const),
    ),
    names.length,
  );
  const labels = Uint8Array.from(cases, ({ right }) => Number(right));
  const weights = fitLogistic(rows, labels, loose);
  let always = weights[names.length] ?? 0;
  const raw = names.map((name, i): [string, number] => {
    const { mean, deviation } = spread[i] ?? { mean: 0, deviation: 1 };
    const weight = (weights[i] ?? 0) / deviation;
    always -= weight * mean;
    return [name, Number(weight.toFixed(DECIMALS))];
  });
  return Object.fromEntries([['always', Number(always.toFixed(DECIMALS))], ...raw]);
}
