import { addAt, entryAt, indexAt, numberAt } from '../util/entryAt.ts';
import { sumColumn, tabulate } from '../util/maths.ts';
import { LINKED_PAIR_FACTOR, type Pairs } from './pairs.ts';

/** Prior shares of the kinds of hypothesis; our own estimates, near "about one question in five is no problem". */
const PRIOR_SHARES = { nothingWrong: 0.08, notInLibrary: 0.04, pairs: 0.14 } as const;

/** A host of a mixture with the weights of its causes, by position. Shares of a mixture sum to 1. */
export interface WeighedHost {
  readonly probability: number;
  readonly weights: Float64Array;
}

/** The prior over the hypotheses of a network, mixed over its hosts. */
export interface MixedPrior {
  /** Of each hypothesis; sums to 1. */
  readonly prior: Float64Array;
  /** Prior of all pairs that a cause is in, by position. */
  readonly pairPrior: Float64Array;
  /** Prior of a hypothesis were it the host at a position of the list. */
  readonly at: (host: number, hypothesis: number) => number;
  /** Mean of a value of each hypothesis under the prior of each host. */
  readonly priorGivenHost: (values: Float64Array) => Float64Array;
}

function sumOfSquares(weights: Float64Array): number {
  let total = 0;
  for (let i = 0; i < weights.length; i++) total += numberAt(weights, i) ** 2;
  return total;
}

/** Sum over the pairs of the products of their weights, for each cause; with all pairs it needs no walk through them. */
function pairSums(
  weights: Float64Array,
  { first, second, causalPairFactor, linked, all }: Pairs,
): Float64Array {
  const sums = new Float64Array(weights.length);
  if (all) {
    const total = sumColumn(weights);
    for (let i = 0; i < sums.length; i++) {
      const own = numberAt(weights, i);
      sums[i] = own * (total - own);
    }
  }
  for (const k of linked) {
    const [i, j] = [indexAt(first, k), indexAt(second, k)];
    const more =
      numberAt(weights, i) * numberAt(weights, j) * (numberAt(causalPairFactor, k) - (all ? 1 : 0));
    addAt(sums, i, more);
    addAt(sums, j, more);
  }
  return sums;
}

/** A host with what its weights are multiplied by to become priors. */
interface Host extends WeighedHost {
  readonly nothingWrong: number;
  readonly notInLibrary: number;
  readonly perSingle: number;
  readonly perPair: number;
  /** Weight of all pairs that a cause is in, by position. */
  readonly sums: Float64Array;
}

/**
 * Share of the pairs that are weighed among all pairs of the causes: where only linked ones are, they are no likelier than
 * they would be beside the others. 0 where there is no pair.
 */
function shareWeighed(weights: Float64Array, pairTotal: number, { all }: Pairs): number {
  if (pairTotal === 0) return 0;
  if (all) return 1;
  const total = sumColumn(weights);
  const squares = sumOfSquares(weights);
  const linkedOnce = pairTotal / LINKED_PAIR_FACTOR;
  return pairTotal / ((total ** 2 - squares) / 2 - linkedOnce + pairTotal);
}

function scaled({ probability, weights }: WeighedHost, pairs: Pairs): Host {
  const sums = pairSums(weights, pairs);
  const pairTotal = sumColumn(sums) / 2;
  const singleTotal = sumColumn(weights);
  const { nothingWrong, notInLibrary } = PRIOR_SHARES;
  const pairShare = PRIOR_SHARES.pairs * shareWeighed(weights, pairTotal, pairs);
  const singleShare = singleTotal > 0 ? 1 - nothingWrong - notInLibrary - pairShare : 0;
  const whole = nothingWrong + notInLibrary + singleShare + pairShare;
  return {
    probability,
    weights,
    sums,
    nothingWrong: nothingWrong / whole,
    notInLibrary: notInLibrary / whole,
    perSingle: singleTotal > 0 ? singleShare / singleTotal / whole : 0,
    perPair: pairTotal > 0 ? pairShare / pairTotal / whole : 0,
  };
}

/** 1 for causes whose weight differs between hosts: most kinds of a group differ in a few causes only. */
function varyingOf(hosts: readonly WeighedHost[], count: number): Uint8Array {
  const [first, ...others] = hosts;
  const varying = new Uint8Array(count);
  for (const { weights } of others)
    for (let i = 0; i < count; i++) if (weights[i] !== first?.weights[i]) varying[i] = 1;
  return varying;
}

/** Sum over the hosts of the weights of a cause, each times a factor of its host. */
function mixed(
  hosts: readonly Host[],
  count: number,
  factor: (host: Host) => number,
): Float64Array {
  const total = new Float64Array(count);
  for (const host of hosts) {
    const times = factor(host);
    for (let i = 0; i < count; i++) addAt(total, i, times * numberAt(host.weights, i));
  }
  return total;
}

/** Sum over the hosts of the product of two causes' weights. */
function productOf(hosts: readonly Host[], i: number, j: number): number {
  let total = 0;
  for (const { probability, perPair, weights } of hosts)
    total += probability * perPair * numberAt(weights, i) * numberAt(weights, j);
  return total;
}

