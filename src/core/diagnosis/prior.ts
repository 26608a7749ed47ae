import type { Cause } from '../knowledge/schema/cause.ts';
import { sum } from '../maths.ts';

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
  for (const [i, j] of linkedPairs(causes)) link[indexOf(i, j)] = LINKED_PAIR_FACTOR;
  return { first, second, link, indexOf };
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
  /** Mean of a value of each hypothesis under this prior. */
  readonly mean: (values: Float64Array) => number;
}

/** Prior over nothing wrong, not in the library, singles and pairs, from the weights of a host's causes. */
export function priorOfHost(weights: readonly number[], pairs: Pairs): HostPrior {
  const { first, second, link } = pairs;
  const products = new Float64Array(first.length);
  for (let k = 0; k < products.length; k++)
    products[k] = (weights[first[k] ?? 0] ?? 0) * (weights[second[k] ?? 0] ?? 0) * (link[k] ?? 1);
  const pairTotal = sum(products);
  const singleTotal = sum(weights);
  const { nothingWrong, notInLibrary } = PRIOR_SHARES;
  const pairShare = pairTotal > 0 ? PRIOR_SHARES.pairs : 0;
  const singleShare = singleTotal > 0 ? 1 - nothingWrong - notInLibrary - pairShare : 0;
  const whole = nothingWrong + notInLibrary + singleShare + pairShare;
  const perSingle = singleTotal > 0 ? singleShare / singleTotal / whole : 0;
  const perPair = pairTotal > 0 ? pairShare / pairTotal / whole : 0;
  const firstPair = 2 + weights.length;
  const at = (hypothesis: number): number => {
    if (hypothesis === 0) return nothingWrong / whole;
    if (hypothesis === 1) return notInLibrary / whole;
    return hypothesis < firstPair
      ? perSingle * (weights[hypothesis - 2] ?? 0)
      : perPair * (products[hypothesis - firstPair] ?? 0);
  };
  return {
    at,
    addTo: (mixed, share) => {
      for (let h = 0; h < mixed.length; h++) mixed[h] = (mixed[h] ?? 0) + share * at(h);
    },
    mean: (values) => {
      let [ofSingles, ofPairs] = [0, 0];
      for (let i = 0; i < weights.length; i++)
        ofSingles += (weights[i] ?? 0) * (values[i + 2] ?? 0);
      for (let k = 0; k < products.length; k++)
        ofPairs += (products[k] ?? 0) * (values[firstPair + k] ?? 0);
      const ofRest = at(0) * (values[0] ?? 0) + at(1) * (values[1] ?? 0);
      return ofRest + perSingle * ofSingles + perPair * ofPairs;
    },
  };
}
