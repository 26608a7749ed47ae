import { addDays, civil, type Day } from '../core/timing/calendar.ts';
import { monthDayInWords } from '../wording/days.ts';

/** A day of the small calendar, with the numbers of the steps that fall on it. */
export interface CalendarDay {
  readonly day: Day;
  readonly dayOfMonth: number;
  readonly steps: readonly number[];
  /** The plant is looked at again. */
  readonly look: boolean;
  readonly past: boolean;
}

/** One week, Monday first, with its first day in words. */
export interface CalendarWeek {
  readonly from: string;
  readonly days: readonly CalendarDay[];
}

const WEEK = 7;
/** Weeks that the calendar shows at most; what comes later stands beside its step. */
const MAX_WEEKS = 6;
/** Day 0 of the day numbers, 1 January 1970, was a Thursday. */
const THURSDAY = 3;

const monday = (day: Day): Day => addDays(day, -(((day + THURSDAY) % WEEK) + WEEK) % WEEK);

/**
 * The weeks from today on in which something is done, at most six: what is done on each day by the number of its step.
 * `dates` are the days of each step, in the order of the steps. Empty where nothing falls into them.
 */
export function sheetCalendar(
  dates: readonly (readonly Day[])[],
  lookAgain: Day | null,
  today: Day,
): readonly CalendarWeek[] {
  const start = monday(today);
  const end = addDays(start, WEEK * MAX_WEEKS - 1);
  const inside = (day: Day): boolean => day >= today && day <= end;
  const shown = dates.flat().filter(inside);
  if (shown.length === 0) return [];
  const last = Math.max(...shown, ...(lookAgain === null ? [] : [lookAgain].filter(inside)));
  const weeks = Math.floor((last - start) / WEEK) + 1;
  return Array.from({ length: weeks }, (_, week) => {
    const first = addDays(start, WEEK * week);
    const { month, dayOfMonth } = civil(first);
    return {
      from: monthDayInWords({ month, day: dayOfMonth }),
      days: Array.from({ length: WEEK }, (_none, i) => {
        const day = addDays(first, i);
        return {
          day,
          dayOfMonth: civil(day).dayOfMonth,
          steps: dates.flatMap((of, step) => (inside(day) && of.includes(day) ? [step + 1] : [])),
          look: day === lookAgain,
          past: day < today,
        };
      }),
    };
  });
}
