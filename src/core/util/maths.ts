import { entryAt, numberAt } from './entryAt.ts';
/**
 * Ten times the common logarithm of a ratio of probabilities: decibans (I. J. Good, 1950). Returns -Infinity for 0
 * and NaN for a negative ratio.
 */
export function decibans(ratio: number): number {
  return 10 * Math.log10(ratio);
}

/** Shannon entropy in nats, the sum of -p ln p. Probabilities of 0 add nothing. */
export function entropyNats(probabilities: Float64Array): number {
  let total = 0;
  for (let k = 0; k < probabilities.length; k++) {
    const p = numberAt(probabilities, k);
    if (p > 0) total -= p * Math.log(p);
  }
  return total;
}

/** Values of a function at 0 to length - 1. Several times faster than `Float64Array.from`, which walks an iterator. */
export function tabulate(length: number, valueAt: (index: number) => number): Float64Array {
  const values = new Float64Array(length);
  for (let i = 0; i < length; i++) values[i] = valueAt(i);
  return values;
}

/** Writes the products of two columns into a third; returns their sum. */
export function multiplyInto(products: Float64Array, a: Float64Array, b: Float64Array): number {
  let total = 0;
  for (let k = 0; k < products.length; k++) {
    const product = numberAt(a, k) * numberAt(b, k);
    products[k] = product;
    total += product;
  }
  return total;
}

/** Makes columns of one length, `atOnce` in a block: a small typed array of its own is slow to make. */
export function columnMaker(length: number, atOnce: number): () => Float64Array {
  let block = new Float64Array(0);
  let used = 0;
  return () => {
    if (used + length > block.length) {
      block = new Float64Array(length * atOnce);
      used = 0;
    }
    used += length;
    return block.subarray(used - length, used);
  };
}

/** Sum of the values. */
export function sum(values: ArrayLike<number>): number {
  let total = 0;
  for (let k = 0; k < values.length; k++) total += entryAt(values, k);
  return total;
}

/** {@link sum} of a column of numbers; for one kind of array alone, which keeps long loops fast. */
export function sumColumn(values: Float64Array): number {
  let total = 0;
  for (let k = 0; k < values.length; k++) total += numberAt(values, k);
  return total;
}

/** The nearest-rank percentile (R. J. Hyndman and Y. Fan, 1996, type 1) of values in order, `share` from 0 to 1; undefined of none. */
export function percentile<N extends number>(ordered: readonly N[], share: number): N | undefined {
  return ordered[Math.max(1, Math.ceil(share * ordered.length)) - 1];
}
