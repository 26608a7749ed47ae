import type { Place } from '../knowledge/schema/place.ts';
import type { WindowRule } from '../knowledge/schema/window.ts';
import { type Day, indexOfDay } from './calendar.ts';
import { dailyNormals, normalsAt, type Coordinates, type DailyNormals } from './climate.ts';
import { buildSeasonYear, type SeasonYear } from './seasonYear.ts';
import {
  positionsOf,
  windowState,
  type Positions,
  type WindowContext,
  type WindowState,
} from './windows.ts';

/** Id of the reference place of calendar windows that name none: the mid-latitude continental one. */
export const DEFAULT_REFERENCE = 'columbus';

/** The gardening year of one point on the globe; answers when windows are open there. */
export interface Almanac {
  readonly at: Coordinates;
  readonly year: SeasonYear;
  readonly daily: DailyNormals;
  /** How a window stands on a day. */
  readonly state: (rule: WindowRule, today: Day) => WindowState;
  /** Days from `today` to the nearest day of the window: 0 inside; at most 183; null when never. */
  readonly daysOutside: (rule: WindowRule, today: Day) => number | null;
  /** Normal minimum and maximum of a day, Celsius. */
  readonly normalOn: (day: Day) => { readonly minCelsius: number; readonly maxCelsius: number };
}

/** Years of the reference places, each built once. `places` must hold {@link DEFAULT_REFERENCE}. */
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

/** Makes almanacs for points, keeping those of the reference places. */
export function createAlmanacs(places: readonly Place[]): (at: Coordinates) => Almanac {
  const reference = referenceYears(places);
  return (at) => almanacAt(places, at, reference);
}

function almanacAt(
  places: readonly Place[],
  at: Coordinates,
  reference: WindowContext['reference'],
): Almanac {
  const daily = dailyNormals(normalsAt(places, at));
  const year = buildSeasonYear(daily, at.lat < 0);
  const context: WindowContext = { here: year, reference };
  const known = new Map<WindowRule, Positions | 'always' | 'never'>();
  const positions = (rule: WindowRule): Positions | 'always' | 'never' => {
    const found = known.get(rule) ?? positionsOf(rule, context);
    known.set(rule, found);
    return found;
  };
  const state = (rule: WindowRule, today: Day): WindowState =>
    windowState(positions(rule), year, today);
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
      return { minCelsius: daily.minCelsius[index] ?? 0, maxCelsius: daily.maxCelsius[index] ?? 0 };
    },
  };
}
