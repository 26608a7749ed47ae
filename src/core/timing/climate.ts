import { sum } from '../maths.ts';
import type { Place } from '../knowledge/schema/place.ts';
import { DAYS_IN_YEAR, monthSpan } from './calendar.ts';

/** A point on the globe in decimal degrees; south and west are negative. */
export interface Coordinates {
  readonly lat: number;
  readonly lon: number;
}

/** Monthly means of a place, January first: Celsius and millimetres. */
export interface MonthlyNormals {
  readonly minCelsius: readonly number[];
  readonly maxCelsius: readonly number[];
  readonly rainMillimetres: readonly number[];
}

/** Daily mean minimum and maximum in Celsius, 365 values from 1 January. */
export interface DailyNormals {
  readonly minCelsius: Float64Array;
  readonly maxCelsius: Float64Array;
}

const EARTH_RADIUS_KM = 6371;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Great-circle distance in kilometres by the haversine formula (R. W. Sinnott, Sky and Telescope 68, 1984). */
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

/** Moves a place's temperatures to another latitude; the correction is capped at 8 degrees of latitude. */
function shiftCelsius(place: Place, to: Coordinates): number {
  const poleward = Math.abs(to.lat) - Math.abs(place.latitude);
  const capped = Math.max(-8, Math.min(8, poleward));
  return Math.min(Math.abs(to.lat), Math.abs(place.latitude)) < 15
    ? 0
    : -capped * CELSIUS_PER_DEGREE_LATITUDE;
}

/** Reference places on the wrong side of the equator have their months turned by half a year. */
function monthsFor(values: readonly number[], place: Place, to: Coordinates): readonly number[] {
  const opposite = place.latitude * to.lat < 0 && Math.abs(place.latitude) > 12;
  return opposite ? [...values.slice(6), ...values.slice(0, 6)] : values;
}

/**
 * Normals at any point: the three nearest reference places, weighted by the inverse square of distance
 * and corrected for latitude. `places` must not be empty.
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
        const value = monthsFor(pick(place), place, at)[month] ?? 0;
        return sum + (weight / total) * (value + (shifted ? shiftCelsius(place, at) : 0));
      }, 0),
    );
  return {
    minCelsius: blend((place) => place.minCelsius, true),
    maxCelsius: blend((place) => place.maxCelsius, true),
    rainMillimetres: blend((place) => place.rainMillimetres, false),
  };
}

/** Rounds of correction; after 40 the monthly means are kept to better than 0.001 C on real normals. */
const MEAN_KEEPING_ROUNDS = 40;

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
    const leftAt = (middles[left] ?? 0) - (after === 0 ? DAYS_IN_YEAR : 0);
    const rightAt = (middles[right] ?? 0) + (after === -1 ? DAYS_IN_YEAR : 0);
    return { left, right, share: (day - leftAt) / (rightAt - leftAt) };
  });
})();

function interpolate(knots: readonly number[]): Float64Array {
  const daily = new Float64Array(DAYS_IN_YEAR);
  BETWEEN.forEach(({ left, right, share }, day) => {
    daily[day] = (knots[left] ?? 0) * (1 - share) + (knots[right] ?? 0) * share;
  });
  return daily;
}

/** Daily course through twelve monthly means that keeps those means: straight lines between corrected mid-month knots. */
export function dailyFromMonthly(monthly: readonly number[]): Float64Array {
  const knots = [...monthly];
  let daily = interpolate(knots);
  for (let round = 0; round < MEAN_KEEPING_ROUNDS; round++) {
    monthly.forEach((wanted, month) => {
      const { first, last } = monthSpan(month + 1);
      const mean = sum(daily.subarray(first, last + 1)) / (last + 1 - first);
      knots[month] = (knots[month] ?? 0) + (wanted - mean);
    });
    daily = interpolate(knots);
  }
  return daily;
}

/** Daily normals of a place from its monthly normals. */
export function dailyNormals(monthly: MonthlyNormals): DailyNormals {
  return {
    minCelsius: dailyFromMonthly(monthly.minCelsius),
    maxCelsius: dailyFromMonthly(monthly.maxCelsius),
  };
}

/** Normals of a place with the rain of its months. */
export interface ClimateNormals extends DailyNormals {
  /** January first. */
  readonly rainMillimetres: readonly number[];
}

/** Daily normals and monthly rain at any point, see {@link normalsAt}. */
export function climateAt(places: readonly Place[], at: Coordinates): ClimateNormals {
  const monthly = normalsAt(places, at);
  return { ...dailyNormals(monthly), rainMillimetres: monthly.rainMillimetres };
}
