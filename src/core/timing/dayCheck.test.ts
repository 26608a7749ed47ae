import fc from 'fast-check';
import { day } from '../../test/setting.ts';
import { limitsSchema } from '../schema/treatment.ts';
import { checkDay, halfDaylight, type DayWork } from './dayCheck.ts';
import type { ComingDay } from './outlook.ts';

const LATITUDE = 44.6;
const mild: ComingDay = {
  day: day('2026-06-13'),
  minCelsius: 11,
  maxCelsius: 21,
  plusMinus: 2,
  rain: 0.1,
  windKmh: 8,
};
const work = (limits: object, spray = true): DayWork => ({
  limits: limitsSchema.parse(limits),
  spray,
});
const check = (limits: object, change: Partial<ComingDay> = {}, spray = true) =>
  checkDay(work(limits, spray), { ...mild, ...change }, null, LATITUDE);
const codes = (found: ReturnType<typeof check>): string[] => found.reasons.map(({ code }) => code);

it('lets a mild, dry, calm day go, with hours that leave time to dry', () => {
  const found = check({ rainFreeHours: 6 });
  expect(found).toMatchObject({ go: 'go', reasons: [] });
  expect(found.hours && found.hours.to <= 16).toBe(true);
});

// Common practice: oils and soaps burn leaves above about 32 C (90 F).
it('refuses oil at 33 C and doubts it where 33 C may come', () => {
  expect(check({ maxCelsius: 32 }, { maxCelsius: 33 }).go).toBe('no-go');
  expect(check({ maxCelsius: 32 }, { maxCelsius: 31, plusMinus: 3 }).go).toBe('doubtful');
});

it.each([
  ['rain', {}, { rain: 0.8 }, 'rain-likely'],
  ['wind', { maxWindKmh: 12 }, { windKmh: 15 }, 'windy'],
  ['frost', {}, { minCelsius: -1 }, 'frost'],
  ['cold', { minCelsius: 13 }, { minCelsius: 2, maxCelsius: 9 }, 'too-cold'],
])('refuses a spray for %s and says so', (_, limits, change, code) => {
  const found = check(limits, change);
  expect(found.go).toBe('no-go');
  expect(codes(found)).toContain(code);
});

it('minds no wind or rain for work that is no spray', () => {
  expect(check({ minCelsius: 5 }, { rain: 0.9, windKmh: 40 }, false).go).toBe('go');
});

it('looks into the next day when it must stay dry for a day and a night', () => {
  const wetNext = { ...mild, rain: 0.9 };
  const long = checkDay(work({ rainFreeHours: 24 }), mild, wetNext, LATITUDE);
  const short = checkDay(work({ rainFreeHours: 6 }), mild, wetNext, LATITUDE);
  expect([long.go, short.go]).toEqual(['no-go', 'go']);
});

it('asks for wind where the station does not tell it', () => {
  expect(codes(check({}, { windKmh: null }))).toEqual(['wind-unknown']);
});

it('keeps to the morning or the evening', () => {
  const morning = check({ timeOfDay: 'morning' }).hours;
  const evening = check({ timeOfDay: 'evening' }).hours;
  expect(morning && morning.to <= 11).toBe(true);
  expect(evening && evening.from >= 16).toBe(true);
});

// The longest day at 44.6 N has about 15.5 hours of light (sunrise equation), an equinox 12 everywhere.
it('knows the length of the day', () => {
  expect(2 * halfDaylight(LATITUDE, 171)).toBeCloseTo(15.4, 0);
  expect(2 * halfDaylight(-33, 80)).toBeCloseTo(12, 0);
  expect(halfDaylight(75, 171)).toBe(12);
});

it('never lets a day go that a stricter limit would not (property)', () => {
  const celsius = fc.double({ min: 0, max: 40, noNaN: true });
  fc.assert(
    fc.property(
      celsius,
      fc.double({ min: 0, max: 1, noNaN: true }),
      celsius,
      (max, rain, limit) => {
        const given = { minCelsius: max - 8, maxCelsius: max, rain };
        const strict = check({ maxCelsius: limit, rainFreeHours: 24 }, given);
        const loose = check({ maxCelsius: limit + 5, rainFreeHours: 2 }, given);
        return strict.go !== 'go' || loose.go !== 'no-go';
      },
    ),
    { numRuns: 200, seed: 20260613 },
  );
});
