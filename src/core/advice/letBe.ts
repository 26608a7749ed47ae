import type { Cause, Circumstance } from '../schema/cause.ts';
import { suits } from '../schema/kinds.ts';
import { daysUntil } from '../timing/windows.ts';
import type { AdviceContext } from './context.ts';

/** The plant and the day that advice is for. */
export type PlantAndDay = Pick<
  AdviceContext,
  'today' | 'kinds' | 'almanac' | 'traits' | 'reported'
>;

/** The reason that a circumstance gives; null for a plant of another kind or out of its window. */
function reasonOf(
  circumstance: Circumstance,
  { today, kinds, almanac, traits }: PlantAndDay,
): string | null {
  if (!suits(circumstance, kinds)) return null;
  const { when, why } = circumstance;
  if (when === undefined) return why;
  return daysUntil(almanac.state(when, today, traits.bloom), today) === 0 ? why : null;
}

/** Why a cause may be left alone on a plant on a day. Returns null when it should be treated. */
export const whyLeft = (
  { leave, leaveOn }: Pick<Cause, 'leave' | 'leaveOn'>,
  on: PlantAndDay,
): string | null =>
  leave ?? leaveOn.map((one) => reasonOf(one, on)).find((why) => why !== null) ?? null;

/** Why nothing done now would still help the plant against a cause this year. Returns null where something would. */
export const whyPastHelp = (
  { pastHelp }: Pick<Cause, 'pastHelp'>,
  on: PlantAndDay,
): string | null => (pastHelp === undefined ? null : reasonOf(pastHelp, on));

/** Why nothing is done against a cause: it may be left, or nothing helps any more. Returns null where it is to be treated. */
export const whyNothing = (cause: Cause, on: PlantAndDay): string | null =>
  whyLeft(cause, on) ?? whyPastHelp(cause, on);
