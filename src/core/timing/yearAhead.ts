import type { WindowRule } from '../knowledge/schema/window.ts';
import { addDays, civil, dayOf, DAYS_IN_YEAR, indexOfDay, type Day } from './calendar.ts';
import type { ClimateNormals, DailyNormals } from './climate.ts';
import { buildSeasonYear, type SeasonYear } from './seasonYear.ts';
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

/** Least number of members from which a band of 80 % is read. */
export const LEAST_MEMBERS = 30;
const SEED = 7919;

/** First day of the gardening year that holds `today`: 1 January north of the equator, 1 July south of it. */
function firstDay(today: Day, south: boolean): Day {
  const { year } = civil(today);
  if (!south) return dayOf(year, 1, 1);
  const july = dayOf(year, 7, 1);
  return today >= july ? july : dayOf(year - 1, 7, 1);
}

/** Daily extremes of the gardening year around `today`: as reported, from today on as simulated; gaps are normal. */
function yearOf(
  normals: ClimateNormals,
  { today, first }: Pick<YearAhead, 'today' | 'first'>,
  known: readonly WeatherDay[],
  seed: number,
): DailyNormals {
  const minCelsius = Float64Array.from(normals.minCelsius);
  const maxCelsius = Float64Array.from(normals.maxCelsius);
  const put = ({ day, minCelsius: low, maxCelsius: high }: WeatherDay): void => {
    if (day < first || day >= first + DAYS_IN_YEAR) return;
    const index = indexOfDay(day);
    minCelsius[index] = low;
    maxCelsius[index] = high;
  };
  const rest = first + DAYS_IN_YEAR - today;
  simulateWeather(normals, today, rest, seed, startAfter(known, normals)).forEach(put);
  known.forEach(put);
  return { minCelsius, maxCelsius };
}

/**
 * The year as it may go on: `count` seeded members, each the observed days and then plausible weather. Observed days need
 * not be complete; a missing day is taken as normal.
 */
export function lookAhead(
  normals: ClimateNormals,
  today: Day,
  observed: readonly WeatherDay[],
  south: boolean,
  count: number = LEAST_MEMBERS,
): YearAhead {
  const usual = buildSeasonYear(normals, south);
  const { peak, winterless, growthEnd } = usual;
  const first = firstDay(today, south);
  const known = observed.filter(({ day }) => day < today);
  const members = Array.from({ length: count }, (_, k): SeasonYear => {
    const year = buildSeasonYear(yearOf(normals, { today, first }, known, SEED * (k + 1)), south);
    // A single hot or cold day of simulated weather is no turn of the season; heat, which adds up, is.
    return { ...year, peak, winterless, growthEnd };
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

/** The nearest-rank percentile (R. J. Hyndman and Y. Fan, 1996, type 1) of days in order. */
function percentile(days: readonly Day[], share: number): Day {
  const rank = Math.max(1, Math.ceil(share * days.length));
  return days[rank - 1] ?? addDays(dayOf(1970, 1, 1), 0);
}

function band(days: readonly Day[]): BandedDay {
  const sorted = [...days].sort((a, b) => a - b);
  return {
    early: percentile(sorted, 0.1),
    median: percentile(sorted, 0.5),
    late: percentile(sorted, 0.9),
  };
}

/**
 * When a window is open in the gardening year around today, with bands; null when it is always or never open, or in
 * fewer than half of the members. Spans of the members are those that start in the same year.
 */
export function bandsOf(
  rule: WindowRule,
  { first, usual, members: all }: YearAhead,
  reference: WindowContext['reference'],
): BandedSpan | null {
  // Mean night temperatures tell when frost ends, not those of one year's weather.
  const members = rule.kind === 'season' && rule.season === 'frost-free' ? [usual] : all;
  const spans = members.flatMap((here): DaySpan[] => {
    const positions = positionsOf(rule, { here, reference });
    if (positions === 'always' || positions === 'never') return [];
    const at = (position: number): Day => addDays(first, position);
    return [{ from: at(positions.from), to: at(positions.to) }];
  });
  if (spans.length === 0 || 2 * spans.length < members.length) return null;
  return { from: band(spans.map(({ from }) => from)), to: band(spans.map(({ to }) => to)) };
}

/** How a window with bands stands on a day, by its medians. */
export function standsOn(span: BandedSpan, day: Day): 'over' | 'open' | 'ahead' {
  if (day > span.to.median) return 'over';
  return day < span.from.median ? 'ahead' : 'open';
}
