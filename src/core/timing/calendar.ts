import { entryAt } from '../util/entryAt.ts';
import { fail, ok, type Result } from '../util/result.ts';

/** A civil day as whole days since 1 January 1970, free of time zones. */
export type Day = number & { readonly __brand: 'Day' };

export const DAYS_IN_YEAR = 365;
const MS_PER_DAY = 86_400_000;
const ISO = /^(\d{4})-(\d{2})-(\d{2})$/;

const asDay = (value: number): Day => value as Day;

/**
 * The day of a civil date; `month` is 1 to 12. Counts from 1 January 1970, in days. A date that does not exist rolls
 * over, so validate input with {@link parseDay}.
 */
export function dayOf(year: number, month: number, dayOfMonth: number): Day {
  return asDay(Math.round(Date.UTC(year, month - 1, dayOfMonth) / MS_PER_DAY));
}

/** The day `days` later (earlier when negative); fractions are rounded. */
export function addDays(day: Day, days: number): Day {
  return asDay(day + Math.round(days));
}

/** Year, month (1-12) and day of the month of a day. */
export function civil(day: Day): { year: number; month: number; dayOfMonth: number } {
  const date = new Date(day * MS_PER_DAY);
  return {
    year: date.getUTCFullYear(),
    month: date.getUTCMonth() + 1,
    dayOfMonth: date.getUTCDate(),
  };
}

/** ISO 8601 form, for example `2026-06-13`. */
export function isoDay(day: Day): string {
  return new Date(day * MS_PER_DAY).toISOString().slice(0, 10);
}

/** Why a text is no day. */
export type DayProblem = 'not-iso' | 'no-such-day' | 'out-of-range';

/**
 * Reads an ISO 8601 date between the years 1900 and 2200. Rejects days that do not exist, such as 30 February, with a
 * coded problem.
 */
export function parseDay(text: string): Result<Day, DayProblem> {
  const match = ISO.exec(text);
  if (!match) return fail('not-iso');
  const [year, month, dayOfMonth] = [Number(match[1]), Number(match[2]), Number(match[3])];
  if (year < 1900 || year > 2200) return fail('out-of-range');
  const day = dayOf(year, month, dayOfMonth);
  return isoDay(day) === text ? ok(day) : fail('no-such-day');
}

/** The ISO date `days` later (earlier when negative); a text that is no day stays as it is. */
export function shiftDay(isoDate: string, days: number): string {
  const day = parseDay(isoDate);
  return day.ok ? isoDay(addDays(day.value, days)) : isoDate;
}

const MONTH_STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334] as const;

/**
 * 0-indexed position of a date in a 365-day year; 29 February shares the position of 28 February. `month` is 1 to 12.
 */
export function dayIndex(month: number, dayOfMonth: number): number {
  const start = entryAt(MONTH_STARTS, month - 1);
  return start + (month === 2 ? Math.min(dayOfMonth, 28) : dayOfMonth) - 1;
}

/** 0-indexed position of a day in its own year, see {@link dayIndex}. */
export function indexOfDay(day: Day): number {
  const { month, dayOfMonth } = civil(day);
  return dayIndex(month, dayOfMonth);
}

/** The day of `year` at a position of a 365-day year; positions outside 0-364 fall in the years beside it. */
export function dayAtIndex(year: number, index: number): Day {
  const rounded = Math.round(index);
  const wholeYears = Math.floor(rounded / DAYS_IN_YEAR);
  const position = rounded - wholeYears * DAYS_IN_YEAR;
  const first = newYear(year + wholeYears);
  const isLeap = newYear(year + wholeYears + 1) - first > DAYS_IN_YEAR;
  return asDay(first + position + (isLeap && position > LAST_OF_FEBRUARY ? 1 : 0));
}

const LAST_OF_FEBRUARY = 58;

/** 1 January of a year, by the rule of the Gregorian calendar. */
function newYear(year: number): number {
  const before = year - 1;
  const leapDays = Math.floor(before / 4) - Math.floor(before / 100) + Math.floor(before / 400);
  return DAYS_IN_YEAR * (year - 1970) + leapDays - 477;
}

/** Year of a day. */
export function yearOf(day: Day): number {
  const guess = 1970 + Math.floor(day / 365.2425);
  if (newYear(guess) > day) return guess - 1;
  return newYear(guess + 1) <= day ? guess + 1 : guess;
}

/** First and last 0-indexed position of a month, 1 to 12, in a 365-day year. */
export function monthSpan(month: number): { first: number; last: number } {
  return {
    first: entryAt(MONTH_STARTS, month - 1),
    last: (MONTH_STARTS[month] ?? DAYS_IN_YEAR) - 1,
  };
}
