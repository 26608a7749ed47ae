import { numberAt } from '../util/entryAt.ts';
import type { MonthDay, SeasonName, StageDay, WindowRule } from '../schema/window.ts';
import { memoizeByObject } from '../util/memoize.ts';
import { addDays, dayAtIndex, dayIndex, DAYS_IN_YEAR, yearOf, type Day } from './calendar.ts';
import { accumulate, reachedAt, type SeasonYear } from './seasonYear.ts';

/** First and last day of something. */
export interface DaySpan {
  readonly from: Day;
  readonly to: Day;
}

/** How a window stands on a given day. Spans of `closed` are the one just past and the one to come. */
export type WindowState =
  | { readonly kind: 'always' }
  | { readonly kind: 'never'; readonly why: 'too-cool' | 'no-opening' }
  /** It hangs on a turn in the plant's year of which the library has no date. */
  | { readonly kind: 'watch' }
  | { readonly kind: 'open'; readonly span: DaySpan }
  | { readonly kind: 'opens'; readonly span: DaySpan; readonly closedSince: Day | null };

/** What has no season is done within so many days once it is due; our own estimate. */
const WITHIN_DAYS = 45;

const opensOn = (from: Day, to: Day): WindowState => ({
  kind: 'opens',
  span: { from, to },
  closedSince: null,
});

/** The state of a window that must not be used before a day. Returns null where nothing of it is left then. */
export function postponed(state: WindowState, until: Day): WindowState | null {
  switch (state.kind) {
    case 'always':
      return opensOn(until, addDays(until, WITHIN_DAYS));
    case 'open':
    case 'opens': {
      const { from, to } = state.span;
      return until > to ? null : opensOn(from > until ? from : until, to);
    }
    case 'watch':
    case 'never':
      return null;
  }
}

/** Positions in the gardening year; `to` may run past 364 into the next one. */
export interface Positions {
  readonly from: number;
  readonly to: number;
}

/** Heat that is added for each day, so that dates in the cold half of the year keep their order when they travel. */
const HEAT_PER_DAY = 0.05;
const TRAVEL_BASE_CELSIUS = 5;
/** Heat above 5 C between midwinter and the warmest day at which a place counts as 1, in degree-days. */
const STANDARD_HALF_YEAR = 3000;
/** Highest half-year heat used, in units of the standard; above 4/3 the progress below would run backwards. */
const MAX_HEAT = 1.3;

/** Share of a half-year's heat, 0 to 1, to progress through it, 0 to 1: at first by heat itself, at the end by the share. */
function progress(share: number, heat: number): number {
  const squared = share * share;
  return share * heat + squared * squared * (1 - heat);
}

/**
 * Progress of each day through the year, rising from 0 at midwinter over 1 at the warmest day to 2. In spring equal
 * progress means equal heat since midwinter; towards the warmest day it means an equal share of the season, and in
 * autumn equal heat still to come. So every place has its own calendar, and dates can be carried from one to another.
 */
const seasonProgress = memoizeByObject((year: SeasonYear): Float64Array => {
  const totals = accumulate(year, TRAVEL_BASE_CELSIUS).map(
    (total, day) => total + HEAT_PER_DAY * (day + 1),
  );
  const atPeak = numberAt(totals, year.peak);
  const after = numberAt(totals, DAYS_IN_YEAR - 1) - atPeak;
  const heat = (degreeDays: number): number => Math.min(MAX_HEAT, degreeDays / STANDARD_HALF_YEAR);
  return totals.map((total, day) =>
    day <= year.peak
      ? progress(total / atPeak, heat(atPeak))
      : 2 - progress((atPeak + after - total) / after, heat(after)),
  );
});

/** Interpolated position at which a rising series reaches a value, kept inside the year. */
function positionOf(rising: Float64Array, value: number): number {
  const after = reachedAt(rising, value);
  if (after === null) return DAYS_IN_YEAR - 1;
  const above = numberAt(rising, after);
  const below = after === 0 ? 0 : numberAt(rising, after - 1);
  return above === below ? after : after - (above - value) / (above - below);
}

/**
 * The 0-indexed position at one place that corresponds to a position at another, by equal progress through the
 * season. Fractions of days are kept.
 */
export function transferDate(position: number, from: SeasonYear, to: SeasonYear): number {
  return positionOf(seasonProgress(to), numberAt(seasonProgress(from), position));
}

function positionInYear(year: SeasonYear, date: MonthDay): number {
  return (dayIndex(date.month, date.day) + year.januaryFirst) % DAYS_IN_YEAR;
}

