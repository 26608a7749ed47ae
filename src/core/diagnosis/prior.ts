import type { Cause } from '../knowledge/schema/cause.ts';
import { sum, tabulate } from '../maths.ts';

/** Prior shares of the kinds of hypothesis; our own estimates, near "about one question in five is no problem". */
const PRIOR_SHARES = { nothingWrong: 0.08, notInLibrary: 0.04, pairs: 0.14 } as const;

/** How much likelier a pair is when one cause invites the other. */
const LINKED_PAIR_FACTOR = 6;

/** Up to these every pair is weighed; beyond them ("some tree") only linked ones, to keep an answer quick. */
const MOST_CAUSES_FOR_ALL_PAIRS = 260;
const MOST_HOSTS_FOR_ALL_PAIRS = 12;

/** Pairs of cause positions, first below second, as two columns. */
export interface Pairs {
  readonly first: Int32Array;
  readonly second: Int32Array;
  /** Weight of each pair besides those of its members: 1, or more where one invites the other. */
  readonly link: Float64Array;
  /** Where the pairs stand of which one invites the other. */
  readonly linked: Int32Array;
  /** Every pair of the causes is weighed, not only linked ones. */
  readonly all: boolean;
  /** Where the pair of two positions stands; -1 when it is not weighed. */
  readonly indexOf: (i: number, j: number) => number;
}

/** Every pair, in order of the first and then the second member. */
function allPairs(causes: readonly Cause[]): Pairs {
  const count = causes.length;
  const pairs = (count * (count - 1)) / 2;
  const [first, second] = [new Int32Array(pairs), new Int32Array(pairs)];
  const indexOf = (a: number, b: number): number => {
    const i = Math.min(a, b);
    return i * count - (i * (i + 1)) / 2 + Math.max(a, b) - i - 1;
  };
  for (let i = 0, k = 0; i < count; i++) {
    for (let j = i + 1; j < count; j++, k++) {
      first[k] = i;
      second[k] = j;
    }
  }
  const link = new Float64Array(pairs).fill(1);
  const linked = Int32Array.from(linkedPairs(causes), ([i, j]) => indexOf(i, j));
  for (const k of linked) link[k] = LINKED_PAIR_FACTOR;
  return { first, second, link, linked, all: true, indexOf };
}

/** Pairs of positions of which one cause invites the other, the lower position first; none twice. */
function linkedPairs(causes: readonly Cause[]): readonly (readonly [number, number])[] {
  const position = new Map(causes.map(({ id }, i) => [id, i]));
  const keys = causes.flatMap(({ leadsTo }, i) =>
    leadsTo.flatMap((id) => {
      const j = position.get(id);
      return j === undefined || j === i ? [] : [Math.min(i, j) * causes.length + Math.max(i, j)];
    }),
  );
  return [...new Set(keys)]
    .sort((a, b) => a - b)
    .map((key) => [Math.floor(key / causes.length), key % causes.length]);
}

function onlyLinkedPairs(causes: readonly Cause[]): Pairs {
  const linked = linkedPairs(causes);
  const places = new Map(linked.map(([i, j], k) => [i * causes.length + j, k]));
  return {
    first: Int32Array.from(linked, ([i]) => i),
    second: Int32Array.from(linked, ([, j]) => j),
    link: new Float64Array(linked.length).fill(LINKED_PAIR_FACTOR),
    linked: Int32Array.from(linked.keys()),
    all: false,
    indexOf: (a, b) => places.get(Math.min(a, b) * causes.length + Math.max(a, b)) ?? -1,
  };
}

/** Lists the pairs that are weighed for so many hosts. */
export function listPairs(causes: readonly Cause[], hosts: number): Pairs {
  const all = causes.length <= MOST_CAUSES_FOR_ALL_PAIRS && hosts <= MOST_HOSTS_FOR_ALL_PAIRS;
  return all ? allPairs(causes) : onlyLinkedPairs(causes);
}

/** The prior of one host over the hypotheses of a network. */
export interface HostPrior {
  /** Prior of the hypothesis at a position; over all positions the sum is 1. */
  readonly at: (hypothesis: number) => number;
  /** Adds the prior of every hypothesis, times a share, to an array. */
  readonly addTo: (mixed: Float64Array, share: number) => void;
  /** Adds the prior of all pairs that a cause is in, times a share, to an array by cause position. */
  readonly addPairsTo: (byCause: Float64Array, share: number) => void;
  /** Mean of a value of each hypothesis under this prior. */
  readonly mean: (values: Float64Array) => number;
}

