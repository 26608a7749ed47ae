import { whyLeft, type Cause } from '../schema/cause.ts';
import { suits } from '../schema/kinds.ts';
import { daysUntil } from '../timing/windows.ts';
import type { AdviceContext } from './context.ts';

/** The plant and the day that advice is for. */
export type PlantAndDay = Pick<AdviceContext, 'today' | 'kinds' | 'almanac' | 'traits'>;

/**
 * Why nothing done now would still help the plant against a cause this year; null where something would, and for a
 * plant of another kind or out of the window that the library names.
 */
export function whyPastHelp(
  { pastHelp }: Pick<Cause, 'pastHelp'>,
  { today, kinds, almanac, traits }: PlantAndDay,
): string | null {
  if (pastHelp === undefined || !suits(pastHelp, kinds)) return null;
  const { when, why } = pastHelp;
  if (when === undefined) return why;
  return daysUntil(almanac.state(when, today, traits.bloom), today) === 0 ? why : null;
}

/** Why nothing is done against a cause: it may be left, or nothing helps any more; null where it is to be treated. */
export const whyNothing = (cause: Cause, context: PlantAndDay): string | null =>
  whyLeft(cause, context.kinds) ?? whyPastHelp(cause, context);
