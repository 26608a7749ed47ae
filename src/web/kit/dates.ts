import { kitTexts } from '../texts/kitTexts.ts';
const LONG = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
});
const BRIEF = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});
const SHORT = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const WITH_YEAR = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

const WEEKDAY = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  timeZone: 'UTC',
});

/** A day that does not exist stays the text it is: one wrong date must not take a page down. */
function inWords(format: Intl.DateTimeFormat, isoDay: string): string {
  const at = new Date(`${isoDay}T12:00:00Z`);
  return Number.isNaN(at.getTime()) ? isoDay : format.format(at).replace(',', '');
}

/** `Saturday 13 June 2026`. */
export function longDate(isoDay: string): string {
  return inWords(LONG, isoDay);
}

/** `13 Jun`. */
export function dayAndMonth(isoDay: string): string {
  return inWords(SHORT, isoDay);
}

/** `Sat 13`. */
export function weekdayAndDay(isoDay: string): string {
  return inWords(WEEKDAY, isoDay);
}

/** `Sat 13 Jun 2026`. */
export function briefDate(isoDay: string): string {
  return inWords(BRIEF, isoDay);
}

/** `13 Jun`, with the year when it is not that of `today`. */
export function shortDate(isoDay: string, today: string): string {
  return inWords(isoDay.slice(0, 4) === today.slice(0, 4) ? SHORT : WITH_YEAR, isoDay);
}

const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** `12:04`, on the clock of this device. */
export function timeOfDay(moment: string): string {
  const at = new Date(moment);
  return Number.isNaN(at.getTime()) ? moment : TIME.format(at);
}

/** `13 Jun 2026 12:04`, on the clock of this device. */
export function momentInWords(moment: string): string {
  const at = new Date(moment);
  if (Number.isNaN(at.getTime())) return moment;
  const day = new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
  return `${inWords(WITH_YEAR, day)} ${TIME.format(at)}`;
}

const MINUTES_PER_DAY = 24 * 60;

/** How long something has lasted: `12 min`, `3 h`, `2 days`; null before it began. */
export function lastingInWords(milliseconds: number): string | null {
  const minutes = Math.floor(milliseconds / 60_000);
  if (minutes < 0) return null;
  if (minutes < 60) return kitTexts.minutes(minutes);
  if (minutes < MINUTES_PER_DAY) return kitTexts.hours(Math.floor(minutes / 60));
  return kitTexts.days(Math.floor(minutes / MINUTES_PER_DAY));
}

/** Minutes and seconds since a moment, `2:05`; hours when it is long. */
export function sinceInWords(seconds: number): string {
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60];
  const two = (value: number): string => String(value).padStart(2, '0');
  return hours > 0
    ? `${hours}:${two(minutes)}:${two(seconds % 60)}`
    : `${minutes}:${two(seconds % 60)}`;
}

/** The months by their short names, January first. */
export const MONTHS = [
  kitTexts.jan,
  kitTexts.feb,
  kitTexts.mar,
  kitTexts.apr,
  kitTexts.may,
  kitTexts.jun,
  kitTexts.jul,
  kitTexts.aug,
  kitTexts.sep,
  kitTexts.oct,
  kitTexts.nov,
  kitTexts.dec,
] as const;
