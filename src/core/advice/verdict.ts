import { numberAt } from '../util/entryAt.ts';
import type { Network } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import type { Cause } from '../schema/cause.ts';
import type { Rung } from '../schema/treatment.ts';
import type { Day } from '../timing/calendar.ts';
import { daysUntil } from '../timing/windows.ts';
import type { Chosen } from './choose.ts';
import { whyBorne } from './threshold.ts';
import { whyLeft, whyPastHelp, type PlantAndDay } from './letBe.ts';

export const VERDICTS = [
  'leave',
  'act-now',
  'wait',
  'too-late',
  'find-out',
  'professional',
] as const;
export type Verdict = (typeof VERDICTS)[number];

/** The cause that the advice speaks of, with its probability; null when nothing in the library leads. */
export interface Lead {
  readonly cause: Cause;
  readonly probability: number;
  /** Probability of the likeliest other cause. */
  readonly next: number;
}

function likeliestBut({ causes }: Posterior, position: number): number {
  let next = 0;
  for (let i = 0; i < causes.length; i++)
    if (i !== position) next = Math.max(next, numberAt(causes, i));
  return next;
}

/**
 * The cause of highest probability within the leading explanation. Returns null when that explanation holds no cause
 * of the library.
 */
export function leadOf(network: Network, posterior: Posterior): Lead | null {
  const leads = posterior.explanation
    .map((id) => network.position.get(id))
    .filter((position) => position !== undefined)
    .map((position) => ({
      cause: network.causes[position],
      probability: numberAt(posterior.causes, position),
      next: likeliestBut(posterior, position),
    }))
    .filter((lead): lead is Lead => lead.cause !== undefined)
    .sort((a, b) => b.probability - a.probability);
  return leads[0] ?? null;
}

/** Below this the lead is a guess, unless it stands clear of all others. */
const MIN_TO_ADVISE = 0.3;
/** A lead this many times likelier than the next cause stands clear, down to the least share that may. */
const CLEAR_OF_NEXT = 2.5;
const MIN_CLEAR = 0.12;
/** The same for a question of care: the wrong answer to one does little harm and is seen at once. */
const CLEAR_OF_NEXT_CARE = 1.5;

/** Whether enough speaks for the lead to advise on it; else the advice is to find out first. */
function isAdvisable({ cause, probability, next }: Lead): boolean {
  if (probability >= MIN_TO_ADVISE) return true;
  const clear = isCareTopic(cause) ? CLEAR_OF_NEXT_CARE : CLEAR_OF_NEXT;
  return probability >= MIN_CLEAR && probability >= clear * next;
}

/** The lead. Returns null where nothing was reported and its probability is only that of a trouble common on such a plant. */
export function leadOnReport(lead: Lead | null, reports: number): Lead | null {
  if (lead === null || reports > 0 || isCareTopic(lead.cause)) return lead;
  return isAdvisable(lead) ? lead : null;
}

/** Longest wait for a window that still counts as waiting; beyond it this year is lost. */
const MAX_WAIT_DAYS = 150;

/** Share of the best later step's gain at which an earlier one is waited for: what one takes away is no longer there for the next. */
const WORTH_WAITING = 0.4;

const daysTo = ({ candidate }: Chosen, today: Day): number =>
  daysUntil(candidate.state, today) ?? Infinity;

/**
 * The step to wait for: the earliest later step whose gain is at least 40 percent of the best later gain. Returns
 * null when no step lies ahead.
 */
export function nextOf(steps: readonly Chosen[], today: Day): Chosen | null {
  const later = steps.filter((step) => daysTo(step, today) > 0);
  const most = Math.max(0, ...later.map(({ gain }) => gain));
  const [first, ...others] = later.filter(({ gain }) => gain >= WORTH_WAITING * most);
  if (!first) return null;
  return others.reduce((a, b) => (daysTo(b, today) < daysTo(a, today) ? b : a), first);
}

