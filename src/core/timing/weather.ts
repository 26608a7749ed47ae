import { entryAt, numberAt } from '../util/entryAt.ts';
import { seeded } from '../util/random.ts';
import { addDays, indexOfDay, type Day } from './calendar.ts';
import type { ClimateNormals, DailyNormals } from './climate.ts';

/** Weather of one day as a station reports it. */
export interface WeatherDay {
  readonly day: Day;
  readonly minCelsius: number;
  readonly maxCelsius: number;
  readonly rainMillimetres: number;
  /** Mean wind of the day; null where it is not known. */
  readonly windKmh: number | null;
}

/** How much of a day's departure from the normal is left on the next day: our own estimate for mid-latitudes. */
export const PERSISTENCE = 0.7;
/** Rain of a mean wet day, millimetres, and how much likelier rain is after a wet day: our own estimates. */
const WET_DAY_MILLIMETRES = 8;
const WET_AFTER_WET = 1.6;
/** How much the daily range widens on dry days and narrows on wet ones. */
const RANGE = { dry: 1.1, wet: 0.75 } as const;

/** Median of a day's mean wind, km/h, and the spread of its logarithm: our own estimates. */
const WIND = { medianKmh: 9, spread: 0.45 } as const;
/** Keeps the draws of the wind apart from those of heat and rain. */
const WIND_SEED = 0x5eed;

/** A standard normal number from two even ones (G. E. P. Box and M. E. Muller, 1958). */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** Where a run of weather starts. */
export interface WeatherStart {
  readonly departureCelsius: number;
  readonly wet: boolean;
}

const CALM: WeatherStart = { departureCelsius: 0, wet: false };
const monthOf = (index: number): number => Math.min(11, Math.floor(index / 30.42));

/**
 * Plausible weather of `days` days from `from` on: departures from the normals that die away as a first-order
 * autoregression, wet and dry spells as a two-state chain whose long-run rain is that of the month. The same seed gives
 * the same weather. Means over many seeds are the normals.
 */
export function simulateWeather(
  normals: ClimateNormals,
  from: Day,
  days: number,
  seed: number,
  start: WeatherStart = CALM,
): readonly WeatherDay[] {
  const random = seeded(seed);
  const gusts = seeded(seed ^ WIND_SEED);
  let { departureCelsius: departure, wet } = start;
  return Array.from({ length: days }, (_, i): WeatherDay => {
    const day = addDays(from, i);
    const index = indexOfDay(day);
    const spread = numberAt(normals.spreadCelsius, index);
    departure = PERSISTENCE * departure + Math.sqrt(1 - PERSISTENCE ** 2) * spread * normal(random);
    const share = Math.min(
      0.9,
      entryAt(normals.rainMillimetres, monthOf(index)) / 30.4 / WET_DAY_MILLIMETRES,
    );
    const dryToWet = (share * (1 - WET_AFTER_WET * share)) / (1 - share);
    wet = random() < (wet ? Math.min(0.95, WET_AFTER_WET * share) : Math.max(0, dryToWet));
    const [low, high] = [numberAt(normals.minCelsius, index), numberAt(normals.maxCelsius, index)];
    const middle = (low + high) / 2 + departure;
    const half = ((high - low) / 2) * (wet ? RANGE.wet : RANGE.dry);
    return {
      day,
      minCelsius: round(middle - half),
      maxCelsius: round(middle + half),
      rainMillimetres: wet ? round(-WET_DAY_MILLIMETRES * Math.log(1 - random())) : 0,
      windKmh: Math.round(WIND.medianKmh * Math.exp(WIND.spread * normal(gusts))),
    };
  });
}

/**
 * State from which simulated weather continues after the last observed day, in degrees Celsius of departure from
 * normal; a calm day without any.
 */
export function startAfter(observed: readonly WeatherDay[], normals: DailyNormals): WeatherStart {
  const last = observed.at(-1);
  if (!last) return CALM;
  const index = indexOfDay(last.day);
  const usual = (numberAt(normals.minCelsius, index) + numberAt(normals.maxCelsius, index)) / 2;
  return {
    departureCelsius: (last.minCelsius + last.maxCelsius) / 2 - usual,
    wet: last.rainMillimetres > 0,
  };
}

const round = (value: number): number => Math.round(value * 10) / 10;

/** Something that happened to the weather of the demonstration's year. */
export interface WeatherEvent {
  readonly from: Day;
  readonly days: number;
  readonly kind: 'late-frost' | 'wet-spell' | 'heat-wave' | 'gap';
}

/**
 * Puts events into a series of days: a frost, a week of rain, a hot week, days without a report. Degrees Celsius and
 * millimetres.
 */
export function withEvents(
  weather: readonly WeatherDay[],
  events: readonly WeatherEvent[],
): readonly WeatherDay[] {
  return weather.flatMap((one): WeatherDay[] => {
    const event = events.find(({ from, days }) => one.day >= from && one.day < from + days);
    switch (event?.kind) {
      case undefined:
        return [one];
      case 'gap':
        return [];
      case 'late-frost':
        return [
          { ...one, minCelsius: -2.4, maxCelsius: Math.min(one.maxCelsius, 9), rainMillimetres: 0 },
        ];
      case 'wet-spell':
        return [{ ...one, rainMillimetres: Math.max(one.rainMillimetres, 9.5) }];
      case 'heat-wave':
        return [
          {
            ...one,
            minCelsius: Math.max(one.minCelsius, 19.5),
            maxCelsius: Math.max(one.maxCelsius, 33.6),
            rainMillimetres: 0,
          },
        ];
    }
  });
}