/**
 * Writes the mixed prior of the pairs. Where at least one member weighs the same in every host, the sum over the
 * hosts is that weight times the mixed one of the other.
 */
function writePairs(
  prior: Float64Array,
  hosts: readonly Host[],
  varying: Uint8Array,
  { second, rows, causalPairFactor }: Pairs,
): void {
  const count = varying.length;
  const start = 2 + count;
  const common = hosts[0]?.weights ?? new Float64Array(count);
  const ofHosts = mixed(hosts, count, ({ probability, perPair }) => probability * perPair);
  for (let i = 0; i < count; i++) {
    const varies = varying[i] === 1;
    const own = numberAt(varies ? ofHosts : common, i);
    const others = varies ? common : ofHosts;
    const end = indexAt(rows, i + 1);
    for (let k = indexAt(rows, i); k < end; k++) {
      const j = indexAt(second, k);
      const product =
        varies && varying[j] === 1 ? productOf(hosts, i, j) : own * numberAt(others, j);
      prior[start + k] = product * numberAt(causalPairFactor, k);
    }
  }
}

/** Adds for each host the product of two causes' weights times a value. */
function addProducts(
  sums: Float64Array,
  hosts: readonly Host[],
  i: number,
  j: number,
  value: number,
): void {
  for (let h = 0; h < sums.length; h++) {
    const { weights } = entryAt(hosts, h);
    addAt(sums, h, numberAt(weights, i) * numberAt(weights, j) * value);
  }
}

/** Sums over the pairs of the products of their weights and a value, parted by how many members vary between the hosts. */
function sumsOfPairs(
  values: Float64Array,
  hosts: readonly Host[],
  varying: Uint8Array,
  { second, rows, causalPairFactor }: Pairs,
): Float64Array {
  const count = varying.length;
  const start = 2 + count;
  const common = hosts[0]?.weights ?? new Float64Array(count);
  const withOne = new Float64Array(count);
  const sums = new Float64Array(hosts.length);
  let same = 0;
  for (let i = 0; i < count; i++) {
    const own = numberAt(common, i);
    const varies = varying[i] === 1;
    const end = indexAt(rows, i + 1);
    for (let k = indexAt(rows, i); k < end; k++) {
      const j = indexAt(second, k);
      const value = numberAt(values, start + k) * numberAt(causalPairFactor, k);
      if (varying[j] === 0) {
        if (varies) addAt(withOne, i, value * numberAt(common, j));
        else same += own * value * numberAt(common, j);
      } else if (!varies) addAt(withOne, j, value * own);
      else addProducts(sums, hosts, i, j, value);
    }
  }
  return tabulate(hosts.length, (h) => {
    let total = same + numberAt(sums, h);
    const { weights } = entryAt(hosts, h);
    for (let i = 0; i < count; i++) total += numberAt(weights, i) * numberAt(withOne, i);
    return total;
  });
}

function meanOfRest(host: Host, values: Float64Array): number {
  let singles = 0;
  for (let i = 0; i < host.weights.length; i++)
    singles += numberAt(host.weights, i) * numberAt(values, i + 2);
  return (
    host.nothingWrong * numberAt(values, 0) +
    host.notInLibrary * numberAt(values, 1) +
    host.perSingle * singles
  );
}

/**
 * Prior probabilities over nothing wrong, not in the library, single causes and pairs, mixed over hosts by their
 * probabilities.
 */
export function mixPriors(weighed: readonly WeighedHost[], pairs: Pairs): MixedPrior {
  const hosts = weighed.map((one) => scaled(one, pairs));
  const count = weighed[0]?.weights.length ?? 0;
  const varying = varyingOf(hosts, count);
  const prior = new Float64Array(2 + count + pairs.first.length);
  const pairPrior = new Float64Array(count);
  for (const { probability, nothingWrong, notInLibrary, perPair, sums } of hosts) {
    addAt(prior, 0, probability * nothingWrong);
    addAt(prior, 1, probability * notInLibrary);
    for (let i = 0; i < count; i++) addAt(pairPrior, i, probability * perPair * numberAt(sums, i));
  }
  prior.set(
    mixed(hosts, count, ({ probability, perSingle }) => probability * perSingle),
    2,
  );
  writePairs(prior, hosts, varying, pairs);
  return {
    prior,
    pairPrior,
    at: (h, hypothesis) => {
      const host = entryAt(hosts, h);
      if (hypothesis === 0) return host.nothingWrong;
      if (hypothesis === 1) return host.notInLibrary;
      const weight = (i: number): number => numberAt(host.weights, i);
      const pair = hypothesis - 2 - count;
      if (pair < 0) return host.perSingle * weight(hypothesis - 2);
      const product = weight(indexAt(pairs.first, pair)) * weight(indexAt(pairs.second, pair));
      return host.perPair * product * numberAt(pairs.causalPairFactor, pair);
    },
    priorGivenHost: (values) => {
      const ofPairs = sumsOfPairs(values, hosts, varying, pairs);
      return tabulate(hosts.length, (h) => {
        const host = hosts[h];
        return host ? meanOfRest(host, values) + host.perPair * numberAt(ofPairs, h) : 0;
      });
    },
  };
}
