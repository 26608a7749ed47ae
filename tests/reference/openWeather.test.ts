import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import Papa from 'papaparse';
import { addDays, civil, dayOf, type Day } from '../../src/core/timing/calendar.ts';
import { climateAt } from '../../src/core/timing/climate.ts';
import { degreeDaysOf, type CutOff } from '../../src/core/timing/degreeDays.ts';
import { accumulate, buildSeasonYear, reachedAt } from '../../src/core/timing/seasonYear.ts';
import { readStationCsv } from '../../src/core/timing/stationCsv.ts';
import type { WeatherDay } from '../../src/core/timing/weather.ts';
import { predictionIntervalsOf, ensembleForYear } from '../../src/core/timing/yearAhead.ts';
import { library } from '../support/wholeLibrary.ts';

// Daily weather of Seattle, 2012 to 2015, and hourly normals of 1981-2010 (NOAA), as the package vega-datasets carries them.
const open = (name: string): string =>
  readFileSync(createRequire(import.meta.url).resolve(`vega-datasets/data/${name}`), 'utf8');

interface Row {
  readonly date: string;
  readonly precipitation: string;
  readonly temp_max: string;
  readonly temp_min: string;
}
const rows = Papa.parse<Row>(open('seattle-weather.csv').trim(), { header: true }).data;
const csv = Papa.unparse(
  rows.map(({ date, precipitation, temp_max, temp_min }) => ({
    date,
    min_c: temp_min,
    max_c: temp_max,
    rain_mm: precipitation,
  })),
);
const station = readStationCsv(csv);
if (!station.ok) throw new Error('the open data cannot be read');
const days = station.value.days;
const SEATTLE = { lat: 47.61, lon: -122.33 };

it('reads four years of a real station without a gap', () => {
  expect(days).toHaveLength(1461);
  expect(station.value.missing).toEqual([]);
});

/** The slow plain version: the curve cut into 20,000 pieces. */
function integrate(
  { minCelsius, maxCelsius }: WeatherDay,
  base: number,
  upper: number,
  cutOff: CutOff,
): number {
  const pieces = 20_000;
  let sum = 0;
  for (let i = 0; i < pieces; i++) {
    const wave = Math.sin((2 * Math.PI * (i + 0.5)) / pieces);
    const celsius = (minCelsius + maxCelsius) / 2 + ((maxCelsius - minCelsius) / 2) * wave;
    if (celsius <= base) continue;
    if (celsius <= upper) sum += celsius - base;
    else if (cutOff === 'horizontal') sum += upper - base;
    else if (cutOff === 'intermediate') sum += upper - base - (celsius - upper);
  }
  return sum / pieces;
}

it.each<CutOff>(['horizontal', 'intermediate'])(
  'agrees with numerical integration over real days to 1e-6, %s cut-off',
  (cutOff) => {
    const some = days.filter((_, i) => i % 14 === 0);
    expect(some.length).toBeGreaterThan(100);
    for (const day of some) {
      const exact = degreeDaysOf(day, {
        method: 'single-sine',
        baseCelsius: 10,
        upperCelsius: 24,
        cutOff,
      });
      expect(Math.abs(exact - integrate(day, 10, 24, cutOff))).toBeLessThan(1e-6);
    }
  },
);

// The warm part of a real day is shorter than a sine makes it, so the sine counts a little more.
it('comes within 6 % of the heat of hourly temperatures, and never below it', () => {
  const hours = Papa.parse<{ date: string; temperature: string }>(
    open('seattle-weather-hourly-normals.csv').trim(),
    { header: true },
  ).data;
  const byDay = new Map<string, number[]>();
  for (const { date, temperature } of hours) {
    const day = date.slice(0, 10);
    byDay.set(day, [...(byDay.get(day) ?? []), Number(temperature)]);
  }
  const whole = [...byDay.values()].filter(({ length }) => length === 24);
  expect(whole.length).toBeGreaterThan(360);
  const hourly = whole.flat().reduce((sum, celsius) => sum + Math.max(0, celsius - 10) / 24, 0);
  const total = whole.reduce((sum, celsius) => {
    const extremes = { minCelsius: Math.min(...celsius), maxCelsius: Math.max(...celsius) };
    return sum + degreeDaysOf(extremes, { method: 'single-sine', baseCelsius: 10 });
  }, 0);
  expect(total / hourly).toBeLessThan(1.06);
  expect(total / hourly).toBeGreaterThanOrEqual(1);
});

/** First day of a year on which the real heat above 10 C reaches a sum. */
function reallyReached(year: number, wanted: number): Day {
  const own = days.filter(({ day }) => civil(day).year === year);
  let sum = 0;
  for (const one of own) {
    sum += degreeDaysOf(one, { method: 'single-sine', baseCelsius: 10 });
    if (sum >= wanted) return one.day;
  }
  throw new Error(`${wanted} is not reached in ${year}`);
}

it('expects from the normals about the heat that four real years had', () => {
  const expected = accumulate(buildSeasonYear(climateAt(library.places, SEATTLE), false), 10);
  const mean =
    days.reduce(
      (sum, day) => sum + degreeDaysOf(day, { method: 'single-sine', baseCelsius: 10 }),
      0,
    ) / 4;
  // Two of the four were among the warmest on record there.
  expect(Math.abs((expected.at(-1) ?? 0) / mean - 1)).toBeLessThan(0.15);
  expect(reachedAt(expected, 100)).not.toBeNull();
});

it('has the real date within its band about as often as it says, with the station’s own years in it', () => {
  const asked = [2014, 2015].flatMap((year) =>
    [60, 120, 240, 480].flatMap((wanted) => [4, 5].map((month) => ({ year, wanted, month }))),
  );
  const ahead = new Map<string, ReturnType<typeof ensembleForYear>>();
  const inside = asked.filter(({ year, wanted, month }) => {
    const today = dayOf(year, month, 1);
    const key = `${year} ${month}`;
    const members =
      ahead.get(key) ??
      ensembleForYear(
        climateAt(library.places, SEATTLE),
        today,
        days.filter(({ day }) => day < today),
        false,
      );
    ahead.set(key, members);
    const rule = { kind: 'degree-days', baseCelsius: 10, from: wanted, to: wanted + 1 } as const;
    const band = predictionIntervalsOf(rule, members, () => members.usual);
    if (!band) throw new Error('no band');
    const real = reallyReached(year, wanted);
    return real >= addDays(band.from.early, -1) && real <= addDays(band.from.late, 1);
  });
  expect(inside.length / asked.length).toBeGreaterThan(0.6);
});
