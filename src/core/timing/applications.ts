import { addDays, civil, type Day } from './calendar.ts';
import type { DayCheck, DayReason } from './dayCheck.ts';
import type { WeatherDay } from './weather.ts';
import type { DaySpan } from './windows.ts';

/** Why an application is not on the day it would be by the interval alone. */
export type ShiftReason =
  | { readonly code: 'washed-off'; readonly millimetres: number; readonly since: Day }
  | { readonly code: 'was-due'; readonly on: Day }
  | { readonly code: 'weather'; readonly on: Day; readonly reasons: readonly DayReason[] }
  | { readonly code: 'in-flower'; readonly until: Day };

/** Why an application cannot be on a day. */
export type StopReason =
  | { readonly code: 'window-closes'; readonly on: Day }
  | { readonly code: 'days-to-harvest'; readonly days: number; readonly harvest: Day }
  | { readonly code: 're-entry'; readonly hours: number; readonly harvest: Day }
  | { readonly code: 'most-in-a-year'; readonly times: number };

/** Why there are not more applications. */
export interface Stopped {
  readonly code: 'stopped';
  readonly done: number;
  readonly of: number;
  readonly reason: StopReason;
  /** The day on which the next one would be. */
  readonly next: Day;
}

/** Why an application has moved. */
export type MoveReason =
  | ShiftReason
  | Stopped
  | { readonly code: 'after-one-before' | 'free-again' | 'window-moved' | 'left-out' };

/** One time that a step is done. */
export interface Application {
  /** 1 for the first of the year. */
  readonly number: number;
  readonly on: Day;
  readonly done: boolean;
  /** Null when it is on the day it would be by the interval alone. */
  readonly why: ShiftReason | null;
}

/** What the label in the user's hand says, and what is known of the crop. */
export interface LabelFacts {
  readonly daysToHarvest: number | null;
  /** Hours after which one may go back to the plant, and pick. */
  readonly reentryHours: number | null;
  readonly mostPerYear: number | null;
  /** Least days between two uses. */
  readonly everyDays: number | null;
}

/** What the days of one step depend on. */
export interface StepTerms {
  readonly today: Day;
  /** Days on which the step is open; null without a window. */
  readonly window: DaySpan | null;
  readonly everyDays: number;
  readonly times: number;
  readonly done: readonly Day[];
  /** Checks of the next days, from today on. */
  readonly checks: readonly DayCheck[];
  /** Observed days, for what rain washed off; empty for steps that rain does not touch. */
  readonly rain: readonly WeatherDay[];
  /** Days on which bees are on the flowers and it must not be done; null when it may. */
  readonly closedForBees: DaySpan | null;
  readonly harvest: Day | null;
  readonly label: LabelFacts;
}

/** The days of a step, and why there are not more of them. */
export interface Applications {
  readonly list: readonly Application[];
  readonly stopped: Stopped | null;
}

/** Rain after which a spray on the surface is gone, millimetres (common practice: about an inch). */
const WASHED_OFF_MILLIMETRES = 25;
/** An application is put off by at most this many days for surely good weather: our own estimate. */
const WORTH_WAITING_DAYS = 3;

interface Aim {
  readonly on: Day;
  readonly why: ShiftReason | null;
}

/** The next day by the interval, or today when rain has washed the last application off. */
function nextByInterval(terms: StepTerms, last: Day | null): Aim {
  const { today, window, everyDays, rain } = terms;
  if (last === null)
    return { on: addDays(today, Math.max(0, (window?.from ?? today) - today)), why: null };
  const due = addDays(last, everyDays);
  const fallen = rain
    .filter(({ day }) => day > last && day < today)
    .reduce((sum, { rainMillimetres }) => sum + rainMillimetres, 0);
  if (fallen >= WASHED_OFF_MILLIMETRES && due > today)
    return { on: today, why: { code: 'washed-off', millimetres: fallen, since: last } };
  return due < today ? { on: today, why: { code: 'was-due', on: due } } : { on: due, why: null };
}

