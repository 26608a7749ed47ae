import fc from 'fast-check';
import type { WindowRule } from '../schema/window.ts';
import { addDays, civil, dayOf, DAYS_IN_YEAR, indexOfDay } from './calendar.ts';
import { dailyNormals, type ClimateNormals } from './climate.ts';
import { accumulate, buildSeasonYear } from './seasonYear.ts';
import { simulateWeather, withEvents } from './weather.ts';
import { predictionIntervalsOf, ensembleForYear, standsOn } from './yearAhead.ts';

const MAX = [2, 4, 9, 16, 22, 27, 29, 28, 24, 17, 10, 4];
const MIN = [-7, -6, -2, 4, 10, 15, 18, 17, 13, 6, 1, -4];
const RAIN = [60, 55, 75, 85, 100, 105, 110, 90, 75, 65, 70, 65];
const turned = (values: readonly number[]): number[] => [...values.slice(6), ...values.slice(0, 6)];
const normalsOf = (
  minCelsius: readonly number[],
  maxCelsius: readonly number[],
  rainMillimetres: readonly number[],
) => ({ ...dailyNormals({ minCelsius, maxCelsius, rainMillimetres }), rainMillimetres });
const NORTH: ClimateNormals = normalsOf(MIN, MAX, RAIN);
const SOUTH: ClimateNormals = normalsOf(turned(MIN), turned(MAX), turned(RAIN));
const TODAY = dayOf(2026, 6, 13);
const reference = () => buildSeasonYear(NORTH, false);
const heat = (from: number, to: number): WindowRule => ({
  kind: 'degree-days',
  baseCelsius: 10,
  from,
  to,
});

describe('simulated weather', () => {
  it('keeps the normals on average, in temperature and in rain', () => {
    const years = Array.from({ length: 60 }, (_, k) =>
      simulateWeather(NORTH, dayOf(2026, 1, 1), DAYS_IN_YEAR, k + 1),
    );
    const days = years.flat();
    const mean = (values: readonly number[]): number =>
      values.reduce((sum, value) => sum + value, 0) / values.length;
    for (let month = 1; month <= 12; month++) {
      const own = days.filter(({ day }) => civil(day).month === month);
      const wanted = ((MIN[month - 1] ?? 0) + (MAX[month - 1] ?? 0)) / 2;
      expect(
        Math.abs(mean(own.map((d) => (d.minCelsius + d.maxCelsius) / 2)) - wanted),
      ).toBeLessThan(0.6);
    }
    const rain = days.reduce((sum, { rainMillimetres }) => sum + rainMillimetres, 0) / 60;
    const usual = RAIN.reduce((sum, value) => sum + value, 0);
    expect(Math.abs(rain / usual - 1)).toBeLessThan(0.08);
  });

  it('is the same for the same seed and another for another', () => {
    const run = (seed: number) => simulateWeather(NORTH, TODAY, 30, seed);
    expect(run(4)).toEqual(run(4));
    expect(run(4)).not.toEqual(run(5));
  });

  it('takes events in', () => {
    const from = dayOf(2026, 5, 1);
    const weather = withEvents(simulateWeather(NORTH, from, 40, 1), [
      { from: addDays(from, 3), days: 1, kind: 'late-frost' },
      { from: addDays(from, 6), days: 5, kind: 'wet-spell' },
      { from: addDays(from, 20), days: 4, kind: 'heat-wave' },
      { from: addDays(from, 30), days: 2, kind: 'gap' },
    ]);
    expect(weather).toHaveLength(38);
    expect(weather[3]?.minCelsius).toBeLessThan(0);
    expect(weather[8]?.rainMillimetres).toBeGreaterThan(9);
    expect(weather[21]?.maxCelsius).toBeGreaterThan(33);
  });
});

