import {
  firstPair,
  FIRST_SINGLE,
  NOT_IN_LIBRARY,
  unknownCauseChance,
  type FindingNode,
  type Network,
} from './network.ts';

/** Stands for no cause where a position of one is asked for. */
export const NONE = -1;

/**
 * How likely something heard is under each hypothesis. Under most it is as likely as when nothing is wrong,
 * since only a few causes show any one finding; those are listed, and nothing else has to be worked out.
 */
export interface Likelihood {
  /** Positions of the causes that change it, ascending. */
  readonly touches: readonly number[];
  /** When the cause is not in the library. */
  readonly unknown: number;
  /** With no, one or two causes at work, by position; {@link NONE} for none. */
  readonly under: (first: number, second: number) => number;
}

/** P(finding | causes at work), by noisy-OR. */
export function presenceUnder({ background, miss }: FindingNode, i: number, j: number): number {
  const missed = (i === NONE ? 1 : (miss[i] ?? 1)) * (j === NONE ? 1 : (miss[j] ?? 1));
  return 1 - (1 - background) * missed;
}

/** Different numbers in ascending order. */
const ascending = (numbers: readonly number[]): readonly number[] =>
  [...new Set(numbers)].sort((a, b) => a - b);

/** What follows from how often some findings are there, by a function of their chances. */
export function likelihoodFrom(
  nodes: readonly FindingNode[],
  value: (presence: (node: FindingNode) => number) => number,
): Likelihood {
  const [first, ...others] = nodes;
  const touches =
    first && others.length === 0 ? first.shownBy : ascending(nodes.flatMap((one) => one.shownBy));
  return {
    touches,
    unknown: value(({ background }) => unknownCauseChance(background)),
    under: (i, j) => value((node) => presenceUnder(node, i, j)),
  };
}

/** The likelihood under the hypothesis at a position of the network. */
export function likelihoodAt(network: Network, likelihood: Likelihood, hypothesis: number): number {
  if (hypothesis === NOT_IN_LIBRARY) return likelihood.unknown;
  const pair = hypothesis - firstPair(network);
  if (pair < 0)
    return likelihood.under(hypothesis < FIRST_SINGLE ? NONE : hypothesis - FIRST_SINGLE, NONE);
  const { first, second } = network.pairs;
  return likelihood.under(first[pair] ?? NONE, second[pair] ?? NONE);
}

/** P(finding | hypothesis) for one hypothesis, see {@link presenceUnder}. */
export function presenceAt(network: Network, node: FindingNode, hypothesis: number): number {
  return likelihoodAt(
    network,
    likelihoodFrom([node], (presence) => presence(node)),
    hypothesis,
  );
}

/** Both at once. */
export function jointly(a: Likelihood, b: Likelihood): Likelihood {
  return {
    touches: ascending([...a.touches, ...b.touches]),
    unknown: a.unknown * b.unknown,
    under: (i, j) => a.under(i, j) * b.under(i, j),
  };
}

/** Chance of something before anything else is known: its mean under the prior, exact, by what it touches. */
export function priorChance(network: Network, { touches, unknown, under }: Likelihood): number {
  const { prior, pairs, pairPrior } = network;
  const base = under(NONE, NONE);
  const start = firstPair(network);
  let chance = base + (prior[NOT_IN_LIBRARY] ?? 0) * (unknown - base);
  touches.forEach((i, a) => {
    const own = under(i, NONE) - base;
    chance += ((prior[FIRST_SINGLE + i] ?? 0) + (pairPrior[i] ?? 0)) * own;
    for (let b = a + 1; b < touches.length; b++) {
      const j = touches[b] ?? 0;
      const at = pairs.indexOf(i, j);
      if (at < 0) continue;
      const counted = own + under(j, NONE) - base;
      chance += (prior[start + at] ?? 0) * (under(i, j) - base - counted);
    }
  });
  return chance;
}

/** So many likelihoods are multiplied before the weights are scaled: at three powers of ten each, well within the range of a double. */
const AT_ONCE = 60;

/**
 * Multiplies weights of hypotheses in place by likelihoods, and scales them so that the largest is 1. Returns the
 * logarithm of the whole scale, so the weights are those of a computation in logarithms without taking any for each
 * hypothesis. Exact, though only what the likelihoods touch is worked out: a pair of which one member shows
 * a finding has that member's ratio to nothing wrong, so pairs take the products of their members, and are put
 * right where both show the same finding.
 */
export function multiplyAll(
  weights: Float64Array,
  network: Network,
  likelihoods: readonly Likelihood[],
): number {
  let logScale = 0;
  for (let from = 0; from < likelihoods.length; from += AT_ONCE) {
    const some = likelihoods.slice(from, from + AT_ONCE);
    const single = new Float64Array(network.causes.length).fill(1);
    for (const one of some) logScale += Math.log(multiplyTouched(weights, network, one, single));
    multiplyMembers(weights, network, single);
    logScale += scale(weights);
  }
  return logScale;
}

/** Takes one likelihood into the factors of the causes, and puts right the pairs that it touches twice. Returns that of nothing wrong. */
function multiplyTouched(
  weights: Float64Array,
  { pairs, causes }: Network,
  { touches, unknown, under }: Likelihood,
  single: Float64Array,
): number {
  const base = under(NONE, NONE);
  const start = FIRST_SINGLE + causes.length;
  weights[NOT_IN_LIBRARY] = ((weights[NOT_IN_LIBRARY] ?? 0) * unknown) / base;
  const own = Float64Array.from(touches, (i) => under(i, NONE) / base);
  for (let a = 0; a < touches.length; a++) {
    const i = touches[a] ?? 0;
    single[i] = (single[i] ?? 1) * (own[a] ?? 1);
    for (let b = a + 1; b < touches.length; b++) {
      const j = touches[b] ?? 0;
      const at = start + pairs.indexOf(i, j);
      if (at < start) continue;
      const both = under(i, j) / (base * (own[a] ?? 1) * (own[b] ?? 1));
      weights[at] = (weights[at] ?? 0) * both;
    }
  }
  return base;
}

function multiplyMembers(weights: Float64Array, network: Network, single: Float64Array): void {
  const { first, second } = network.pairs;
  const start = firstPair(network);
  for (let i = 0; i < single.length; i++) {
    const h = FIRST_SINGLE + i;
    weights[h] = (weights[h] ?? 0) * (single[i] ?? 1);
  }
  for (let k = 0; k < first.length; k++) {
    const factor = (single[first[k] ?? 0] ?? 1) * (single[second[k] ?? 0] ?? 1);
    weights[start + k] = (weights[start + k] ?? 0) * factor;
  }
}

/** Divides by the largest weight; returns its logarithm. */
function scale(weights: Float64Array): number {
  let largest = 0;
  for (let h = 0; h < weights.length; h++) largest = Math.max(largest, weights[h] ?? 0);
  if (largest <= 0) return 0;
  for (let h = 0; h < weights.length; h++) weights[h] = (weights[h] ?? 0) / largest;
  return Math.log(largest);
}
