import { entryAt, numberAt } from '../util/entryAt.ts';
import type { Place } from '../schema/place.ts';
import { DAYS_IN_YEAR, monthSpan } from './calendar.ts';

/** A point on the globe in decimal degrees; south and west are negative. */
export interface Coordinates {
  readonly lat: number;
  readonly lon: number;
  /** Metres above the sea; left out where it is not known, and then not minded. */
  readonly height?: number | undefined;
}

/** Monthly means of a place, January first: Celsius and millimetres. */
export interface MonthlyNormals {
  readonly minCelsius: readonly number[];
  readonly maxCelsius: readonly number[];
  readonly rainMillimetres: readonly number[];
}

/** Daily mean minimum and maximum in Celsius and their spread, 365 values from 1 January. */
export interface DailyNormals {
  readonly minCelsius: Float64Array;
  readonly maxCelsius: Float64Array;
  /**
   * Standard deviation of a day's departure from its mean over the years; 0 on a day whose weather is known. Heat is added
   * up over it, for a cold spring has warm days.
   */
  readonly spreadCelsius: Float64Array;
}

/** Standard deviation of departures in midwinter and midsummer, Celsius: our own estimate for mid-latitudes. */
const SPREAD = { winter: 4.5, summer: 2.8 } as const;

/** Spread of departures on each day of the year: most in the coldest weeks, least in the warmest. */
export function spreadThrough(minCelsius: Float64Array, maxCelsius: Float64Array): Float64Array {
  const means = minCelsius.map((low, i) => (low + numberAt(maxCelsius, i)) / 2);
  const coldest = means.reduce((a, b) => Math.min(a, b), Infinity);
  const range = means.reduce((a, b) => Math.max(a, b), -Infinity) - coldest;
  return means.map(
    (mean) =>
      SPREAD.winter +
      (SPREAD.summer - SPREAD.winter) * (range === 0 ? 1 : (mean - coldest) / range),
  );
}

const EARTH_RADIUS_KM = 6371;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * Great-circle distance in kilometres by the haversine formula (R. W. Sinnott, Sky and Telescope 68, 1984). Latitudes
 * and longitudes are in degrees.
 */
export function distanceKm(a: Coordinates, b: Coordinates): number {
  const dLat = radians(b.lat - a.lat) / 2;
  const dLon = radians(b.lon - a.lon) / 2;
  const h =
    Math.sin(dLat) ** 2 + Math.cos(radians(a.lat)) * Math.cos(radians(b.lat)) * Math.sin(dLon) ** 2;
  return 2 * EARTH_RADIUS_KM * Math.asin(Math.min(1, Math.sqrt(h)));
}

/** Mean fall of temperature with latitude in mid-latitudes, Celsius per degree; our own rounded estimate. */
const CELSIUS_PER_DEGREE_LATITUDE = 0.7;
const PLACES_BLENDED = 3;

/** Fall of temperature with height, Celsius per metre (ISO 2533, Standard Atmosphere, 1975). */
const CELSIUS_PER_METRE = 0.0065;

/** Moves a place's temperatures to another latitude, at most 8 degrees away, and to another height. */
function shiftCelsius(place: Place, to: Coordinates): number {
  const poleward = Math.abs(to.lat) - Math.abs(place.latitude);
  const capped = Math.max(-8, Math.min(8, poleward));
  const tropical = Math.min(Math.abs(to.lat), Math.abs(place.latitude)) < 15;
  const higher = (to.height ?? place.elevationMetres) - place.elevationMetres;
  return -higher * CELSIUS_PER_METRE - (tropical ? 0 : capped * CELSIUS_PER_DEGREE_LATITUDE);
}

/** Reference places on the wrong side of the equator have their months turned by half a year. */
function monthsFor(values: readonly number[], place: Place, to: Coordinates): readonly number[] {
  const opposite = place.latitude * to.lat < 0 && Math.abs(place.latitude) > 12;
  return opposite ? [...values.slice(6), ...values.slice(0, 6)] : values;
}

/**
 * Monthly normals at coordinates in degrees: the three nearest reference places, weighted by the inverse square of
 * distance and corrected for latitude and, where known, height in metres. Temperatures in degrees Celsius, rain in
 * millimetres. `places` must not be empty.
 */
export function normalsAt(places: readonly Place[], at: Coordinates): MonthlyNormals {
  const near = places
    .map((place) => ({ place, km: distanceKm({ lat: place.latitude, lon: place.longitude }, at) }))
    .sort((a, b) => a.km - b.km)
    .slice(0, PLACES_BLENDED)
    .map(({ place, km }) => ({ place, weight: 1 / (km + 20) ** 2 }));
  const total = near.reduce((sum, { weight }) => sum + weight, 0);
  const blend = (pick: (place: Place) => readonly number[], shifted: boolean): number[] =>
    Array.from({ length: 12 }, (_, month) =>
      near.reduce((sum, { place, weight }) => {
        const value = entryAt(monthsFor(pick(place), place, at), month);
        return sum + (weight / total) * (value + (shifted ? shiftCelsius(place, at) : 0));
      }, 0),
    );
  return {
    minCelsius: blend((place) => place.minCelsius, true),
    maxCelsius: blend((place) => place.maxCelsius, true),
    rainMillimetres: blend((place) => place.rainMillimetres, false),
  };
}

