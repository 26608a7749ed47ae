import type { WindowRule } from '../schema/window.ts';
import type { Day } from './calendar.ts';
import { heatSoFar } from './heatSoFar.ts';
import type { SeasonYear } from './seasonYear.ts';

/** Days on which events were seen, by the name of the event. */
export type EventsSeen = ReadonlyMap<string, Day>;

/** The event whose date would make a heat window surer. Returns null when there is none to watch for. */
export const eventOf = (rule: WindowRule): string | null =>
  rule.kind === 'degree-days' ? (rule.biofix?.event ?? null) : null;

/**
 * A heat window counted from its event, where that was seen this year: the degree-days between event and window stay
 * as the library has them, the degree-days before the event are those of this year's weather. Sums are in degrees
 * Celsius times days.
 */
export function countedFromEvent(
  rule: WindowRule,
  seen: EventsSeen,
  year: SeasonYear,
  south: boolean,
): WindowRule {
  if (rule.kind !== 'degree-days' || !rule.biofix) return rule;
  const on = seen.get(rule.biofix.event);
  if (on === undefined) return rule;
  const shift = heatSoFar(year, rule.baseCelsius, on, south) - rule.biofix.at;
  return { ...rule, from: rule.from + shift, to: rule.to + shift };
}
