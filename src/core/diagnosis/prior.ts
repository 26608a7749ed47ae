import type { Cause } from '../knowledge/schema/cause.ts';

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
  /** Where the pair of two positions stands; -1 when it is not weighed. */
  readonly indexOf: (i: number, j: number) => number;
}

function isLinked(a: Cause, b: Cause): boolean {
  return a.leadsTo.includes(b.id) || b.leadsTo.includes(a.id);
}

/** Lists the pairs that are weighed for so many hosts. */
export function listPairs(causes: readonly Cause[], hosts: number): Pairs {
  const all = causes.length <= MOST_CAUSES_FOR_ALL_PAIRS && hosts <= MOST_HOSTS_FOR_ALL_PAIRS;
  const first: number[] = [];
  const second: number[] = [];
  const link: number[] = [];
  causes.forEach((a, i) => {
    for (let j = i + 1; j < causes.length; j++) {
      const b = causes[j];
      const linked = b !== undefined && isLinked(a, b);
      if (!linked && !all) continue;
      first.push(i);
      second.push(j);
      link.push(linked ? LINKED_PAIR_FACTOR : 1);
    }
  });
  const count = causes.length;
  const places = all
    ? null
    : new Map(first.map((i, k) => [i * count + (second[k] ?? 0), k] as const));
  return {
    indexOf: (a, b) => {
      const [i, j] = a < b ? [a, b] : [b, a];
      if (places) return places.get(i * count + j) ?? -1;
      return i * count - (i * (i + 1)) / 2 + j - i - 1;
    },
    first: Int32Array.from(first),
    second: Int32Array.from(second),
    link: Float64Array.from(link),
  };
}

const sum = (values: ArrayLike<number>): number => {
  let total = 0;
  for (let k = 0; k < values.length; k++) total += values[k] ?? 0;
  return total;
};

/** The prior of one host over the hypotheses of a network. */
export interface HostPrior {
  /** Prior of the hypothesis at a position; over all positions the sum is 1. */
  readonly at: (hypothesis: number) => number;
}

/** Prior over nothing wrong, not in the library, singles and pairs, from the weights of a host's causes. */
export function priorOfHost(weights: readonly number[], pairs: Pairs): HostPrior {
  const pairWeight = (k: number): number =>
    (weights[pairs.first[k] ?? 0] ?? 0) *
    (weights[pairs.second[k] ?? 0] ?? 0) *
    (pairs.link[k] ?? 1);
  let pairTotal = 0;
  for (let k = 0; k < pairs.first.length; k++) pairTotal += pairWeight(k);
  const singleTotal = sum(weights);
  const { nothingWrong, notInLibrary } = PRIOR_SHARES;
  const pairShare = pairTotal > 0 ? PRIOR_SHARES.pairs : 0;
  const singleShare = singleTotal > 0 ? 1 - nothingWrong - notInLibrary - pairShare : 0;
  const whole = nothingWrong + notInLibrary + singleShare + pairShare;
  const perSingle = singleTotal > 0 ? singleShare / singleTotal / whole : 0;
  const perPair = pairTotal > 0 ? pairShare / pairTotal / whole : 0;
  const firstPair = 2 + weights.length;
  return {
    at: (hypothesis) => {
      if (hypothesis === 0) return nothingWrong / whole;
      if (hypothesis === 1) return notInLibrary / whole;
      return hypothesis < firstPair
        ? perSingle * (weights[hypothesis - 2] ?? 0)
        : perPair * pairWeight(hypothesis - firstPair);
    },
  };
}
