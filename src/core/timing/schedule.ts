import type { Limits } from '../schema/treatment.ts';
import type { WindowRule } from '../schema/window.ts';
import { createAlmanacs, DEFAULT_REFERENCE, referenceYears } from './almanac.ts';
import {
  planApplications,
  type Applications,
  type LabelFacts,
  type StepTerms,
} from './applications.ts';
import { countedFromEvent, eventOf, type EventsSeen } from './biofix.ts';
import { addDays, DAYS_IN_YEAR, type Day } from './calendar.ts';
import { checkDay, type DayCheck } from './dayCheck.ts';
import { climateAt } from './climate.ts';
import { forecast, type ComingDay, type DatesRequest } from './outlook.ts';
import { firstOfGardeningYear, withDays, yearOfWeather } from './thisYear.ts';
import { windowReason, type WindowReason } from './windowReason.ts';
import { postponed, type DaySpan, type WindowState } from './windows.ts';
import {
  predictionIntervalsOf,
  ensembleForYear,
  type BandedSpan,
  type YearAhead,
} from './yearAhead.ts';

/** One step of a plan as far as its days depend on it. */
export interface PlannedStep {
  readonly id: string;
  /** Null where it can be done at any time. */
  readonly rule: WindowRule | null;
  /** The day before which safety forbids it; null where it does not. */
  readonly notBefore: Day | null;
  readonly limits: Limits | null;
  readonly repeat: { readonly everyDays: number; readonly times: number } | null;
  /** A spray: it must dry, and wind and rain matter. */
  readonly spray: boolean;
  /** Rain does not wash it off, for the plant has taken it up. */
  readonly systemic: boolean;
  readonly insecticide: boolean;
  /** Mode-of-action group, such as "FRAC 3" or "IRAC 4A"; null for a practice. */
  readonly modeOfAction: string | null;
}

/** What a schedule is worked out from. */
export interface ScheduleRequest extends DatesRequest {
  /** When the plant flowers; null where the library has no date. */
  readonly bloom: WindowRule | null;
  /** Grown under a roof: the weather outside does not matter. */
  readonly indoors: boolean;
  /** Days on which events were seen that heat is counted from. */
  readonly seen: EventsSeen;
  readonly harvest: Day | null;
  readonly steps: readonly PlannedStep[];
  readonly labels: Readonly<Record<string, LabelFacts>>;
  readonly done: readonly { readonly step: string; readonly on: Day }[];
}

/** What resistance asks for: another group of products after so many of one. `group` is a mode-of-action group. */
export type RotationReason =
  | { readonly code: 'same-group-twice'; readonly group: string }
  | { readonly code: 'change-group'; readonly group: string; readonly after: number };

/** A step with its window, its next ten days and the days on which it is done. */
export interface StepSchedule extends Applications {
  readonly step: string;
  readonly state: WindowState;
  /** The opening that is meant, with its 80 % bands; null where it is always or never open. */
  readonly band: BandedSpan | null;
  /** What the window hangs on; null where it is always open. */
  readonly reason: WindowReason | null;
  /** An event to watch for that would make the window surer, such as the first moth in a trap; null where there is none. */
  readonly event: string | null;
  /** The next ten days; empty where no weather matters, and while its window is further off. */
  readonly checks: readonly DayCheck[];
  /** What the label's group asks for over the season; null when nothing. */
  readonly rotation: RotationReason | null;
}

/** The schedule of a plan. */
export interface Schedule {
  /** The day it was worked out for. */
  readonly today: Day;
  readonly coming: readonly ComingDay[];
  readonly steps: readonly StepSchedule[];
}

const NO_LABEL: LabelFacts = {
  daysToHarvest: null,
  reentryHours: null,
  mostPerYear: null,
  everyDays: null,
};
/** Applications of one group in a row before another must follow (common practice against resistance). */
const MAX_IN_A_ROW = 2;
/** Groups that work at many sites, on which resistance is not known to build up: FRAC M and number-less ones. */
const MULTI_SITE = /^FRAC (M|BM|NC)/;

