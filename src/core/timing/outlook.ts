import type { Place } from '../knowledge/schema/place.ts';
import type { WindowRule } from '../knowledge/schema/window.ts';
import { referenceYears } from './almanac.ts';
import { addDays, type Day } from './calendar.ts';
import { climateAt, type Coordinates } from './climate.ts';
import { accumulate, buildSeasonYear } from './seasonYear.ts';
import { simulateWeather, startAfter, type WeatherDay } from './weather.ts';
import { bandsOf, lookAhead, type BandedSpan, type YearAhead } from './yearAhead.ts';

/** What a season is worked out from. */
export interface OutlookRequest {
  readonly places: readonly Place[];
  readonly at: Coordinates;
  readonly today: Day;
  readonly observed: readonly WeatherDay[];
  readonly rules: readonly WindowRule[];
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
}

/** The season ahead. `bands` stand in the order of the rules; null where a rule has no dates here. */
export interface Outlook {
  readonly bands: readonly (BandedSpan | null)[];
  readonly heat: readonly HeatPoint[];
  readonly coming: readonly ComingDay[];
}

/** Every so many days one point of the heat curve is given. */
const HEAT_STEP = 5;
/** Days ahead that the stand-in for a forecast tells. */
const COMING_DAYS = 10;
const FORECAST_SEED = 104_729;
const FORECAST_RUNS = 40;

const ordered = (values: readonly number[]): readonly number[] => [...values].sort((a, b) => a - b);
const at = (values: readonly number[], share: number): number =>
  values[Math.min(values.length - 1, Math.floor(share * values.length))] ?? 0;

function heatOf(
  { first, members }: YearAhead,
  normal: Float64Array,
  baseCelsius: number,
): readonly HeatPoint[] {
  const totals = members.map((member) => accumulate(member, baseCelsius));
  const points: HeatPoint[] = [];
  for (let position = 0; position < normal.length; position += HEAT_STEP) {
    const values = ordered(totals.map((total) => total[position] ?? 0));
    points.push({
      day: addDays(first, position),
      normal: normal[position] ?? 0,
      low: at(values, 0.1),
      median: at(values, 0.5),
      high: at(values, 0.9),
    });
  }
  return points;
}

/** Works the season out: bands of all rules, the heat curve, and the next ten days. Deterministic. */
export function outlookFor(request: OutlookRequest): Outlook {
  const { places, at: where, today, observed, rules, baseCelsius } = request;
  const normals = climateAt(places, where);
  const south = where.lat < 0;
  const ahead = lookAhead(normals, today, observed, south);
  const reference = referenceYears(places);
  const usual = accumulate(buildSeasonYear(normals, south), baseCelsius);
  const start = startAfter(
    observed.filter(({ day }) => day < today),
    normals,
  );
  const runs = Array.from({ length: FORECAST_RUNS }, (_, k) =>
    simulateWeather(normals, today, COMING_DAYS, FORECAST_SEED + k, start),
  );
  const coming = Array.from({ length: COMING_DAYS }, (_, i): ComingDay => {
    const days = runs.flatMap((run) => run[i] ?? []);
    const high = ordered(days.map(({ maxCelsius }) => maxCelsius));
    return {
      day: addDays(today, i),
      minCelsius: at(ordered(days.map(({ minCelsius }) => minCelsius)), 0.5),
      maxCelsius: at(high, 0.5),
      plusMinus: (at(high, 0.9) - at(high, 0.1)) / 2,
      rain: days.filter(({ rainMillimetres }) => rainMillimetres > 0).length / days.length,
    };
  });
  return {
    bands: rules.map((rule) => bandsOf(rule, ahead, reference)),
    heat: heatOf(ahead, usual, baseCelsius),
    coming,
  };
}
