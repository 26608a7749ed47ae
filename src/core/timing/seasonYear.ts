import { DAYS_IN_YEAR } from './calendar.ts';
import type { DailyNormals } from './climate.ts';
import { degreeDaysSingleSine } from './degreeDays.ts';

/**
 * The gardening year of a place, counted from the middle of winter: position 0 is 1 January north of
 * the equator and 1 July south of it. All positions are days, 0 to 364.
 */
export interface SeasonYear {
  /** Position of 1 January in this year: 0 in the north, 184 in the south. */
  readonly januaryFirst: number;
  readonly minCelsius: Float64Array;
  readonly maxCelsius: Float64Array;
  /** Nothing in the year is cold enough to stop growth. */
  readonly winterless: boolean;
  /** Warmest position of the smoothed year. */
  readonly peak: number;
  /** Growth starts in spring and ends in autumn; the whole year where winterless. */
  readonly growthStart: number;
  readonly growthEnd: number;
}

const SOUTH_SHIFT = 181;
/** Coldest daily mean at or above which a place has no season of rest, in Celsius (tropical group A of Köppen and Geiger: 18 C). */
const WINTERLESS_CELSIUS = 18;
/** Heat above 5 C after which buds of most garden plants open: our own estimate. */
const GROWTH_START_DEGREE_DAYS = 60;
const GROWTH_END_CELSIUS = 7;

function rotate(values: Float64Array, by: number): Float64Array {
  return Float64Array.from(
    { length: values.length },
    (_, i) => values[(i + by) % values.length] ?? 0,
  );
}

/** Mean temperature at a position. */
export function meanAt(year: SeasonYear, position: number): number {
  return ((year.minCelsius[position] ?? 0) + (year.maxCelsius[position] ?? 0)) / 2;
}

const heatOf = new WeakMap<SeasonYear, Map<number, Float64Array>>();

/** Running total of degree-days at the end of each day, single sine, no upper limit; kept with the year. */
export function accumulate(year: SeasonYear, baseCelsius: number): Float64Array {
  const kept = heatOf.get(year) ?? new Map<number, Float64Array>();
  heatOf.set(year, kept);
  const known = kept.get(baseCelsius);
  if (known) return known;
  const totals = new Float64Array(DAYS_IN_YEAR);
  let total = 0;
  for (let i = 0; i < DAYS_IN_YEAR; i++) {
    total += degreeDaysSingleSine(year.minCelsius[i] ?? 0, year.maxCelsius[i] ?? 0, baseCelsius);
    totals[i] = total;
  }
  kept.set(baseCelsius, totals);
  return totals;
}

/** First position whose running total reaches `wanted`; null when the year never does. */
export function reachedAt(totals: Float64Array, wanted: number): number | null {
  const position = totals.findIndex((total) => total >= wanted);
  return position === -1 ? null : position;
}

function warmestPosition(year: SeasonYear): number {
  let best = 0;
  for (let i = 1; i < DAYS_IN_YEAR; i++) if (meanAt(year, i) > meanAt(year, best)) best = i;
  return best;
}

function coolAfter(year: SeasonYear, from: number): number {
  for (let i = from; i < DAYS_IN_YEAR; i++) if (meanAt(year, i) < GROWTH_END_CELSIUS) return i;
  return DAYS_IN_YEAR - 1;
}

/** Builds the gardening year from daily normals; `south` turns it by half a year. */
export function buildSeasonYear(daily: DailyNormals, south: boolean): SeasonYear {
  const shift = south ? SOUTH_SHIFT : 0;
  const bare: SeasonYear = {
    januaryFirst: south ? DAYS_IN_YEAR - SOUTH_SHIFT : 0,
    minCelsius: rotate(daily.minCelsius, shift),
    maxCelsius: rotate(daily.maxCelsius, shift),
    winterless: false,
    peak: 0,
    growthStart: 0,
    growthEnd: DAYS_IN_YEAR - 1,
  };
  const coldest = bare.minCelsius.reduce((low, _, i) => Math.min(low, meanAt(bare, i)), Infinity);
  const peak = warmestPosition(bare);
  if (coldest >= WINTERLESS_CELSIUS) return { ...bare, winterless: true, peak };
  const start = reachedAt(accumulate(bare, 5), GROWTH_START_DEGREE_DAYS) ?? peak;
  return { ...bare, peak, growthStart: Math.min(start, peak), growthEnd: coolAfter(bare, peak) };
}
