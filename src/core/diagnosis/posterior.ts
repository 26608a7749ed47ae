import { addAt, indexAt, numberAt } from '../util/entryAt.ts';
import type { Compiled } from '../library/compile.ts';
import type { CauseId } from '../schema/common.ts';
import type { Report } from './evidence.ts';
import { multiplyAll } from './likelihood.ts';
import {
  firstPair,
  FIRST_SINGLE,
  NOTHING_WRONG,
  NOT_IN_LIBRARY,
  positionsIn,
  type Network,
} from './network.ts';
import { nonMentionOf, unmentioned } from './nonMention.ts';
import { weighReports, type Weighed } from './weigh.ts';
import { weighLaboratory, type LaboratoryResult } from './laboratory.ts';
import { TROUBLE_PSEUDO_FINDING, weighWords, type Wording, type Words } from './textEvidence.ts';

/** The outcome of weighing. */
export interface Posterior {
  /** Probability of each hypothesis, in the order of the network; sums to 1. */
  readonly hypotheses: Float64Array;
  /** Probability that a cause is at work, alone or in a pair, by cause position. */
  readonly causes: Float64Array;
  /** Positions of all causes, the likeliest first. */
  readonly ranking: readonly number[];
  readonly nothingWrong: number;
  readonly notInLibrary: number;
  /** The likeliest hypothesis, and the same as cause ids: none, one or two. */
  readonly best: number;
  readonly explanation: readonly CauseId[];
  /** Natural logarithm of the probability of all that was reported, and of the silence about the rest. */
  readonly logEvidence: number;
}

/** Ids of the causes of a hypothesis. */
export function causesOf(network: Network, hypothesis: number): readonly CauseId[] {
  return positionsIn(network, hypothesis)
    .map((position) => network.causes[position]?.id)
    .filter((id) => id !== undefined);
}

/** Brings weights to probabilities in place; returns their sums by cause. */
function normalise(network: Network, weights: Float64Array, total: number): Float64Array {
  const { second, rows } = network.pairs;
  const start = firstPair(network);
  for (let h = 0; h < start; h++) weights[h] = numberAt(weights, h) / total;
  const causes = weights.slice(FIRST_SINGLE, start);
  for (let i = 0; i < causes.length; i++) {
    const end = indexAt(rows, i + 1);
    let asFirst = 0;
    for (let k = indexAt(rows, i); k < end; k++) {
      const p = numberAt(weights, start + k) / total;
      weights[start + k] = p;
      const j = indexAt(second, k);
      asFirst += p;
      addAt(causes, j, p);
    }
    addAt(causes, i, asFirst);
  }
  return causes;
}

/** Brings weights to probabilities in place and sums them by cause. `logScale` is what the weights were divided by. */
function posteriorFrom(network: Network, weights: Float64Array, logScale = 0): Posterior {
  let total = 0;
  let [best, most] = [NOTHING_WRONG, -Infinity];
  for (let h = 0; h < weights.length; h++) {
    const weight = numberAt(weights, h);
    total += weight;
    if (weight > most) [best, most] = [h, weight];
  }
  const causes = normalise(network, weights, total);
  return {
    hypotheses: weights,
    causes,
    ranking: [...causes.keys()].sort((a, b) => numberAt(causes, b) - numberAt(causes, a)),
    nothingWrong: numberAt(weights, NOTHING_WRONG),
    notInLibrary: numberAt(weights, NOT_IN_LIBRARY),
    best,
    explanation: causesOf(network, best),
    logEvidence: logScale + Math.log(total),
  };
}

/** What weighing returns: the posterior and each report's own likelihoods, for the explanation. */
export interface Weighing {
  readonly posterior: Posterior;
  readonly evidence: readonly Weighed[];
  /** What was taken from the text as a whole. */
  readonly wording: readonly Weighed[];
  /** Results of laboratories about causes of the plant. */
  readonly laboratory: readonly Weighed[];
}

const NO_WORDS: Words = { similarity: () => 0, fit: () => 0, asks: false, reportsTrouble: false };

function productOf([first, ...others]: readonly Wording[]): Float64Array | undefined {
  return others.reduce(
    (product, { factors }) => product?.map((factor, i) => factor * numberAt(factors, i)),
    first?.factors,
  );
}

/**
 * Exact posterior probabilities over nothing wrong, not in the library, every cause and every pair of causes.
 * `silence` is the probability of mentioning a sign that is there, see {@link mentionProbability}; 0 leaves
 * non-mention out. `words` is the evidence of the text as a whole. `results` are those of laboratories. A report with
 * `sure` 0 counts as not made.
 */
export function weighAll(
  library: Compiled,
  network: Network,
  reports: readonly Report[],
  silence: number,
  words: Words = NO_WORDS,
  results: readonly LaboratoryResult[] = [],
): Weighing {
  const sure = reports.filter((report) => report.sure > 0);
  const evidence = weighReports(library, network, sure);
  const weights = network.prior.slice();
  const silences =
    silence > 0
      ? unmentioned(library, network, sure).map((node) => nonMentionOf(node, silence))
      : [];
  const wording = weighWords(network, words);
  const trouble = wording.filter(({ finding }) => finding === TROUBLE_PSEUDO_FINDING);
  const laboratory = weighLaboratory(network, results);
  const likelihoods = [
    ...[...evidence, ...trouble, ...laboratory].map(({ likelihood }) => likelihood),
    ...silences,
  ];
  const logScale = multiplyAll(weights, network, likelihoods, productOf(wording));
  return { posterior: posteriorFrom(network, weights, logScale), evidence, wording, laboratory };
}

/** Of two columns, the first over the second; 0 where that is 0. A function of its own, as it then stays compiled. */
function ratios(a: Float64Array, b: Float64Array): Float64Array {
  const ratio = new Float64Array(a.length);
  for (let k = 0; k < ratio.length; k++) {
    const below = numberAt(b, k);
    if (below > 0) ratio[k] = numberAt(a, k) / below;
  }
  return ratio;
}

/** Probability of each host of the network, given what was reported. Sums to 1; in the order of `network.hosts`. */
export function posteriorOverHosts(network: Network, posterior: Posterior): readonly number[] {
  if (network.hosts.length === 1) return [1];
  const means = network.priorGivenHost(ratios(posterior.hypotheses, network.prior));
  const weights = network.hosts.map(({ probability }, h) => probability * numberAt(means, h));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}
