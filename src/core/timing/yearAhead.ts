import type { WindowRule } from '../schema/window.ts';
import { percentile } from '../util/maths.ts';
import { addDays, dayOf, DAYS_IN_YEAR, type Day } from './calendar.ts';
import type { ClimateNormals } from './climate.ts';
import { buildSeasonYear, type SeasonYear } from './seasonYear.ts';
import { firstOfGardeningYear, withDays, yearOfWeather } from './thisYear.ts';
import { simulateWeather, startAfter, type WeatherDay } from './weather.ts';
import { positionsOf, type DaySpan, type WindowContext } from './windows.ts';

/** Plausible courses of a year, all with the days observed so far: the base for dates with bands. */
export interface YearAhead {
  readonly today: Day;
  /** First day of the gardening year. */
  readonly first: Day;
  /** The normal year here. */
  readonly usual: SeasonYear;
  readonly members: readonly SeasonYear[];
}

/** Mean length of a year in days (Gregorian calendar). */
const DAYS_IN_CYCLE = 365.2425;
/** A year of the station takes part when it knows at least this share of the days to come. */
const MIN_KNOWN = 0.9;
const MAX_OWN_YEARS = 15;

/**
 * What the rest of the year was like in earlier years of the station, moved to this one; the last year last. Only years that
 * are nearly complete after this day of the year.
 */
function ownYears(
  observed: readonly WeatherDay[],
  first: Day,
  today: Day,
): readonly (readonly WeatherDay[])[] {
  const byYear = new Map<number, WeatherDay[]>();
  for (const one of observed) {
    const back = Math.ceil((first - one.day) / DAYS_IN_CYCLE);
    if (back < 1) continue;
    const moved = addDays(one.day, Math.round(back * DAYS_IN_CYCLE));
    if (moved < today || moved >= first + DAYS_IN_YEAR) continue;
    const days = byYear.get(back) ?? [];
    days.push({ ...one, day: moved });
    byYear.set(back, days);
  }
  const wanted = MIN_KNOWN * (first + DAYS_IN_YEAR - today);
  return [...byYear]
    .filter(([, days]) => days.length >= wanted)
    .sort(([a], [b]) => b - a)
    .map(([, days]) => days);
}

/** Least number of members from which a band of 80 % is read. */
export const MIN_MEMBERS = 30;
const SEED = 7919;

/**
 * An ensemble of `count` series for the gardening year: observed days, then earlier years of the station (at most
 * half of the members) or simulated weather. Temperatures in degrees Celsius. Observed days may have gaps, which take
 * normals.
 */
export function ensembleForYear(
  normals: ClimateNormals,
  today: Day,
  observed: readonly WeatherDay[],
  south: boolean,
  count: number = MIN_MEMBERS,
): YearAhead {
  const usual = buildSeasonYear(normals, south);
  const first = firstOfGardeningYear(today, south);
  const known = observed.filter(({ day }) => day < today);
  const start = startAfter(known, normals);
  const rest = first + DAYS_IN_YEAR - today;
  const own = ownYears(known, first, today).slice(-MAX_OWN_YEARS);
  const members = Array.from({ length: count }, (_, k): SeasonYear => {
    const later = own[k] ?? simulateWeather(normals, today, rest, SEED * (k + 1), start);
    return yearOfWeather(withDays(normals, first, [...later, ...known]), usual, south);
  });
  return { today, first, usual, members };
}

/** A date with the band in which it falls in 8 of 10 years that go on from here. */
export interface BandedDay {
  readonly early: Day;
  readonly median: Day;
  readonly late: Day;
}

/** When a window opens and closes, each with its band. */
export interface BandedSpan {
  readonly from: BandedDay;
  readonly to: BandedDay;
}

/** Stands where there are no days to tell. */
const NO_DAY = dayOf(1970, 1, 1);

function predictionInterval(days: readonly Day[]): BandedDay {
  const sorted = [...days].sort((a, b) => a - b);
  return {
    early: percentile(sorted, 0.1) ?? NO_DAY,
    median: percentile(sorted, 0.5) ?? NO_DAY,
    late: percentile(sorted, 0.9) ?? NO_DAY,
  };
}

/**
 * When a window is open in the gardening year around today, as medians with 80 percent prediction intervals. Returns
 * null when it is always or never open, or open in fewer than half of the members.
 */
export function predictionIntervalsOf(
  rule: WindowRule,
  { first, usual, members: all }: YearAhead,
  reference: WindowContext['reference'],
  bloom: WindowRule | null = null,
): BandedSpan | null {
  // Mean night temperatures tell when frost ends, not those of one year's weather.
  const members = rule.kind === 'season' && rule.season === 'frost-free' ? [usual] : all;
  const spans = members.flatMap((here): DaySpan[] => {
    const positions = positionsOf(rule, { here, reference, bloom });
    if (typeof positions === 'string') return [];
    const at = (position: number): Day => addDays(first, position);
    return [{ from: at(positions.from), to: at(positions.to) }];
  });
  if (spans.length === 0 || 2 * spans.length < members.length) return null;
  return {
    from: predictionInterval(spans.map(({ from }) => from)),
    to: predictionInterval(spans.map(({ to }) => to)),
  };
}

/** How a window with bands stands on a day, by its medians. */
export function standsOn(span: BandedSpan, day: Day): 'over' | 'open' | 'ahead' {
  if (day > span.to.median) return 'over';
  return day < span.from.median ? 'ahead' : 'open';
}
