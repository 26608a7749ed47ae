/** Ten times the common logarithm: the decibans of a likelihood ratio (I. J. Good, 1950). */
export function decibans(ratio: number): number {
  return 10 * Math.log10(ratio);
}

/** Sum of the exponentials of log weights, as a log; stable when all weights are tiny. Empty input gives -Infinity. */
export function logSumExp(logWeights: Float64Array | readonly number[]): number {
  let largest = -Infinity;
  for (const weight of logWeights) if (weight > largest) largest = weight;
  if (largest === -Infinity) return -Infinity;
  let sum = 0;
  for (const weight of logWeights) sum += Math.exp(weight - largest);
  return largest + Math.log(sum);
}

/** Shannon entropy in nats of probabilities that sum to 1. */
export function entropyNats(probabilities: Float64Array | readonly number[]): number {
  let total = 0;
  for (const p of probabilities) if (p > 0) total -= p * Math.log(p);
  return total;
}
