import { z } from 'zod';

/** Parts of the gardening year that every climate has in its own weeks (see timing/seasons.ts). */
export const SEASONS = [
  'dormant',
  'late-winter',
  'bud-break',
  'spring',
  'early-summer',
  'summer',
  'late-summer',
  'autumn',
  'growing',
  'frost-free',
] as const;
export type SeasonName = (typeof SEASONS)[number];

/** A day of the year in the library: month 1-12, day 1-31, no year. */
export interface MonthDay {
  readonly month: number;
  readonly day: number;
}

/** When something happens or can be done, before it is turned into dates for a place and a year. */
export type WindowRule =
  | { readonly kind: 'any' }
  | { readonly kind: 'season'; readonly season: SeasonName }
  | {
      readonly kind: 'calendar';
      readonly from: MonthDay;
      readonly to: MonthDay;
      readonly at: string | null;
    }
  | {
      readonly kind: 'degree-days';
      readonly baseCelsius: number;
      readonly from: number;
      readonly to: number;
    };

const CALENDAR = /^(\d\d)-(\d\d)\.\.(\d\d)-(\d\d)(?: @([a-z0-9-]+))?$/;
const DEGREE_DAYS = /^dd(\d+(?:\.\d+)?) (\d+)\.\.(\d+)$/;
const DAYS_IN_MONTH = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

function monthDay(month: string | undefined, day: string | undefined): MonthDay | null {
  const m = Number(month);
  const d = Number(day);
  const longest = DAYS_IN_MONTH[m - 1];
  return longest !== undefined && d >= 1 && d <= longest ? { month: m, day: d } : null;
}

/**
 * Reads the short form of a window: `any`, a season name, `05-20..06-10` (at the reference place),
 * `05-20..06-10 @place-id`, or `dd10 200..350` (degree-days above 10 C since the turn of winter).
 * Returns null when the text is none of these.
 */
export function parseWindow(text: string): WindowRule | null {
  if (text === 'any') return { kind: 'any' };
  const season = SEASONS.find((name) => name === text);
  if (season) return { kind: 'season', season };
  const calendar = CALENDAR.exec(text);
  if (calendar) {
    const from = monthDay(calendar[1], calendar[2]);
    const to = monthDay(calendar[3], calendar[4]);
    return from && to ? { kind: 'calendar', from, to, at: calendar[5] ?? null } : null;
  }
  const heat = DEGREE_DAYS.exec(text);
  if (!heat) return null;
  const [from, to] = [Number(heat[2]), Number(heat[3])];
  return to > from ? { kind: 'degree-days', baseCelsius: Number(heat[1]), from, to } : null;
}

/** Window in the short text form of {@link parseWindow}, read into a rule. */
export const windowSchema = z.string().transform((text, context): WindowRule => {
  const rule = parseWindow(text);
  if (rule) return rule;
  context.addIssue({
    code: 'custom',
    message: `"${text}" is no window: write any, ${SEASONS.join(', ')}, 05-20..06-10, 05-20..06-10 @place or dd10 200..350`,
  });
  return z.NEVER;
});
