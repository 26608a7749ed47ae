import { day } from '../../test/setting.ts';
import { addDays, DAYS_IN_YEAR, isoDay } from './calendar.ts';
import { buildSeasonYear } from './seasonYear.ts';
import { firstOfGardeningYear, withDays, yearOfWeather } from './thisYear.ts';

const flat = {
  minCelsius: new Float64Array(DAYS_IN_YEAR).fill(5),
  maxCelsius: new Float64Array(DAYS_IN_YEAR).fill(15),
  spreadCelsius: new Float64Array(DAYS_IN_YEAR).fill(3),
};
const hot = (on: string) => ({
  day: day(on),
  minCelsius: 20,
  maxCelsius: 30,
  rainMillimetres: 0,
  windKmh: null,
});

it('begins the gardening year in midwinter on either side of the equator', () => {
  expect(isoDay(firstOfGardeningYear(day('2026-06-13'), false))).toBe('2026-01-01');
  expect(isoDay(firstOfGardeningYear(day('2026-06-13'), true))).toBe('2025-07-01');
  expect(isoDay(firstOfGardeningYear(day('2026-07-01'), true))).toBe('2026-07-01');
});

it('puts days of the year in and leaves those of other years out', () => {
  const first = day('2026-01-01');
  const made = withDays(flat, first, [hot('2026-02-01'), hot('2025-02-02'), hot('2027-01-01')]);
  expect(made.maxCelsius[31]).toBe(30);
  expect(made.maxCelsius[32]).toBe(15);
  expect(made.maxCelsius[0]).toBe(15);
  expect(flat.maxCelsius[31]).toBe(15);
  expect([made.spreadCelsius[31], made.spreadCelsius[32]]).toEqual([0, 3]);
});

it('keeps the usual turns of the season whatever a hot day brings', () => {
  const usual = buildSeasonYear(flat, false);
  const year = yearOfWeather(withDays(flat, day('2026-01-01'), [hot('2026-12-20')]), usual, false);
  expect(year.peak).toBe(usual.peak);
  expect(year.maxCelsius[addDays(day('2026-12-20'), 0) - day('2026-01-01')]).toBe(30);
});
