import { numberAt } from '../util/entryAt.ts';
import { tabulate } from '../util/maths.ts';
import { memoizeByObject } from '../util/memoize.ts';
import { DAYS_IN_YEAR, monthSpan } from './calendar.ts';
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
  /** See {@link DailyNormals}. */
  readonly spreadCelsius: Float64Array;
  /** Nothing in the year is cold enough to stop growth. */
  readonly winterless: boolean;
  /** Where there is no winter but a dry season: first and last position of the wet one, which may run into the next year. */
  readonly wet: { readonly from: number; readonly to: number } | null;
  /** Warmest position of the smoothed year. */
  readonly peak: number;
  /** Growth starts in spring and ends in autumn; the whole year where winterless. */
  readonly growthStart: number;
  readonly growthEnd: number;
}

const SOUTH_SHIFT = 181;
/** Coldest daily mean at or above which a place has no season of rest, in Celsius (tropical group A of Köppen and Geiger: 18 C). */
const WINTERLESS_CELSIUS = 18;
/** Expected heat above 5 C after which buds of most garden plants open: our own estimate. */
const GROWTH_START_DEGREE_DAYS = 100;
/**
 * In a mild winter heat comes before the buds have had their rest: they open when it is so much warmer than on the coldest day, in Celsius, and at
 * most by this share of the way to the warmest. Our own estimates.
 */
const ABOVE_COLDEST = 2.2;
const SHARE_OF_THE_WAY = 0.25;
const GROWTH_END_CELSIUS = 7;

function rotate(values: Float64Array, by: number): Float64Array {
  return tabulate(values.length, (i) => numberAt(values, (i + by) % values.length));
}

/** Mean temperature in degrees Celsius at a 0-indexed position in the gardening year. */
export function meanAt(year: SeasonYear, position: number): number {
  return (numberAt(year.minCelsius, position) + numberAt(year.maxCelsius, position)) / 2;
}

/** By the minima, which no two years share but those that differ in what was derived from them. */
const heatOf = memoizeByObject<Float64Array, Map<number, Float64Array>>(() => new Map());

/** Gauss and Hermite's three points of a normal distribution: departures in standard deviations, and weights. */
const OUTER = Math.sqrt(3);
const OUTER_WEIGHT = 1 / 6;

/** Expected degree-days of a day over its spread: the mean of the heat, which is more than the heat of the mean. */
function expectedHeat(min: number, max: number, spread: number, baseCelsius: number): number {
  const middle = degreeDaysSingleSine(min, max, baseCelsius);
  if (spread === 0) return middle;
  const off = OUTER * spread;
  const outer =
    degreeDaysSingleSine(min - off, max - off, baseCelsius) +
    degreeDaysSingleSine(min + off, max + off, baseCelsius);
  return OUTER_WEIGHT * outer + (1 - 2 * OUTER_WEIGHT) * middle;
}

/**
 * Running total of expected degree-days at the end of each day above `baseCelsius` degrees, by the single sine method
 * without an upper cut-off. Cached with the year; days of known weather count as observed.
 */
export function accumulate(year: SeasonYear, baseCelsius: number): Float64Array {
  const byBase = heatOf(year.minCelsius);
  const known = byBase.get(baseCelsius);
  if (known) return known;
  const totals = new Float64Array(DAYS_IN_YEAR);
  let total = 0;
  for (let i = 0; i < DAYS_IN_YEAR; i++) {
    const [min, max] = [numberAt(year.minCelsius, i), numberAt(year.maxCelsius, i)];
    total += expectedHeat(min, max, numberAt(year.spreadCelsius, i), baseCelsius);
    totals[i] = total;
  }
  byBase.set(baseCelsius, totals);
  return totals;
}

/**
 * First 0-indexed position whose running total reaches `wanted` degree-days; totals never fall. Returns null when the
 * year does not reach it.
 */
export function reachedAt(totals: Float64Array, wanted: number): number | null {
  if (numberAt(totals, totals.length - 1) < wanted) return null;
  let [low, high] = [0, totals.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (numberAt(totals, middle) >= wanted) high = middle;
    else low = middle + 1;
  }
  return low;
}

function warmestPosition(year: SeasonYear): number {
  let best = 0;
  for (let i = 1; i < DAYS_IN_YEAR; i++) if (meanAt(year, i) > meanAt(year, best)) best = i;
  return best;
}

/** First position from which on every daily mean to the peak is at least `celsius`. */
function warmAgain(year: SeasonYear, celsius: number, peak: number): number {
  let from = peak;
  while (from > 0 && meanAt(year, from - 1) >= celsius) from--;
  return from;
}

function coolAfter(year: SeasonYear, from: number): number {
  for (let i = from; i < DAYS_IN_YEAR; i++) if (meanAt(year, i) < GROWTH_END_CELSIUS) return i;
  return DAYS_IN_YEAR - 1;
}

/** Rain of a month below which it is dry in the tropics, millimetres (Köppen and Geiger: 60 mm). */
const DRY_MONTH_MILLIMETRES = 60;
const MONTHS = 12;

/** The longest run of months that are not dry, by the middle of the year before it; null where no month or all are dry. */
function wetSeason(rain: readonly number[] | undefined, shift: number): SeasonYear['wet'] {
  const isWet = (month: number): boolean =>
    (rain?.[(month + MONTHS) % MONTHS] ?? 0) >= DRY_MONTH_MILLIMETRES;
  const months = Array.from({ length: MONTHS }, (_, month) => month);
  if (!rain || months.every(isWet) || !months.some(isWet)) return null;
  const runs = months
    .filter((month) => isWet(month) && !isWet(month - 1))
    .map((first) => {
      let length = 1;
      while (isWet(first + length)) length++;
      return { first, length };
    });
  const { first, length } = runs.reduce((a, b) => (b.length > a.length ? b : a));
  const from = (monthSpan(first + 1).first - shift + DAYS_IN_YEAR) % DAYS_IN_YEAR;
  return { from, to: from + Math.round((length * DAYS_IN_YEAR) / MONTHS) - 1 };
}

/**
 * Builds the gardening year from daily normals; `south` turns it by half a year. With the rain of the months, January
 * first, a place without winter gets its wet season.
 */
export function buildSeasonYear(
  daily: DailyNormals & { readonly rainMillimetres?: readonly number[] },
  south: boolean,
): SeasonYear {
  const shift = south ? SOUTH_SHIFT : 0;
  const bare: SeasonYear = {
    januaryFirst: south ? DAYS_IN_YEAR - SOUTH_SHIFT : 0,
    minCelsius: rotate(daily.minCelsius, shift),
    maxCelsius: rotate(daily.maxCelsius, shift),
    spreadCelsius: rotate(daily.spreadCelsius, shift),
    winterless: false,
    wet: null,
    peak: 0,
    growthStart: 0,
    growthEnd: DAYS_IN_YEAR - 1,
  };
  const coldest = bare.minCelsius.reduce((low, _, i) => Math.min(low, meanAt(bare, i)), Infinity);
  const peak = warmestPosition(bare);
  if (coldest >= WINTERLESS_CELSIUS)
    return { ...bare, winterless: true, peak, wet: wetSeason(daily.rainMillimetres, shift) };
  const heated = reachedAt(accumulate(bare, 5), GROWTH_START_DEGREE_DAYS) ?? peak;
  const rise = Math.min(ABOVE_COLDEST, SHARE_OF_THE_WAY * (meanAt(bare, peak) - coldest));
  const start = Math.max(heated, warmAgain(bare, coldest + rise, peak));
  return { ...bare, peak, growthStart: Math.min(start, peak), growthEnd: coolAfter(bare, peak) };
}
