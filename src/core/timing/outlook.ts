import { numberAt } from '../util/entryAt.ts';
import type { Place } from '../schema/place.ts';
import type { WindowRule } from '../schema/window.ts';
import { percentile } from '../util/maths.ts';
import { referenceYears } from './almanac.ts';
import { addDays, type Day } from './calendar.ts';
import { climateAt, type ClimateNormals, type Coordinates } from './climate.ts';
import { accumulate, buildSeasonYear } from './seasonYear.ts';
import { simulateWeather, startAfter, type WeatherDay } from './weather.ts';
import {
  predictionIntervalsOf,
  ensembleForYear,
  type BandedSpan,
  type YearAhead,
} from './yearAhead.ts';

/** How the next days are described. */
export interface ForecastRequest {
  readonly today: Day;
  readonly observed: readonly WeatherDay[];
  /** The station is a simulated one: then one of its futures stands in for a forecast. Otherwise only the probabilities are given. */
  readonly simulated: boolean;
}

/** Where and when dates are wanted, and the weather so far. */
export interface DatesRequest extends ForecastRequest {
  readonly places: readonly Place[];
  readonly at: Coordinates;
}

/** What a season is worked out from. */
export interface OutlookRequest extends DatesRequest {
  readonly rules: readonly WindowRule[];
  /** When the plant of windows that hang on it flowers; null where that is not known. */
  readonly bloom: WindowRule | null;
  /** Base of the heat that is drawn, Celsius. */
  readonly baseCelsius: number;
}

/** Heat since the start of the gardening year at the end of a day, degree-days. */
export interface HeatPoint {
  readonly day: Day;
  readonly normal: number;
  readonly low: number;
  readonly median: number;
  readonly high: number;
}

/** One of the next days: what is likely, and how far it may be off. */
export interface ComingDay {
  readonly day: Day;
  readonly minCelsius: number;
  readonly maxCelsius: number;
  /** Half of the band in which the maximum falls in 8 of 10 cases. */
  readonly plusMinus: number;
  /** Chance of a wet day, 0 to 1. */
  readonly rain: number;
  /** Likely strongest wind, km/h; null where the station does not measure it. */
  readonly windKmh: number | null;
}

/** The season ahead. `bands` stand in the order of the rules; null where a rule has no dates here. */
export interface Outlook {
  readonly predictionIntervals: readonly (BandedSpan | null)[];
  readonly heat: readonly HeatPoint[];
  readonly coming: readonly ComingDay[];
}

/** Every so many days one point of the heat curve is given. */
const HEAT_STEP = 5;
/** Days ahead that the stand-in for a forecast covers. */
const COMING_DAYS = 10;
const FORECAST_SEED = 104_729;
const FORECAST_RUNS = 40;

const ordered = (values: readonly number[]): readonly number[] => [...values].sort((a, b) => a - b);
const at = (values: readonly number[], share: number): number => percentile(values, share) ?? 0;

function heatOf(
  { first, members }: YearAhead,
  normal: Float64Array,
  baseCelsius: number,
): readonly HeatPoint[] {
  const totals = members.map((member) => accumulate(member, baseCelsius));
  const points: HeatPoint[] = [];
  for (let position = 0; position < normal.length; position += HEAT_STEP) {
    const values = ordered(totals.map((total) => numberAt(total, position)));
    points.push({
      day: addDays(first, position),
      normal: numberAt(normal, position),
      low: at(values, 0.1),
      median: at(values, 0.5),
      high: at(values, 0.9),
    });
  }
  return points;
}

/** Days after which a forecast knows a third as much as on the first: our own estimate. */
const SKILL_DAYS = 5;

/**
 * The next ten days, with rain as a probability and temperatures in degrees Celsius. Probabilities come from forty
 * simulated runs that continue the last observed day. A simulated station has a run of its own, drawn towards the
 * mean the further ahead it lies.
 */
export function forecast(
  normals: ClimateNormals,
  { today, observed, simulated }: ForecastRequest,
): readonly ComingDay[] {
  const past = observed.filter(({ day }) => day < today);
  const start = startAfter(past, normals);
  const run = (k: number): readonly WeatherDay[] =>
    simulateWeather(normals, today, COMING_DAYS, FORECAST_SEED + k, start);
  const runs = Array.from({ length: FORECAST_RUNS }, (_, k) => run(k + 1));
  const ownRun = simulated ? run(0) : [];
  const windKnown = simulated || past.some(({ windKmh }) => windKmh !== null);
  return Array.from({ length: COMING_DAYS }, (_, i): ComingDay => {
    const days = runs.flatMap((one) => one[i] ?? []);
    const one = ownRun[i];
    const skill = one ? Math.exp(-i / SKILL_DAYS) : 0;
    const blend = (pick: (day: WeatherDay) => number): number => {
      const odds = at(ordered(days.map(pick)), 0.5);
      return one ? skill * pick(one) + (1 - skill) * odds : odds;
    };
    const high = ordered(days.map(({ maxCelsius }) => maxCelsius));
    const wet = (day: WeatherDay): boolean => day.rainMillimetres > 0;
    const odds = days.filter(wet).length / days.length;
    return {
      day: addDays(today, i),
      minCelsius: blend(({ minCelsius }) => minCelsius),
      maxCelsius: blend(({ maxCelsius }) => maxCelsius),
      plusMinus: ((at(high, 0.9) - at(high, 0.1)) / 2) * Math.sqrt(1 - skill ** 2 * KNOWN_AT_BEST),
      rain: skill * (one && wet(one) ? 1 : 0) + (1 - skill) * odds,
      windKmh: windKnown ? blend(({ windKmh }) => windKmh ?? 0) : null,
    };
  });
}
/** Share of the variance that a forecast for today still explains: our own estimate. */
const KNOWN_AT_BEST = 0.9;

/**
 * The outlook of a season: dates of all rules with 80 percent prediction intervals, degree-days so far, and the next
 * ten days. Deterministic for the same request.
 */
export function outlookFor(request: OutlookRequest): Outlook {
  const { places, at: where, today, observed, rules, baseCelsius } = request;
  const normals = climateAt(places, where);
  const south = where.lat < 0;
  const ahead = ensembleForYear(normals, today, observed, south);
  const reference = referenceYears(places);
  const usual = accumulate(buildSeasonYear(normals, south), baseCelsius);
  const coming = forecast(normals, request);
  return {
    predictionIntervals: rules.map((rule) =>
      predictionIntervalsOf(rule, ahead, reference, request.bloom),
    ),
    heat: heatOf(ahead, usual, baseCelsius),
    coming,
  };
}