describe('the year ahead', () => {
  const ahead = ensembleForYear(NORTH, TODAY, [], false);

  it('knows what is past and doubts what is to come', () => {
    const observed = simulateWeather(NORTH, dayOf(2026, 1, 1), TODAY - dayOf(2026, 1, 1), 3);
    const known = ensembleForYear(NORTH, TODAY, observed, false);
    const past = predictionIntervalsOf(heat(60, 150), known, reference);
    const later = predictionIntervalsOf(heat(900, 1100), known, reference);
    expect(past?.from.early).toBe(past?.from.late);
    expect((later?.from.late ?? 0) - (later?.from.early ?? 0)).toBeGreaterThan(3);
    expect(past && standsOn(past, TODAY)).toBe('over');
    expect(later && standsOn(later, TODAY)).toBe('ahead');
  });

  it('gives no date for what a year here is too cool for', () => {
    expect(predictionIntervalsOf(heat(9000, 9500), ahead, reference)).toBeNull();
    expect(predictionIntervalsOf({ kind: 'any' }, ahead, reference)).toBeNull();
  });

  it('puts bands and windows in order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 800 }),
        fc.integer({ min: 5, max: 400 }),
        (from, more) => {
          const span = predictionIntervalsOf(heat(from, from + more), ahead, reference);
          return (
            span !== null &&
            [span.from, span.to].every(
              ({ early, median, late }) => early <= median && median <= late,
            ) &&
            span.from.median <= span.to.median
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is never later in a warmer year', () => {
    const warmer: ClimateNormals = {
      ...NORTH,
      minCelsius: NORTH.minCelsius.map((value) => value + 2),
      maxCelsius: NORTH.maxCelsius.map((value) => value + 2),
    };
    for (const degreeDays of [100, 300, 700]) {
      const usual = predictionIntervalsOf(heat(degreeDays, degreeDays + 50), ahead, reference);
      const early = predictionIntervalsOf(
        heat(degreeDays, degreeDays + 50),
        ensembleForYear(warmer, TODAY, [], false),
        reference,
      );
      expect(early?.from.median ?? Infinity).toBeLessThanOrEqual(usual?.from.median ?? 0);
    }
  });

  it('is the same in the south half a year later, without weather of its own', () => {
    // Without simulated days on either side: today is the last day of the gardening year.
    const north = ensembleForYear(NORTH, dayOf(2026, 12, 31), [], false, 30);
    const south = ensembleForYear(SOUTH, dayOf(2026, 6, 30), [], true, 30);
    const [a, b] = [north, south].map((year) =>
      predictionIntervalsOf(heat(200, 400), year, reference),
    );
    if (!a || !b) throw new Error('no bands');
    const offset = indexOfDay(a.from.median) - ((indexOfDay(b.from.median) + 184) % DAYS_IN_YEAR);
    expect(Math.abs(offset)).toBeLessThanOrEqual(3);
    expect(civil(b.from.median).year).toBe(2025);
  });
});

describe('years of the station', () => {
  const pastYear = (celsius: number) =>
    Array.from({ length: DAYS_IN_YEAR }, (_, i) => ({
      day: addDays(dayOf(2025, 1, 1), i),
      minCelsius: celsius - 5,
      maxCelsius: celsius + 5,
      rainMillimetres: 0,
      windKmh: null,
    }));
  const spring = dayOf(2026, 3, 1);

  it('take part in the year ahead as they came', () => {
    const { members } = ensembleForYear(NORTH, spring, pastYear(15), false);
    expect(members).toHaveLength(30);
    expect(members[0]?.maxCelsius[200]).toBe(20);
    expect(members[1]?.maxCelsius[200]).not.toBe(20);
  });
  it('take no part when most of their days are missing', () => {
    const { members } = ensembleForYear(NORTH, spring, pastYear(15).slice(0, 150), false);
    expect(members[0]?.maxCelsius[200]).not.toBe(20);
  });
});

it('expects the heat that the years of the future have on average', () => {
  const { members, usual } = ensembleForYear(NORTH, dayOf(2026, 1, 1), [], false, 80);
  for (const position of [120, 180, 300]) {
    const mean =
      members.reduce((sum, year) => sum + (accumulate(year, 10)[position] ?? 0), 0) /
      members.length;
    const expected = accumulate(usual, 10)[position] ?? 0;
    expect(Math.abs(mean / expected - 1)).toBeLessThan(0.06);
  }
});
