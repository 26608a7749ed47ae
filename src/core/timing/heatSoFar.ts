import { numberAt } from '../util/entryAt.ts';
import type { Day } from './calendar.ts';
import { accumulate, type SeasonYear } from './seasonYear.ts';
import { firstOfGardeningYear } from './thisYear.ts';

/** Degree-days since midwinter at the end of the day before `today`, in the year of the weather so far. */
export function heatSoFar(
  year: SeasonYear,
  baseCelsius: number,
  today: Day,
  south: boolean,
): number {
  const past = today - firstOfGardeningYear(today, south);
  return past <= 0 ? 0 : numberAt(accumulate(year, baseCelsius), Math.min(past, 365) - 1);
}
