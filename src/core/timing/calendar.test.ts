import fc from 'fast-check';
import {
  addDays,
  dayAtIndex,
  dayIndex,
  dayOf,
  indexOfDay,
  isoDay,
  parseDay,
  yearOf,
} from './calendar.ts';

describe('parseDay', () => {
  it.each([
    ['2026-02-30', 'no-such-day'],
    ['2026-13-01', 'no-such-day'],
    ['13 June', 'not-iso'],
    ['1812-06-24', 'out-of-range'],
  ])('refuses %s as %s', (text, problem) => {
    expect(parseDay(text)).toEqual({ ok: false, error: problem });
  });

  it('reads a leap day', () => {
    const day = parseDay('2028-02-29');
    expect(day.ok && isoDay(day.value)).toBe('2028-02-29');
  });
});

it('keeps every day through its written form', () => {
  fc.assert(
    fc.property(fc.integer({ min: -20000, max: 80000 }), (offset) => {
      const day = addDays(dayOf(1970, 1, 1), offset);
      const again = parseDay(isoDay(day));
      return !again.ok || again.value === day;
    }),
  );
});

it('places positions of a 365-day year in the calendar and back', () => {
  for (let index = 0; index < 365; index++) expect(indexOfDay(dayAtIndex(2026, index))).toBe(index);
  expect(isoDay(dayAtIndex(2026, 365))).toBe('2027-01-01');
  expect(isoDay(dayAtIndex(2026, -1))).toBe('2025-12-31');
});

it('places days and years as the calendar of the language does, leap years and centuries too', () => {
  const years = fc.integer({ min: 1897, max: 2203 });
  fc.assert(
    fc.property(years, fc.integer({ min: 1, max: 12 }), fc.nat(27), (year, month, more) => {
      const day = dayOf(year, month, more + 1);
      expect(yearOf(day)).toBe(year);
      expect(dayAtIndex(year, dayIndex(month, more + 1))).toBe(day);
    }),
  );
  for (const year of [1899, 1900, 1999, 2000, 2024, 2099, 2100]) {
    expect(yearOf(dayOf(year, 1, 1))).toBe(year);
    expect(yearOf(dayOf(year, 12, 31))).toBe(year);
    expect(dayAtIndex(year, 364)).toBe(dayOf(year, 12, 31));
  }
});