/** Parts of a year that wet and dry seasons make: growth starts with the rains, and the dry season is the rest. */
function wetPositions({ from, to }: Positions, season: SeasonName): Positions {
  const at = (share: number): number => Math.round(from + share * (to - from));
  switch (season) {
    case 'dormant':
      return { from: to + 1, to: DAYS_IN_YEAR + from - 1 };
    case 'late-winter':
      return { from: from - 45, to: from - 3 };
    case 'bud-break':
      return { from: from - 10, to: from + 18 };
    case 'spring':
      return { from, to: at(0.4) };
    case 'early-summer':
      return { from: at(0.3), to: at(0.5) };
    case 'summer':
      return { from: at(0.4), to: at(0.7) };
    case 'late-summer':
      return { from: at(0.6), to: at(0.85) };
    case 'autumn':
      return { from: at(0.8), to: to + 10 };
    case 'growing':
    case 'frost-free':
      return { from: 0, to: DAYS_IN_YEAR - 1 };
  }
}

/**
 * First and last 0-indexed position of a named season, by the daily means of the place in degrees Celsius, or by its
 * rain where there is no winter.
 */
export function seasonPositions(year: SeasonYear, season: SeasonName): Positions {
  if (year.wet) return wetPositions(year.wet, season);
  const { growthStart: start, growthEnd: end, peak } = year;
  const at = (share: number): number => Math.round(start + share * (peak - start));
  const fall = (share: number): number => Math.round(peak + share * (end - peak));
  switch (season) {
    case 'dormant':
      return dormancy(year);
    case 'late-winter':
      return { from: start - 45, to: start - 3 };
    case 'bud-break':
      return { from: start - 10, to: start + 18 };
    case 'spring':
      return { from: start, to: at(0.6) };
    case 'early-summer':
      return { from: at(0.5), to: at(0.9) };
    case 'summer':
      return { from: at(0.6), to: fall(0.3) };
    case 'late-summer':
      return { from: fall(0.1), to: fall(0.5) };
    case 'autumn':
      return { from: fall(0.5), to: end + 10 };
    case 'growing':
      return { from: start, to: end };
    case 'frost-free':
      return frostFree(year);
  }
}

/** Where the cold brings fewer days of rest than this, plants rest in the coolest weeks. */
const SHORTEST_REST_DAYS = 60;

function dormancy(year: SeasonYear): Positions {
  const rest = { from: year.growthEnd + 7, to: DAYS_IN_YEAR + year.growthStart - 7 };
  return year.winterless || rest.to - rest.from < SHORTEST_REST_DAYS ? coolestWeeks(year) : rest;
}

function coolestWeeks(year: SeasonYear): Positions {
  const middle = (year.peak + Math.round(DAYS_IN_YEAR / 2)) % DAYS_IN_YEAR;
  return { from: middle - 30, to: middle + 30 };
}

/**
 * Mean minimum at which the last or first frost falls in the middle of years, in Celsius, and the one from which on hardly a night freezes and
 * tender plants grow: our own estimates, held against common practice of the places that the tests name.
 */
const FROST_MEAN_MIN = 6;
const TENDER_MEAN_MIN = 9;

/** The run of nights round the warmest day that are at least so mild on both sides of it, in degrees Celsius. */
function mildNights(year: SeasonYear, before: number, after: number): Positions {
  let from = year.peak;
  while (from > 0 && numberAt(year.minCelsius, from - 1) >= before) from--;
  let to = year.peak;
  while (to < DAYS_IN_YEAR - 1 && numberAt(year.minCelsius, to + 1) >= after) to++;
  return { from, to };
}

/** When tender plants stand out of doors: from mild nights to the usual first frost. */
const frostFree = (year: SeasonYear): Positions =>
  mildNights(year, TENDER_MEAN_MIN, FROST_MEAN_MIN);

function heatPositions(
  year: SeasonYear,
  rule: Extract<WindowRule, { kind: 'degree-days' }>,
): Positions | null {
  const totals = accumulate(year, rule.baseCelsius);
  const from = reachedAt(totals, rule.from);
  if (from === null) return null;
  return { from, to: reachedAt(totals, rule.to) ?? DAYS_IN_YEAR - 1 };
}

/** What a window needs to know: the place's year, and the year of each place that calendar windows refer to. */
export interface WindowContext {
  readonly here: SeasonYear;
  readonly reference: (placeId: string | null) => SeasonYear;
  /** When the plant in question flowers; null where that is not known. */
  readonly bloom?: WindowRule | null;
}

/** Where a rule falls: at positions, in all of the year, in none of it, or by a turn of the plant without a date. */
export type Placed = Positions | 'always' | 'never' | 'watch';

/** Days after the start of growth at which most woody plants stand in leaf, and from the end of growth to bare twigs: our own estimates. */
const LEAF_OUT_AFTER_START = 14;
const LEAF_FALL_BEFORE_END = 10;