/** Between which mid-months a day lies, and how far towards the second. */
interface Between {
  readonly left: number;
  readonly right: number;
  readonly share: number;
}

/** For each day of the year; the year closes into a ring. */
const BETWEEN: readonly Between[] = (() => {
  const middles = Array.from({ length: 12 }, (_, month) => {
    const { first, last } = monthSpan(month + 1);
    return (first + last) / 2;
  });
  return Array.from({ length: DAYS_IN_YEAR }, (_, day) => {
    const after = middles.findIndex((middle) => middle > day);
    const right = after === -1 ? 0 : after;
    const left = (right + 11) % 12;
    const leftAt = entryAt(middles, left) - (after === 0 ? DAYS_IN_YEAR : 0);
    const rightAt = entryAt(middles, right) + (after === -1 ? DAYS_IN_YEAR : 0);
    return { left, right, share: (day - leftAt) / (rightAt - leftAt) };
  });
})();

function interpolate(knots: readonly number[]): Float64Array {
  const daily = new Float64Array(DAYS_IN_YEAR);
  BETWEEN.forEach(({ left, right, share }, day) => {
    daily[day] = entryAt(knots, left) * (1 - share) + entryAt(knots, right) * share;
  });
  return daily;
}

const MONTHS = 12;

/** Solves a small square system in place by elimination with row exchange; the matrix must have an inverse. */
function solve(matrix: number[][], right: number[][]): number[][] {
  matrix.forEach((_, column) => {
    const rows = matrix.slice(column).map((row) => Math.abs(entryAt(row, column)));
    const pivot = column + rows.indexOf(Math.max(...rows));
    for (const one of [matrix, right])
      [one[column], one[pivot]] = [entryAt(one, pivot), entryAt(one, column)];
    const lead = entryAt(entryAt(matrix, column), column);
    for (const one of [matrix, right]) one[column] = entryAt(one, column).map((v) => v / lead);
    matrix.forEach((row, other) => {
      const factor = other === column ? 0 : entryAt(row, column);
      if (factor === 0) return;
      for (const one of [matrix, right])
        one[other] = entryAt(one, other).map(
          (v, k) => v - factor * entryAt(entryAt(one, column), k),
        );
    });
  });
  return right;
}

/**
 * Turns monthly means into the mid-month knots whose straight lines have those means. The mean of a month is a sum
 * of three knots with fixed shares, so the knots are one matrix times the means.
 */
const KNOTS_FROM_MEANS: readonly (readonly number[])[] = (() => {
  const unit = (k: number): number[] => Array.from({ length: MONTHS }, (_, i) => (i === k ? 1 : 0));
  const shares = Array.from({ length: MONTHS }, (_, month) => {
    const { first, last } = monthSpan(month + 1);
    const row = new Array<number>(MONTHS).fill(0);
    for (const { left, right, share } of BETWEEN.slice(first, last + 1)) {
      row[left] = entryAt(row, left) + (1 - share) / (last + 1 - first);
      row[right] = entryAt(row, right) + share / (last + 1 - first);
    }
    return row;
  });
  return solve(
    shares,
    Array.from({ length: MONTHS }, (_, k) => unit(k)),
  );
})();

/**
 * Daily course through twelve monthly means that keeps those means: piecewise linear between the middles of months,
 * 365 values in the unit of the input.
 */
export function dailyFromMonthly(monthly: readonly number[]): Float64Array {
  return interpolate(
    KNOTS_FROM_MEANS.map((row) =>
      row.reduce((knot, share, k) => knot + share * entryAt(monthly, k), 0),
    ),
  );
}

/** Daily minimum and maximum in degrees Celsius for a 365-day year, from monthly normals. */
export function dailyNormals(monthly: MonthlyNormals): DailyNormals {
  const minCelsius = dailyFromMonthly(monthly.minCelsius);
  const maxCelsius = dailyFromMonthly(monthly.maxCelsius);
  return { minCelsius, maxCelsius, spreadCelsius: spreadThrough(minCelsius, maxCelsius) };
}

/** Normals of a place with the rain of its months. */
export interface ClimateNormals extends DailyNormals {
  /** January first. */
  readonly rainMillimetres: readonly number[];
}

/** Daily normals in degrees Celsius and monthly rain in millimetres at any coordinates, see {@link normalsAt}. */
export function climateAt(places: readonly Place[], at: Coordinates): ClimateNormals {
  const monthly = normalsAt(places, at);
  return { ...dailyNormals(monthly), rainMillimetres: monthly.rainMillimetres };
}