/** Sum over the pairs of the products of their weights, for each cause; with all pairs it needs no walk through them. */
function pairSums(
  weights: Float64Array,
  { first, second, link, linked, all }: Pairs,
): Float64Array {
  const total = all ? sum(weights) : 0;
  const sums = tabulate(weights.length, (i) => {
    const own = weights[i] ?? 0;
    return all ? own * (total - own) : 0;
  });
  for (const k of linked) {
    const [i, j] = [first[k] ?? 0, second[k] ?? 0];
    const more = (weights[i] ?? 0) * (weights[j] ?? 0) * ((link[k] ?? 1) - (all ? 1 : 0));
    sums[i] = (sums[i] ?? 0) + more;
    sums[j] = (sums[j] ?? 0) + more;
  }
  return sums;
}

/** Adds `scale` times the product of each pair's weights to an array from `start` on. */
function addPairProducts(
  weights: Float64Array,
  { first, second, link }: Pairs,
  scale: number,
  to: Float64Array,
  start: number,
): void {
  for (let k = 0; k < first.length; k++) {
    const own = (weights[first[k] ?? 0] ?? 0) * (weights[second[k] ?? 0] ?? 0);
    to[start + k] = (to[start + k] ?? 0) + scale * own * (link[k] ?? 1);
  }
}

/** Sum over the pairs of the product of their weights and a value. */
function sumOfPairs(
  weights: Float64Array,
  { first, second, link }: Pairs,
  values: Float64Array,
  start: number,
): number {
  let total = 0;
  for (let k = 0; k < first.length; k++) {
    const own = (weights[first[k] ?? 0] ?? 0) * (weights[second[k] ?? 0] ?? 0);
    total += own * (link[k] ?? 1) * (values[start + k] ?? 0);
  }
  return total;
}

/** Prior over nothing wrong, not in the library, singles and pairs, from the weights of a host's causes. */
export function priorOfHost(weights: Float64Array, pairs: Pairs): HostPrior {
  const sums = pairSums(weights, pairs);
  const pairTotal = sum(sums) / 2;
  const singleTotal = sum(weights);
  const { nothingWrong, notInLibrary } = PRIOR_SHARES;
  const pairShare = pairTotal > 0 ? PRIOR_SHARES.pairs : 0;
  const singleShare = singleTotal > 0 ? 1 - nothingWrong - notInLibrary - pairShare : 0;
  const whole = nothingWrong + notInLibrary + singleShare + pairShare;
  const perSingle = singleTotal > 0 ? singleShare / singleTotal / whole : 0;
  const perPair = pairTotal > 0 ? pairShare / pairTotal / whole : 0;
  const firstPair = 2 + weights.length;
  const add = (to: Float64Array, at: number, more: number): void => {
    to[at] = (to[at] ?? 0) + more;
  };
  const productOf = (k: number): number =>
    (weights[pairs.first[k] ?? 0] ?? 0) *
    (weights[pairs.second[k] ?? 0] ?? 0) *
    (pairs.link[k] ?? 1);
  return {
    at: (hypothesis) => {
      if (hypothesis === 0) return nothingWrong / whole;
      if (hypothesis === 1) return notInLibrary / whole;
      return hypothesis < firstPair
        ? perSingle * (weights[hypothesis - 2] ?? 0)
        : perPair * productOf(hypothesis - firstPair);
    },
    addTo: (mixed, share) => {
      add(mixed, 0, (share * nothingWrong) / whole);
      add(mixed, 1, (share * notInLibrary) / whole);
      weights.forEach((weight, i) => add(mixed, i + 2, share * perSingle * weight));
      addPairProducts(weights, pairs, share * perPair, mixed, firstPair);
    },
    addPairsTo: (byCause, share) => {
      sums.forEach((one, i) => add(byCause, i, share * perPair * one));
    },
    mean: (values) => {
      let ofSingles = 0;
      for (let i = 0; i < weights.length; i++)
        ofSingles += (weights[i] ?? 0) * (values[i + 2] ?? 0);
      const ofRest = (nothingWrong * (values[0] ?? 0) + notInLibrary * (values[1] ?? 0)) / whole;
      return (
        ofRest + perSingle * ofSingles + perPair * sumOfPairs(weights, pairs, values, firstPair)
      );
    },
  };
}
