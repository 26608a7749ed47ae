import { z } from 'zod';
import { fieldIssue } from './fieldFault.ts';

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

/** Turns in the year of a plant or of a garden that windows are counted from. */
export const PLANT_STAGES = [
  'leaf-out',
  'bloom-start',
  'bloom-end',
  'leaf-fall',
  'last-frost',
  'first-frost',
] as const;
export type PlantStage = (typeof PLANT_STAGES)[number];

/** So many days after a turn in the year; negative before it. */
export interface StageDay {
  readonly stage: PlantStage;
  readonly days: number;
}

/** An event that starts the count of heat, and the heat since midwinter at which it comes on average. */
export interface Biofix {
  readonly event: string;
  readonly at: number;
}

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
      /** An event that can be watched for; once it is seen, heat is counted from it. */
      readonly biofix?: Biofix | undefined;
    }
  | { readonly kind: 'plant'; readonly from: StageDay; readonly to: StageDay };

const CALENDAR = /^(\d\d)-(\d\d)\.\.(\d\d)-(\d\d)(?: @([a-z0-9-]+))?$/;
const DEGREE_DAYS = /^dd(\d+(?:\.\d+)?) (\d+)\.\.(\d+)(?: biofix (\d+) ([a-z][a-z ]+))?$/;
const STAGE_DAY = `(${PLANT_STAGES.join('|')})([+-]\\d+)?`;
const PLANT = new RegExp(`^${STAGE_DAY}\\.\\.${STAGE_DAY}$`);
const DAYS_IN_MONTH = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

function monthDay(month: string | undefined, day: string | undefined): MonthDay | null {
  const m = Number(month);
  const d = Number(day);
  const longest = DAYS_IN_MONTH[m - 1];
  return longest !== undefined && d >= 1 && d <= longest ? { month: m, day: d } : null;
}

function stageDay(name: string | undefined, days: string | undefined): StageDay | null {
  const stage = PLANT_STAGES.find((one) => one === name);
  return stage ? { stage, days: Number(days ?? 0) } : null;
}

function parsePlantWindow(text: string): WindowRule | null {
  const match = PLANT.exec(text);
  const [from, to] = [stageDay(match?.[1], match?.[2]), stageDay(match?.[3], match?.[4])];
  return from && to ? { kind: 'plant', from, to } : null;
}

/**
 * Reads the short form of a window: `any`, a season name, `05-20..06-10` (at the reference place),
 * `05-20..06-10 @place-id`, `dd10 200..350` (degree-days above 10 C since the turn of winter), the same with
 * `biofix 110 first catch` (an event that comes at 110 of them on average and restarts the count once it is seen), or
 * `bloom-end..bloom-end+28` (days counted from a turn in the plant's own year, or from the mean last or first frost). Returns null when the text is none of
 * these.
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
  if (!heat) return parsePlantWindow(text);
  const [from, to, at] = [Number(heat[2]), Number(heat[3]), Number(heat[4])];
  const biofix = heat[5] === undefined ? undefined : { event: heat[5], at };
  if (to <= from || (biofix && biofix.at > from)) return null;
  return { kind: 'degree-days', baseCelsius: Number(heat[1]), from, to, biofix };
}

/** Window in the short text form of {@link parseWindow}, read into a rule. */
export const windowSchema = z.string().transform((text, context): WindowRule => {
  const rule = parseWindow(text);
  if (rule) return rule;
  context.addIssue(fieldIssue({ code: 'no-window', text, seasons: [...SEASONS] }));
  return z.NEVER;
});
