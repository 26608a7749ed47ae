import type { Compiled } from '../knowledge/compile.ts';
import type { Report } from './evidence.ts';
import {
  firstPair,
  FIRST_SINGLE,
  NOTHING_WRONG,
  NOT_IN_LIBRARY,
  unknownCauseChance,
  type FindingNode,
  type Network,
} from './network.ts';

/** Chance at most that a noticeable finding goes unmentioned because it is not there, for a talkative enquirer. */
const MENTIONS_WHEN_THERE = 0.4;
/** Words after which an enquirer has said what there is to say; our own estimate. */
const FULL_ACCOUNT_WORDS = 45;

/** Weight of silence for a text of so many words, 0 to {@link MENTIONS_WHEN_THERE}. */
export function silenceWeight(words: number): number {
  return MENTIONS_WHEN_THERE * Math.min(1, words / FULL_ACCOUNT_WORDS);
}

/** Noticeable findings of the host about which nothing was said, neither of them nor of anything more general or special. */
export function unmentioned(
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

/**
 * Multiplies in place by the chance that a finding goes unmentioned. The same as multiplying by
 * 1 - silence x presence, without an array for each of some dozen findings; no factor is below
 * 1 - silence, so nothing underflows.
 */
export function multiplySilence(
  weights: Float64Array,
  network: Network,
  { miss, background }: FindingNode,
  silence: number,
): void {
  const clear = silence * (1 - background);
  const base = 1 - silence;
  weights[NOTHING_WRONG] = (weights[NOTHING_WRONG] ?? 0) * (1 - silence * background);
  weights[NOT_IN_LIBRARY] =
    (weights[NOT_IN_LIBRARY] ?? 0) * (1 - silence * unknownCauseChance(background));
  for (let i = 0; i < miss.length; i++) {
    weights[FIRST_SINGLE + i] = (weights[FIRST_SINGLE + i] ?? 0) * (base + clear * (miss[i] ?? 1));
  }
  const { first, second } = network.pairs;
  const start = firstPair(network);
  for (let k = 0; k < first.length; k++) {
    const missed = (miss[first[k] ?? 0] ?? 1) * (miss[second[k] ?? 0] ?? 1);
    weights[start + k] = (weights[start + k] ?? 0) * (base + clear * missed);
  }
}
