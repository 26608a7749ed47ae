import { entryAt, indexAt, numberAt } from '../util/entryAt.ts';
import { tabulate } from '../util/maths.ts';
import {
  firstPair,
  FIRST_SINGLE,
  NOT_IN_LIBRARY,
  unknownCauseProbability,
  type Network,
} from './network.ts';
import type { FindingNode } from './nodes.ts';

/** Stands for no cause where a position of one is asked for. */
export const NONE = -1;

/**
 * How likely something heard is under each hypothesis. Under most it is as likely as when nothing is wrong,
 * since only a few causes show any one finding; those are listed, and nothing else has to be worked out.
 */
export interface Likelihood {
  /** Positions of the causes that change it, ascending. */
  readonly support: readonly number[];
  /** When the cause is not in the library. */
  readonly unknown: number;
  /** With no, one or two causes at work, by position; {@link NONE} for none. */
  readonly given: (first: number, second: number) => number;
  /** The same as a product, where it is one; null where it is not. */
  readonly inhibitions: Inhibition | null;
}

/** A likelihood in proportion to the presence of one finding: `shown` less `part` times the misses of the causes at work. */
export interface Inhibition {
  readonly shown: number;
  readonly part: number;
  readonly inhibition: Float64Array;
}

/**
 * Noisy-OR: the probability of a finding given up to two causes at work. `i` and `j` are 0-indexed positions of
 * causes, {@link NONE} for none.
 */
export function presenceUnder(
  { background, inhibition }: FindingNode,
  i: number,
  j: number,
): number {
  const missed =
    (i === NONE ? 1 : numberAt(inhibition, i)) * (j === NONE ? 1 : numberAt(inhibition, j));
  return 1 - (1 - background) * missed;
}

/** Different numbers in ascending order. */
const ascending = (numbers: readonly number[]): readonly number[] =>
  [...new Set(numbers)].sort((a, b) => a - b);

/**
 * Likelihood under every hypothesis of something that depends on the probability of some findings. `value` maps the
 * probability of each node to the likelihood, 0 to 1.
 */
export function likelihoodFrom(
  nodes: readonly FindingNode[],
  value: (presence: (node: FindingNode) => number) => number,
): Likelihood {
  const [first, ...others] = nodes;
  const support =
    first && others.length === 0 ? first.shownBy : ascending(nodes.flatMap((one) => one.shownBy));
  return {
    support,
    unknown: value(({ background }) => unknownCauseProbability(background)),
    given: (i, j) => value((node) => presenceUnder(node, i, j)),
    inhibitions: null,
  };
}

/**
 * Likelihood of something that is linear in the probability of one finding: `shown` when the finding is there,
 * `unshown` when it is not, both between 0 and 1.
 */
export function likelihoodInProportion(
  { background, inhibition, shownBy }: FindingNode,
  shown: number,
  unshown: number,
): Likelihood {
  const part = (shown - unshown) * (1 - background);
  const missOf = (i: number): number => (i === NONE ? 1 : numberAt(inhibition, i));
  return {
    support: shownBy,
    unknown: unshown + (shown - unshown) * unknownCauseProbability(background),
    given: (i, j) => shown - part * missOf(i) * missOf(j),
    inhibitions: { shown, part, inhibition },
  };
}

/** The likelihood (a probability, 0 to 1) under the hypothesis at a 0-indexed position of the network. */
export function likelihoodAt(network: Network, likelihood: Likelihood, hypothesis: number): number {
  if (hypothesis === NOT_IN_LIBRARY) return likelihood.unknown;
  const pair = hypothesis - firstPair(network);
  if (pair < 0)
    return likelihood.given(hypothesis < FIRST_SINGLE ? NONE : hypothesis - FIRST_SINGLE, NONE);
  const { first, second } = network.pairs;
  return likelihood.given(indexAt(first, pair), indexAt(second, pair));
}

/** Probability of a finding under the hypothesis at a 0-indexed position, see {@link presenceUnder}. */
export function presenceAt(network: Network, node: FindingNode, hypothesis: number): number {
  return likelihoodAt(
    network,
    likelihoodFrom([node], (presence) => presence(node)),
    hypothesis,
  );
}

/** The joint likelihood of two independent pieces of evidence: the products of their probabilities. */
export function jointly(a: Likelihood, b: Likelihood): Likelihood {
  return {
    support: ascending([...a.support, ...b.support]),
    unknown: a.unknown * b.unknown,
    given: (i, j) => a.given(i, j) * b.given(i, j),
    inhibitions: null,
  };
}

/**
 * Probability of a piece of evidence before any other: its mean likelihood under the prior. Exact; only the causes in
 * its support are visited.
 */