/** A step of this share of the best one's effect on the cause can stand for it: strong and good do, useful does not. */
const MAIN = 0.75;
/** The same for a lesser step that is aimed at the cause: useful can stand for good, not for strong. */
const AIMED = 0.5;
/** Rungs that better the conditions of the plant, or give it up: harmless whatever it is, and no answer to the cause. */
const BESIDE: readonly Rung[] = ['conditions', 'replace'];

const effectOn = ({ candidate: { targets } }: Chosen, { cause }: Lead): number =>
  targets.find(({ suspect }) => suspect.cause.id === cause.id)?.effect ?? 0;

const mostEffect = (steps: readonly Chosen[], lead: Lead): number =>
  Math.max(0, ...steps.map((step) => effectOn(step, lead)));

/**
 * The steps that the verdict hangs on: those that do most against the cause, and lesser ones that are aimed at it. All
 * where none is against it.
 */
function mainSteps(steps: readonly Chosen[], lead: Lead): readonly Chosen[] {
  const most = mostEffect(steps, lead);
  if (most === 0) return steps;
  return steps.filter((step) => {
    const aimed = !BESIDE.includes(step.candidate.treatment.rung);
    return effectOn(step, lead) >= (aimed ? AIMED : MAIN) * most;
  });
}

/** To wait and watch is nothing done: where it does most against the cause, or nothing else does anything, the cause is left. */
function whenTreatable(
  lead: Lead,
  all: readonly Chosen[],
  today: Day,
): 'leave' | 'act-now' | 'wait' | 'too-late' {
  const watches = ({ candidate }: Chosen): boolean => candidate.treatment.rung === 'leave';
  const steps = all.filter((step) => !watches(step));
  if (steps.length === 0) return 'leave';
  if (mostEffect(all.filter(watches), lead) > mostEffect(steps, lead)) return 'leave';
  const main = mainSteps(steps, lead);
  if (main.some(({ candidate }) => daysUntil(candidate.state, today) === 0)) return 'act-now';
  const wait = nextOf(main, today);
  return wait !== null && daysTo(wait, today) <= MAX_WAIT_DAYS ? 'wait' : 'too-late';
}

/**
 * A question of care is never too late: what it asks for comes round again. Steps that hold at any time only go with
 * those that have a season, so it is for these to say whether it is time.
 */
function whenToDo({ cause }: Lead, steps: readonly Chosen[], today: Day): 'act-now' | 'wait' {
  const own = steps.filter(({ candidate: { targets } }) =>
    targets.some(({ suspect }) => suspect.cause.id === cause.id),
  );
  const seasonal = own.filter(({ candidate: { state } }) => state.kind !== 'always');
  const open = (seasonal.length > 0 ? seasonal : own).some(
    ({ candidate }) => daysUntil(candidate.state, today) === 0,
  );
  return open ? 'act-now' : 'wait';
}

/** A normal look that nothing is done about; an odd shoot is cut out all the same. */
const isOnlyNormal = ({ category, treatments }: Cause): boolean =>
  category === 'normal' && treatments.length === 0;

/**
 * The verdict on the lead and the chosen steps. Below a probability of 0.3 (or 0.12 when the lead stands clear of the
 * next cause) the verdict is `find-out`; a wait of more than 150 days is `too-late`.
 */
export function verdictOf(
  lead: Lead | null,
  steps: readonly Chosen[],
  context: PlantAndDay,
): Verdict {
  const { today } = context;
  if (!lead || !isAdvisable(lead)) return 'find-out';
  if (whyLeft(lead.cause, context) !== null || isOnlyNormal(lead.cause)) return 'leave';
  if (whyBorne(lead.cause.harm, context) !== null) return 'leave';
  if (steps.length === 0) return 'find-out';
  if (isCareTopic(lead.cause)) return whenToDo(lead, steps, today);
  if (whyPastHelp(lead.cause, context) !== null)
    return nextOf(steps, today) === null ? 'leave' : 'too-late';
  const best = steps.reduce((a, b) => (b.gain > a.gain ? b : a));
  if (best.candidate.treatment.rung === 'professional') return 'professional';
  return whenTreatable(lead, steps, today);
}