function rotationOf(
  { modeOfAction }: PlannedStep,
  { list }: Applications,
  others: readonly PlannedStep[],
): RotationReason | null {
  if (modeOfAction === null || MULTI_SITE.test(modeOfAction)) return null;
  const same = others.some((one) => one.modeOfAction === modeOfAction);
  if (same) return { code: 'same-group-twice', group: modeOfAction };
  if (list.length <= MAX_IN_A_ROW) return null;
  return { code: 'change-group', group: modeOfAction, after: MAX_IN_A_ROW };
}

const spanOf = (state: WindowState): DaySpan | null =>
  state.kind === 'open' || state.kind === 'opens' ? state.span : null;

/** The state of a step that must not be done before a day; its own once that day has come. */
function heldBack(own: WindowState, notBefore: Day | null, today: Day): WindowState {
  if (notBefore === null || notBefore <= today) return own;
  return postponed(own, notBefore) ?? { kind: 'never', why: 'no-opening' };
}

/** What the days of a step depend on, with what the case and the label say of it. */
function termsOf(
  { today, done, harvest, labels }: ScheduleRequest,
  { id, repeat }: PlannedStep,
  weather: Pick<StepTerms, 'window' | 'checks' | 'rain' | 'closedForBees'>,
): StepTerms {
  return {
    ...weather,
    today,
    everyDays: Math.max(repeat?.everyDays ?? 0, repeat ? (labels[id]?.everyDays ?? 0) : 0),
    times: repeat?.times ?? 1,
    done: done.filter(({ step }) => step === id).map(({ on }) => on),
    harvest,
    label: labels[id] ?? NO_LABEL,
  };
}

/**
 * Works out the dates of every step: its window with an 80 percent prediction interval, checks of the next ten days,
 * and applications in days. Deterministic. Throws when `places` lacks the reference place.
 */
export function scheduleFor(request: ScheduleRequest): Schedule {
  const { places, at, today, bloom, observed } = request;
  const south = at.lat < 0;
  const normals = climateAt(places, at);
  const almanac = createAlmanacs(places)(at, observed);
  const reference = referenceYears(places);
  const coming = forecast(normals, request);
  const ahead = ensembleForYear(normals, today, observed, south);
  const first = firstOfGardeningYear(today, south);
  const weather = yearOfWeather(withDays(normals, first, observed), ahead.usual, south);
  const nextFirst = firstOfGardeningYear(addDays(first, DAYS_IN_YEAR + 1), south);
  let next: YearAhead | null = null;
  const bandAround = (rule: WindowRule, span: DaySpan): BandedSpan | null => {
    if (span.from < nextFirst) return predictionIntervalsOf(rule, ahead, reference, bloom);
    next ??= ensembleForYear(normals, nextFirst, [], south);
    return predictionIntervalsOf(rule, next, reference, bloom);
  };
  const inFlower = bloom === null ? null : spanOf(almanac.state(bloom, today));
  const nameOf = (id: string | null): string | null =>
    places.find((one) => one.id === (id ?? DEFAULT_REFERENCE))?.name ?? null;
  const steps = request.steps.map((step): StepSchedule => {
    const { id, limits, spray, insecticide, systemic } = step;
    const rule = step.rule && countedFromEvent(step.rule, request.seen, weather, south);
    const own: WindowState = rule ? almanac.state(rule, today, bloom) : { kind: 'always' };
    const state = heldBack(own, step.notBefore, today);
    const window = spanOf(state);
    const near = window === null || window.from < today + coming.length;
    const minds = near && !request.indoors && (spray || limits !== null);
    const checks = minds
      ? coming.map((day, i) => checkDay({ limits, spray }, day, coming[i + 1] ?? null, at.lat))
      : [];
    const applications = planApplications(
      termsOf(request, step, {
        window,
        checks,
        rain: minds && spray && !systemic ? observed : [],
        closedForBees: insecticide ? inFlower : null,
      }),
    );
    return {
      step: id,
      state,
      band: rule && window ? bandAround(rule, window) : null,
      reason:
        rule && rule.kind !== 'any' ? windowReason(rule, weather, today, south, nameOf) : null,
      event: rule ? eventOf(rule) : null,
      checks,
      ...applications,
      rotation: rotationOf(
        step,
        applications,
        request.steps.filter((one) => one.id !== id),
      ),
    };
  });
  return { today, coming, steps };
}
