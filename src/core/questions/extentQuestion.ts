import type { Advice } from '../advice/plan.ts';
import { isBearable, isExtentKnown, type HowMuch } from '../advice/threshold.ts';
import type { Lead } from '../advice/verdict.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import type { Compiled } from '../library/compile.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import type { Question } from './questions.ts';

const EXTENT = RELIED_ON.groups.extent;

/**
 * The question how much is affected, asked when the cause is found and the answer decides whether to treat at all.
 * Returns null where it is known, was skipped, or changes nothing.
 */
export function extentQuestion(
  library: Compiled,
  lead: Lead | null,
  { verdict }: Advice,
  said: HowMuch,
  skipped: ReadonlySet<string>,
): Question | null {
  const group = library.groups.get(EXTENT);
  if (!group || !lead || isCareTopic(lead.cause) || isExtentKnown(said) || skipped.has(EXTENT))
    return null;
  const decides = (verdict === 'act-now' || verdict === 'wait') && isBearable(lead.cause.harm);
  if (!decides) return null;
  const members = library.groupMembers.get(EXTENT) ?? [];
  return {
    kind: 'group',
    finding: EXTENT,
    question: group.question,
    how: group.how ?? null,
    seconds: group.seconds,
    netValue: 0,
    informationGainBits: 0,
    choices: members.map(({ id, label }) => ({ finding: id, label })),
    look: null,
    saidAt: null,
  };
}
