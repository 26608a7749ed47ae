import type { Compiled } from '../knowledge/compile.ts';
import type { CauseId, FindingId } from '../knowledge/schema/common.ts';
import { reliabilityOf, reportLikelihood, type Report } from './evidence.ts';
import {
  firstPair,
  FIRST_SINGLE,
  NOTHING_WRONG,
  NOT_IN_LIBRARY,
  presence,
  presenceAt,
  type FindingNode,
  type Network,
} from './network.ts';

/** A piece of evidence ready to weigh: its likelihood under every hypothesis. */
export interface Weighed {
  readonly finding: FindingId;
  readonly value: boolean;
  readonly sure: number;
  readonly likelihood: Float64Array;
}

/** The outcome of weighing. */
export interface Posterior {
  /** Probability of each hypothesis, in the order of the network; sums to 1. */
  readonly hypotheses: Float64Array;
  /** Probability that a cause is at work, alone or in a pair, by cause position. */
  readonly causes: Float64Array;
  readonly nothingWrong: number;
  readonly notInLibrary: number;
  /** The likeliest hypothesis, as cause ids: none, one or two. */
  readonly explanation: readonly CauseId[];
}

/** Chance of a choice of an exclusive group under each hypothesis: its presence as a share of all the choices'. */
function choiceShare(
  network: Network,
  chosen: FindingNode,
  members: readonly FindingNode[],
): Float64Array {
  const own = presence(network, chosen);
  const total = new Float64Array(own.length);
  for (const member of members) {
    const one = member.id === chosen.id ? own : presence(network, member);
    for (let h = 0; h < total.length; h++) total[h] = (total[h] ?? 0) + (one[h] ?? 0);
  }
  return own.map((value, h) => value / (total[h] ?? 1));
}

function groupNodes(library: Compiled, network: Network, group: string): FindingNode[] {
  return (library.groupMembers.get(group) ?? [])
    .map(({ id }) => network.node(id))
    .filter((node) => node !== null);
}

/** Some cause of the host shows the finding. */
function isRelevant(node: FindingNode): boolean {
  return node.miss.some((miss) => miss < 1);
}

/** Likelihood of one report under every hypothesis; null when no cause of the host shows it, as it then tells nothing. */
export function weigh(library: Compiled, network: Network, report: Report): Weighed | null {
  const node = network.node(report.finding);
  const finding = library.findings.get(report.finding);
  if (!node || !finding || !isRelevant(node)) return null;
  const members = finding.group === undefined ? [] : groupNodes(library, network, finding.group);
  const present =
    members.length > 1 ? choiceShare(network, node, members) : presence(network, node);
  const background = members.length > 1 ? 1 / members.length : node.background;
  const reliability = reliabilityOf(report.sure, background);
  return {
    ...report,
    likelihood: present.map((p) => reportLikelihood(p, report.value, reliability)),
  };
}

/**
 * Reports without those that a more specific one implies, so that nothing is counted twice:
 * "orange pustules" replaces "spots"; a denied general finding drops denials of its special cases.
 */
export function withoutImplied(library: Compiled, reports: readonly Report[]): readonly Report[] {
  const implies = (special: Report, general: Report): boolean =>
    special.finding !== general.finding &&
    library.implied(special.finding).includes(general.finding);
  return reports.filter((report) =>
    report.value
      ? !reports.some((other) => other.value && implies(other, report))
      : !reports.some((other) => !other.value && implies(report, other)),
  );
}

/** Chance at most that a noticeable finding goes unmentioned because it is not there, for a talkative enquirer. */
const MENTIONS_WHEN_THERE = 0.4;
/** Words after which an enquirer has said what there is to say; our own estimate. */
const FULL_ACCOUNT_WORDS = 45;

/** Weight of silence for a text of so many words, 0 to {@link MENTIONS_WHEN_THERE}. */
export function silenceWeight(words: number): number {
  return MENTIONS_WHEN_THERE * Math.min(1, words / FULL_ACCOUNT_WORDS);
}

/** Noticeable findings of the host about which nothing was said, neither of them nor of anything more general or special. */
function unmentioned(
  library: Compiled,
  network: Network,
  reports: readonly Report[],
): FindingNode[] {
  const spoken = new Set(reports.flatMap(({ finding }) => library.implied(finding)));
  return network.findingIds
    .filter((id) => library.findings.get(id)?.noticeable === true)
    .filter((id) => !library.implied(id).some((one) => spoken.has(one)))
    .map((id) => network.node(id))
    .filter((node) => node !== null);
}

