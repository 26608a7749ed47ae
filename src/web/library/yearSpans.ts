import type { WindowRule } from '../../core/schema/window.ts';
import type { Almanac } from '../../core/timing/almanac.ts';
import { addDays, civil, dayOf, DAYS_IN_YEAR, type Day } from '../../core/timing/calendar.ts';

/** Part of a calendar year, as days from 1 January: first and last. */
export interface YearSpan {
  readonly from: number;
  readonly to: number;
}

/** When a window is open at a place in the calendar year of a day; a window over the turn of the year gives two parts. */
export function spansInYear(almanac: Almanac, rule: WindowRule, today: Day): readonly YearSpan[] {
  const first = dayOf(civil(today).year, 1, 1);
  if (almanac.state(rule, today).kind === 'watch') return [];
  const spans: { from: number; to: number }[] = [];
  for (let day = 0; day < DAYS_IN_YEAR; day++) {
    if (almanac.daysOutside(rule, addDays(first, day)) !== 0) continue;
    const last = spans.at(-1);
    if (last?.to === day - 1) last.to = day;
    else spans.push({ from: day, to: day });
  }
  return spans;
}

/** Day of the year of a day, from 0. */
export function dayOfYear(day: Day): number {
  return day - dayOf(civil(day).year, 1, 1);
}
