import { entriesOf } from '../util/typedKeys.ts';
import { FREQUENCY, type Frequency } from '../schema/scale.ts';
import type { Cause } from '../schema/cause.ts';
import type { CauseId, FindingId } from '../schema/common.ts';

/** P(finding | cause) for what a cause shows, general findings included. */
export type Strengths = ReadonlyMap<FindingId, number>;

/**
 * Weather, age, planting and feeding make a cause likelier and are no sign of it: what the library says of how often
 * they go before it counts half, unless it hardly comes without them. A "yes" then moves a cause by some 5 dB and a
 * "no" by 1, so that neither decides against what is seen. Our own estimate; of 0.3, 0.5, 0.7 and 1 it kept the truth
 * best in interviews.
 */
const WORTH_OF_CONTEXT = 0.5;
const HARDLY_WITHOUT = FREQUENCY['nearly-always'];

const strengthOf = (word: Frequency, isContext: boolean): number =>
  isContext && FREQUENCY[word] < HARDLY_WITHOUT
    ? WORTH_OF_CONTEXT * FREQUENCY[word]
    : FREQUENCY[word];

/**
 * Probability of each finding given the cause alone, 0 to 1. A general finding has at least the probability of its
 * most frequent special case; circumstances count less than signs.
 */
export function strengthsOf(
  cause: Cause,
  implied: (id: FindingId) => readonly FindingId[],
  isContext: (id: FindingId) => boolean,
): Strengths {
  const strengths = new Map<FindingId, number>();
  for (const [id, word] of entriesOf(cause.findings)) {
    for (const one of implied(id)) {
      strengths.set(one, Math.max(strengths.get(one) ?? 0, strengthOf(word, isContext(one))));
    }
  }
  return strengths;
}

/** The causes that show a finding, each with P(finding | cause) above 0. */
export type ShownBy = ReadonlyMap<FindingId, ReadonlyMap<CauseId, number>>;

/** Turns the strengths of the causes round, to be looked up by finding. */
export function shownBy(strengths: ReadonlyMap<CauseId, Strengths>): ShownBy {
  const table = new Map<FindingId, Map<CauseId, number>>();
  for (const [cause, list] of strengths) {
    for (const [finding, strength] of list) {
      const row = table.get(finding) ?? new Map<CauseId, number>();
      if (strength > 0) row.set(cause, strength);
      table.set(finding, row);
    }
  }
  return table;
}