/** The best day from the aim on, by the checks of the days they reach. */
function fitWeather({ today, checks }: StepTerms, aim: Aim): Aim {
  const first = aim.on - today;
  const ahead = checks.map((check, i) => ({ check, i })).slice(first);
  const aimed = ahead[0]?.check;
  if (!aimed || aimed.go === 'go') return aim;
  const near = ahead.slice(0, WORTH_WAITING_DAYS + 1).find(({ check }) => check.go === 'go');
  const possible = near ?? ahead.find(({ check }) => check.go !== 'no-go');
  if (possible?.i === first) return aim;
  const to = possible ? possible.i : checks.length;
  return {
    on: addDays(today, to),
    why: { code: 'weather', on: aim.on, reasons: aimed.reasons },
  };
}

function afterBloom({ closedForBees }: StepTerms, aim: Aim): Aim {
  if (!closedForBees || aim.on < closedForBees.from || aim.on > closedForBees.to) return aim;
  return {
    on: addDays(closedForBees.to, 1),
    why: { code: 'in-flower', until: closedForBees.to },
  };
}

/** Why an application cannot be on a day; null when it can. */
function forbidden(terms: StepTerms, on: Day, sameYear: number): StopReason | null {
  const { window, harvest, label } = terms;
  if (window && on > window.to) return { code: 'window-closes', on: window.to };
  if (harvest !== null && label.daysToHarvest !== null && on > harvest - label.daysToHarvest)
    return { code: 'days-to-harvest', days: label.daysToHarvest, harvest };
  if (harvest !== null && label.reentryHours !== null && on + label.reentryHours / 24 > harvest)
    return { code: 're-entry', hours: label.reentryHours, harvest };
  if (label.mostPerYear !== null && sameYear >= label.mostPerYear)
    return { code: 'most-in-a-year', times: label.mostPerYear };
  return null;
}

/**
 * The days on which a step is done: those done already, then the rest by the interval in days, moved off unsuitable
 * days and open blossom, and ended by the window, the harvest and the yearly maximum of the label. Days ascend.
 */
export function planApplications(terms: StepTerms): Applications {
  const { times } = terms;
  const done = [...terms.done].sort((a, b) => a - b);
  const list: Application[] = done.map((on, i) => ({ number: i + 1, on, done: true, why: null }));
  while (list.length < Math.max(times, done.length)) {
    const last = list.at(-1)?.on ?? null;
    const aim = fitWeather(terms, afterBloom(terms, nextByInterval(terms, last)));
    const { year } = civil(aim.on);
    const sameYear = list.filter(({ on }) => civil(on).year === year).length;
    const stop = forbidden(terms, aim.on, sameYear);
    if (stop !== null)
      return {
        list,
        stopped: { code: 'stopped', done: list.length, of: times, reason: stop, next: aim.on },
      };
    list.push({ number: list.length + 1, ...aim, done: false });
  }
  return { list, stopped: null };
}

/** An application that is no longer on the day it was planned for. */
export interface Move {
  readonly number: number;
  readonly from: Day;
  readonly to: Day | null;
  readonly why: MoveReason;
}

/** Its own reason, or that of one before it, on which its interval hangs. */
function whyMoved(now: Application, from: Day, list: readonly Application[]): MoveReason {
  const before = list.findLast((one) => one.number < now.number && (one.done || one.why !== null));
  if (now.why !== null) return now.why;
  if (before) return before.why ?? { code: 'after-one-before' };
  return { code: now.on < from ? 'free-again' : 'window-moved' };
}

/** What changed between the days that were kept and those that are right now; `stopped` gives the reason why one is gone. */
export function movesBetween(
  kept: readonly { readonly number: number; readonly on: Day }[],
  { list, stopped }: Applications,
): readonly Move[] {
  return kept.flatMap(({ number, on: from }): Move[] => {
    const now = list.find((one) => one.number === number);
    if (!now) return [{ number, from, to: null, why: stopped ?? { code: 'left-out' } }];
    if (now.on === from || now.done) return [];
    return [{ number, from, to: now.on, why: whyMoved(now, from, list) }];
  });
}
