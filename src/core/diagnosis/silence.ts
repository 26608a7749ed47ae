import type { Compiled } from '../knowledge/compile.ts';
import type { Report } from './evidence.ts';
import {
  firstPair,
  FIRST_SINGLE,
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

/** Positions of the causes that show a finding. */
function showing({ miss }: FindingNode): readonly number[] {
  const list: number[] = [];
  for (let i = 0; i < miss.length; i++) if ((miss[i] ?? 1) < 1) list.push(i);
  return list;
}

/**
 * Multiplies in place by the chance that the findings go unmentioned, 1 - silence x presence for each,
 * up to a factor common to all hypotheses. A pair of which one member shows a finding has that member's
 * factor, so pairs take the products of their members, and are put right where both show the same finding.
 */
export function multiplySilence(
  weights: Float64Array,
  network: Network,
  nodes: readonly FindingNode[],
  silence: number,
): void {
  const { pairs, causes } = network;
  const single = new Float64Array(causes.length).fill(1);
  const start = firstPair(network);
  const scale = (h: number, factor: number): void => {
    weights[h] = (weights[h] ?? 0) * factor;
  };
  for (const node of nodes) {
    const { miss, background } = node;
    const none = 1 - silence * background;
    const clear = silence * (1 - background);
    const factor = (missed: number): number => (1 - silence + clear * missed) / none;
    const list = showing(node);
    scale(NOT_IN_LIBRARY, (1 - silence * unknownCauseChance(background)) / none);
    list.forEach((i, at) => {
      const own = factor(miss[i] ?? 1);
      single[i] = (single[i] ?? 1) * own;
      for (const j of list.slice(at + 1)) {
        const pair = pairs.indexOf(i, j);
        const both = factor((miss[i] ?? 1) * (miss[j] ?? 1));
        if (pair >= 0) scale(start + pair, both / (own * factor(miss[j] ?? 1)));
      }
    });
  }
  for (let i = 0; i < single.length; i++) scale(FIRST_SINGLE + i, single[i] ?? 1);
  for (let k = 0; k < pairs.first.length; k++)
    scale(start + k, (single[pairs.first[k] ?? 0] ?? 1) * (single[pairs.second[k] ?? 0] ?? 1));
}
