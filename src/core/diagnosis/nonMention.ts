import type { Compiled } from '../library/compile.ts';
import type { Report } from './evidence.ts';
import { likelihoodInProportion, type Likelihood } from './likelihood.ts';
import type { Network } from './network.ts';
import type { FindingNode } from './nodes.ts';

/** Chance at most that a noticeable finding goes unmentioned because it is not there, for a talkative enquirer. */
const MENTIONS_WHEN_THERE = 0.4;
/** Words after which an enquirer has said what there is to say; our own estimate. */
const FULL_ACCOUNT_WORDS = 45;

/**
 * Probability that an enquirer who sees a noticeable sign mentions it in a text of `words` words: from 0 for an empty
 * text up to {@link MENTIONS_WHEN_THERE}.
 */
export function mentionProbability(words: number): number {
  return MENTIONS_WHEN_THERE * Math.min(1, words / FULL_ACCOUNT_WORDS);
}

/** Noticeable findings of the host about which nothing was said, neither of them nor of anything more general or special. */
export function unmentioned(
  library: Compiled,
  network: Network,
  reports: readonly Report[],
): FindingNode[] {
  const spoken = new Set(reports.flatMap(({ finding }) => library.implied(finding)));
  return network.noticeable
    .filter((id) => !library.implied(id).some((one) => spoken.has(one)))
    .map((id) => network.node(id))
    .filter((node) => node !== null);
}

/** Likelihood of not mentioning a finding: 1 minus `silence` times its probability. `silence` is between 0 and 1. */
export function nonMentionOf(node: FindingNode, silence: number): Likelihood {
  return likelihoodInProportion(node, 1 - silence, 1);
}