/** Multiplies in place and scales by the largest value, so that many small likelihoods do not underflow. */
function multiply(weights: Float64Array, likelihood: Float64Array): void {
  let largest = 0;
  for (let h = 0; h < weights.length; h++) {
    const value = (weights[h] ?? 0) * (likelihood[h] ?? 0);
    weights[h] = value;
    if (value > largest) largest = value;
  }
  if (largest > 0)
    for (let h = 0; h < weights.length; h++) weights[h] = (weights[h] ?? 0) / largest;
}

/**
 * Multiplies in place by the chance that a finding goes unmentioned. The same as multiplying by
 * 1 - silence x presence, without an array for each of some dozen findings; no factor is below
 * 1 - silence, so nothing underflows.
 */
function multiplySilence(
  weights: Float64Array,
  network: Network,
  node: FindingNode,
  silence: number,
): void {
  const { miss } = node;
  const clear = silence * (1 - node.background);
  const base = 1 - silence;
  weights[NOTHING_WRONG] = (weights[NOTHING_WRONG] ?? 0) * (1 - silence * node.background);
  weights[NOT_IN_LIBRARY] =
    (weights[NOT_IN_LIBRARY] ?? 0) * (1 - silence * presenceAt(network, node, NOT_IN_LIBRARY));
  for (let i = 0; i < miss.length; i++) {
    weights[FIRST_SINGLE + i] = (weights[FIRST_SINGLE + i] ?? 0) * (base + clear * (miss[i] ?? 1));
  }
  const start = firstPair(network);
  for (let k = 0; k < network.pairs.length; k++) {
    const pair = network.pairs[k];
    if (pair)
      weights[start + k] =
        (weights[start + k] ?? 0) * (base + clear * (miss[pair[0]] ?? 1) * (miss[pair[1]] ?? 1));
  }
}

/** Ids of the causes of a hypothesis. */
export function causesOf(network: Network, hypothesis: number): readonly CauseId[] {
  const id = (position: number | undefined): CauseId[] => {
    const cause = position === undefined ? undefined : network.causes[position];
    return cause ? [cause.id] : [];
  };
  if (hypothesis < FIRST_SINGLE) return [];
  if (hypothesis < firstPair(network)) return id(hypothesis - FIRST_SINGLE);
  const pair = network.pairs[hypothesis - firstPair(network)];
  return pair ? [...id(pair[0]), ...id(pair[1])] : [];
}

function summarise(network: Network, hypotheses: Float64Array): Posterior {
  const causes = new Float64Array(network.causes.length);
  for (let i = 0; i < causes.length; i++) causes[i] = hypotheses[FIRST_SINGLE + i] ?? 0;
  const start = firstPair(network);
  let best = NOTHING_WRONG;
  network.pairs.forEach(([i, j], k) => {
    const p = hypotheses[start + k] ?? 0;
    causes[i] = (causes[i] ?? 0) + p;
    causes[j] = (causes[j] ?? 0) + p;
  });
  hypotheses.forEach((p, h) => {
    if (p > (hypotheses[best] ?? 0)) best = h;
  });
  return {
    hypotheses,
    causes,
    nothingWrong: hypotheses[NOTHING_WRONG] ?? 0,
    notInLibrary: hypotheses[NOT_IN_LIBRARY] ?? 0,
    explanation: causesOf(network, best),
  };
}

/** Normalises weights to probabilities and sums them by cause. */
export function posteriorFrom(network: Network, weights: Float64Array): Posterior {
  const total = weights.reduce((sum, value) => sum + value, 0);
  return summarise(
    network,
    weights.map((value) => value / total),
  );
}

/** What weighing returns: the posterior and each report's own likelihoods, for the explanation. */
export interface Weighing {
  readonly posterior: Posterior;
  readonly evidence: readonly Weighed[];
}

/**
 * Exact posterior over nothing wrong, not in the library, every cause and every pair.
 * `silence` is the weight of what was not mentioned, see {@link silenceWeight}; 0 leaves it out.
 */
export function weighAll(
  library: Compiled,
  network: Network,
  reports: readonly Report[],
  silence: number,
): Weighing {
  const evidence = withoutImplied(library, reports)
    .map((report) => weigh(library, network, report))
    .filter((one) => one !== null);
  const weights = network.prior.slice();
  for (const { likelihood } of evidence) multiply(weights, likelihood);
  if (silence > 0) {
    for (const node of unmentioned(library, network, reports))
      multiplySilence(weights, network, node, silence);
  }
  return { posterior: posteriorFrom(network, weights), evidence };
}