/** Position of the mean last frost of spring or first one of autumn; null where nights stay mild all year. */
function frostPosition(stage: 'last-frost' | 'first-frost', here: SeasonYear): number | null {
  const { from, to } = mildNights(here, FROST_MEAN_MIN, FROST_MEAN_MIN);
  if (from === 0 && to === DAYS_IN_YEAR - 1) return null;
  return stage === 'last-frost' ? from - 1 : to + 1;
}

/** Position of a turn in the year; null where the library has no date for it. */
function stagePosition({ stage, days }: StageDay, context: WindowContext): number | null {
  const { here, bloom } = context;
  switch (stage) {
    case 'leaf-out':
      return here.winterless ? null : here.growthStart + LEAF_OUT_AFTER_START + days;
    case 'leaf-fall':
      return here.winterless ? null : here.growthEnd - LEAF_FALL_BEFORE_END + days;
    case 'last-frost':
    case 'first-frost': {
      const position = frostPosition(stage, here);
      return position === null ? null : position + days;
    }
    case 'bloom-start':
    case 'bloom-end': {
      const open = bloom ? positionsOf(bloom, context) : 'watch';
      if (typeof open === 'string') return null;
      return (stage === 'bloom-start' ? open.from : open.to) + days;
    }
  }
}

function plantPositions(rule: Extract<WindowRule, { kind: 'plant' }>, context: WindowContext) {
  const [from, to] = [stagePosition(rule.from, context), stagePosition(rule.to, context)];
  if (from === null || to === null) return 'watch';
  return { from, to: to < from ? to + DAYS_IN_YEAR : to };
}

/**
 * 0-indexed positions of a rule in the gardening year here, or why it has none: `always`, `never` where the place
 * lacks the degree-days, `watch` where the library has no date, as for calendar dates and heat where there is no winter.
 */
export function positionsOf(rule: WindowRule, context: WindowContext): Placed {
  const { here } = context;
  switch (rule.kind) {
    case 'any':
      return 'always';
    case 'season': {
      if (here.winterless && (rule.season === 'growing' || rule.season === 'frost-free'))
        return 'always';
      return seasonPositions(here, rule.season);
    }
    case 'degree-days':
      if (here.winterless) return 'watch';
      return heatPositions(here, rule) ?? 'never';
    case 'calendar': {
      if (here.winterless) return 'watch';
      const there = context.reference(rule.at);
      const [first, last] = [positionInYear(there, rule.from), positionInYear(there, rule.to)];
      const from = Math.round(transferDate(first, there, here));
      const to = Math.round(transferDate(last, there, here));
      return last < first ? { from, to: to + DAYS_IN_YEAR } : { from, to: Math.max(from, to) };
    }
    case 'plant':
      return plantPositions(rule, context);
  }
}

/** The span of a window that starts in the gardening year beginning in `seasonYear`. */
function spanIn(positions: Positions, year: SeasonYear, seasonYear: number): DaySpan {
  const place = (position: number): Day => dayAtIndex(seasonYear, position - year.januaryFirst);
  return { from: place(positions.from), to: place(positions.to) };
}

/**
 * State of a window on `today`: open with its days, or the next opening and when the last one closed. Searches two
 * years ahead; `never` with the reason when none is found in these years.
 */
export function windowState(
  positions: Placed,
  here: SeasonYear,
  today: Day,
  /** Positions in one gardening year, by the civil year of its warm half, whose weather is known. */
  known: { readonly year: number; readonly positions: Placed } | null = null,
): WindowState {
  if (positions === 'always') return { kind: 'always' };
  if (positions === 'never') {
    return { kind: 'never', why: 'too-cool' };
  }
  if (positions === 'watch') {
    return { kind: 'watch' };
  }
  const thisYear = yearOf(today);
  let closedSince: Day | null = null;
  for (const year of [thisYear - 1, thisYear, thisYear + 1, thisYear + 2]) {
    const own = known?.year === year ? known.positions : positions;
    const span = spanIn(typeof own === 'string' ? positions : own, here, year);
    if (span.to < today) closedSince = span.to;
    else if (span.from <= today) return { kind: 'open', span };
    else return { kind: 'opens', span, closedSince };
  }
  return { kind: 'never', why: 'no-opening' };
}

/**
 * Number of days until a window opens: 0 when it is open, always open, or has no dates in the library. Returns null
 * when it never opens.
 */
export function daysUntil(state: WindowState, today: Day): number | null {
  switch (state.kind) {
    case 'always':
    case 'watch':
    case 'open':
      return 0;
    case 'opens':
      return state.span.from - today;
    case 'never':
      return null;
  }
}
