import { civil, type Day } from '../core/timing/calendar.ts';

const MONTH_NAMES = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

/** `19 May`, of any year. */
export function monthDayInWords({ month, day }: { month: number; day: number }): string {
  return `${day} ${MONTH_NAMES[month - 1] ?? ''}`;
}

/** A day in words, `19 May`, with the year when it differs from that of `relativeTo`. */
export function dayInWords(day: Day, relativeTo: Day): string {
  const { year, month, dayOfMonth } = civil(day);
  const words = monthDayInWords({ month, day: dayOfMonth });
  return year === civil(relativeTo).year ? words : `${words} ${year}`;
}
