import { numberAt } from '../util/entryAt.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import type { Place } from '../schema/place.ts';
import type { WindowRule } from '../schema/window.ts';
import { addDays, civil, DAYS_IN_YEAR, indexOfDay, type Day } from './calendar.ts';
import { climateAt, dailyNormals, type Coordinates, type DailyNormals } from './climate.ts';
import { buildSeasonYear, type SeasonYear } from './seasonYear.ts';
import { firstOfGardeningYear, withDays, yearOfWeather } from './thisYear.ts';
import type { WeatherDay } from './weather.ts';
import {
  positionsOf,
  windowState,
  type Placed,
  type WindowContext,
  type WindowState,
} from './windows.ts';

/** Id of the reference place of calendar windows that name none: the mid-latitude continental one. */
export const DEFAULT_REFERENCE: string = RELIED_ON.places.reference;

/**
 * The gardening year of one point on the globe; answers when windows are open there. With observed weather the dates of
 * that year follow it, and those of other years the normals.
 */
export interface Almanac {
  readonly at: Coordinates;
  readonly year: SeasonYear;
  readonly daily: DailyNormals;
  /** How a window stands on a day; `bloom` is when the plant in question flowers, where that is known. */
  readonly state: (rule: WindowRule, today: Day, bloom?: WindowRule | null) => WindowState;
  /** Days from `today` to the nearest day of the window: 0 inside; at most 183; null when never. */
  readonly daysOutside: (rule: WindowRule, today: Day) => number | null;
  /** Normal minimum and maximum of a day, Celsius. */
  readonly normalOn: (day: Day) => { readonly minCelsius: number; readonly maxCelsius: number };
}

/**
 * Seasonal years of the reference places, each built once. Throws when `places` lacks {@link DEFAULT_REFERENCE} or
 * the place that a window names.
 */
export function referenceYears(places: readonly Place[]): WindowContext['reference'] {
  const yearOf = new Map<string, SeasonYear>();
  return (placeId) => {
    const id = placeId ?? DEFAULT_REFERENCE;
    const known = yearOf.get(id);
    if (known) return known;
    const place = places.find((one) => one.id === id);
    if (!place) throw new Error(`reference place ${id} is missing: run npm run check:knowledge`);
    const year = buildSeasonYear(dailyNormals(place), place.latitude < 0);
    yearOf.set(id, year);
    return year;
  };
}

/**
 * Makes almanacs for coordinates in degrees; `observed` are days of weather that replace normals. The almanacs of the
 * reference places are cached. Throws when `places` lacks {@link DEFAULT_REFERENCE}.
 */
export function createAlmanacs(
  places: readonly Place[],
): (at: Coordinates, observed?: readonly WeatherDay[]) => Almanac {
  const reference = referenceYears(places);
  return (at, observed = []) => almanacAt(places, at, observed, reference);
}

/** The gardening year that the last observed day belongs to, with the civil year of its warm half. */
interface KnownYear {
  readonly year: number;
  readonly weather: SeasonYear;
}

function knownYear(
  daily: DailyNormals,
  usual: SeasonYear,
  observed: readonly WeatherDay[],
  south: boolean,
): KnownYear | null {
  const last = observed.at(-1);
  if (!last) return null;
  const first = firstOfGardeningYear(last.day, south);
  const weather = yearOfWeather(withDays(daily, first, observed), usual, south);
  return { year: civil(addDays(first, DAYS_IN_YEAR - 1)).year, weather };
}

/** Mean nights tell when frost ends, not those of one year. */
const byMeanNights = (rule: WindowRule): boolean =>
  rule.kind === 'season' && rule.season === 'frost-free';

function almanacAt(
  places: readonly Place[],
  at: Coordinates,
  observed: readonly WeatherDay[],
  reference: WindowContext['reference'],
): Almanac {
  const daily = climateAt(places, at);
  const year = buildSeasonYear(daily, at.lat < 0);
  const now = knownYear(daily, year, observed, at.lat < 0);
  const placer = (here: SeasonYear, bloom: WindowRule | null) => {
    const kept = new Map<WindowRule, Placed>();
    return (rule: WindowRule): Placed => {
      const found = kept.get(rule) ?? positionsOf(rule, { here, reference, bloom });
      kept.set(rule, found);
      return found;
    };
  };
  const placing = (bloom: WindowRule | null) => ({
    usual: placer(year, bloom),
    known: now === null ? null : placer(now.weather, bloom),
  });
  const placers = new Map<WindowRule | null, ReturnType<typeof placing>>();
  const state: Almanac['state'] = (rule, today, bloom = null) => {
    // Only windows that hang on the plant differ from plant to plant.
    const key = rule.kind === 'plant' ? bloom : null;
    const { usual, known } = placers.get(key) ?? placing(key);
    if (!placers.has(key)) placers.set(key, { usual, known });
    const own =
      now && known && !byMeanNights(rule) ? { year: now.year, positions: known(rule) } : null;
    return windowState(usual(rule), year, today, own);
  };
  return {
    at,
    year,
    daily,
    state,
    daysOutside: (rule, today) => {
      const found = state(rule, today);
      if (found.kind === 'never') return null;
      if (found.kind !== 'opens') return 0;
      const ahead = found.span.from - today;
      return found.closedSince === null ? ahead : Math.min(ahead, today - found.closedSince);
    },
    normalOn: (day) => {
      const index = indexOfDay(day);
      return {
        minCelsius: numberAt(daily.minCelsius, index),
        maxCelsius: numberAt(daily.maxCelsius, index),
      };
    },
  };
}