export function priorProbability(
  network: Network,
  { support, unknown, given }: Likelihood,
): number {
  const { prior, pairs, pairPrior } = network;
  const base = given(NONE, NONE);
  const start = firstPair(network);
  let chance = base + numberAt(prior, NOT_IN_LIBRARY) * (unknown - base);
  support.forEach((i, a) => {
    const own = given(i, NONE) - base;
    chance += (numberAt(prior, FIRST_SINGLE + i) + numberAt(pairPrior, i)) * own;
    for (let b = a + 1; b < support.length; b++) {
      const j = entryAt(support, b);
      const at = pairs.indexOf(i, j);
      if (at < 0) continue;
      const counted = own + given(j, NONE) - base;
      chance += numberAt(prior, start + at) * (given(i, j) - base - counted);
    }
  });
  return chance;
}

/** Factors are taken into the weights before one leaves this range, and after so many likelihoods, well within the range of a double. */
const WIDEST_FACTOR = 1e60;
const AT_ONCE = 90;

/**
 * Multiplies the weights of all hypotheses in place by likelihoods. Returns the natural logarithm of the factor that
 * they were divided by to keep them in range. Exact, though only the supports are visited: a pair with one member in
 * a support has the ratio of that member to nothing wrong, so pairs take the products of their members' ratios,
 * corrected where both members show the same finding. `likest` is an optional factor for each cause, of which a pair
 * takes the larger. Weights stay proportional to probabilities.
 */
export function multiplyAll(
  weights: Float64Array,
  network: Network,
  likelihoods: readonly Likelihood[],
  likest?: Float64Array,
): number {
  const none = new Float64Array(network.causes.length).fill(1);
  let logScale = 0;
  const single = new Float64Array(network.causes.length).fill(1);
  likelihoods.forEach((one, n) => {
    logScale += Math.log(multiplyTouched(weights, network, one, single));
    if (!isWide(single, one.support) && (n + 1) % AT_ONCE !== 0) return;
    multiplyMembers(weights, network, single, none);
    single.fill(1);
    logScale += scale(weights);
  });
  multiplyMembers(weights, network, single, likest ?? none);
  return logScale;
}

function isWide(single: Float64Array, touches: readonly number[]): boolean {
  for (const i of touches) {
    const factor = numberAt(single, i);
    if (factor > WIDEST_FACTOR || factor < 1 / WIDEST_FACTOR) return true;
  }
  return false;
}

/** Takes one likelihood into the factors of the causes, and puts right the pairs that it touches twice. Returns that of nothing wrong. */
function multiplyTouched(
  weights: Float64Array,
  { pairs, causes }: Network,
  { support, unknown, given, inhibitions }: Likelihood,
  single: Float64Array,
): number {
  const base = given(NONE, NONE);
  const start = FIRST_SINGLE + causes.length;
  weights[NOT_IN_LIBRARY] = (numberAt(weights, NOT_IN_LIBRARY) * unknown) / base;
  const own = tabulate(support.length, (a) => given(entryAt(support, a), NONE) / base);
  for (let a = 0; a < support.length; a++) {
    const i = entryAt(support, a);
    const ofFirst = numberAt(own, a);
    single[i] = numberAt(single, i) * ofFirst;
    const part = inhibitions ? inhibitions.part * numberAt(inhibitions.inhibition, i) : 0;
    for (let b = a + 1; b < support.length; b++) {
      const j = entryAt(support, b);
      const at = start + pairs.indexOf(i, j);
      if (at < start) continue;
      const both = inhibitions
        ? inhibitions.shown - part * numberAt(inhibitions.inhibition, j)
        : given(i, j);
      weights[at] = (numberAt(weights, at) * both) / (base * ofFirst * numberAt(own, b));
    }
  }
  return base;
}

function multiplyMembers(
  weights: Float64Array,
  network: Network,
  single: Float64Array,
  likest: Float64Array,
): void {
  const { second, rows } = network.pairs;
  const start = firstPair(network);
  for (let i = 0; i < single.length; i++) {
    const h = FIRST_SINGLE + i;
    const [own, like] = [numberAt(single, i), numberAt(likest, i)];
    weights[h] = numberAt(weights, h) * own * like;
    const end = indexAt(rows, i + 1);
    for (let k = indexAt(rows, i); k < end; k++) {
      const j = indexAt(second, k);
      const other = numberAt(likest, j);
      const factor = own * numberAt(single, j) * (other > like ? other : like);
      weights[start + k] = numberAt(weights, start + k) * factor;
    }
  }
}

/** Divides by the largest weight; returns its logarithm. */
function scale(weights: Float64Array): number {
  let largest = 0;
  for (let h = 0; h < weights.length; h++) largest = Math.max(largest, numberAt(weights, h));
  if (largest <= 0) return 0;
  for (let h = 0; h < weights.length; h++) weights[h] = numberAt(weights, h) / largest;
  return Math.log(largest);
}
