import { BURDEN, EFFECT } from '../schema/scale.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import type { CauseId } from '../schema/common.ts';
import { RUNGS, type Rung, type Treatment } from '../schema/treatment.ts';
import { daysUntil } from '../timing/windows.ts';
import type { Day } from '../timing/calendar.ts';
import { expectedGain } from './candidates.ts';
import type { AssessedTreatment } from './safetyJudge.ts';

/** Steps that a caller can take in, now and later. */
const MAX_STEPS = { now: 5, later: 3 } as const;

/**
 * A treatment in its window often fails all the same, so a second one still finds most of the harm:
 * the part of its effect that a chosen step takes from the next. Our own judgement.
 */
const OVERLAP = 0.45;

/** A chosen step with the harm it is expected to take away, in points. */
export interface Chosen extends AssessedTreatment {
  readonly gain: number;
}

const net = (judged: AssessedTreatment, left: ReadonlyMap<string, number>): number =>
  expectedGain(judged.candidate, left) - judged.candidate.burden;

function takeFrom(left: Map<string, number>, judged: AssessedTreatment): void {
  for (const { suspect, effect } of judged.candidate.targets) {
    left.set(suspect.cause.id, (left.get(suspect.cause.id) ?? 1) * (1 - OVERLAP * effect));
  }
}

/** Repeatedly takes the candidate that lowers the expected loss most, until none lowers it or the list is full. */
function greedy(
  open: readonly AssessedTreatment[],
  most: number,
  left: Map<string, number>,
): readonly Chosen[] {
  const chosen: Chosen[] = [];
  let rest = [...open];
  while (chosen.length < most && rest.length > 0) {
    const best = rest.reduce((a, b) => (net(b, left) > net(a, left) ? b : a));
    if (net(best, left) <= 0) break;
    chosen.push({ ...best, gain: expectedGain(best.candidate, left) });
    takeFrom(left, best);
    rest = rest.filter((one) => one !== best);
  }
  return chosen;
}

/** Where no step repays its burden the one that comes nearest is still named: the enquirer asked what could be done. */
function lightest(
  allowed: readonly AssessedTreatment[],
  left: ReadonlyMap<string, number>,
): readonly Chosen[] {
  const [first, ...rest] = allowed;
  if (!first) return [];
  const best = rest.reduce((a, b) => (net(b, left) > net(a, left) ? b : a), first);
  return [{ ...best, gain: expectedGain(best.candidate, left) }];
}

/** A plan names so many steps against the leading cause where the library knows them. */
const MIN_STEPS = 4;
/** Steps of less effect than this are not worth a place for completeness alone. */
const WORTH_NAMING = EFFECT.useful;
/** Products are named only where they repay their risk. */
const MILD: ReadonlySet<Rung> = new Set<Rung>([
  'leave',
  'hand',
  'conditions',
  'biological',
  'replace',
]);

const isMild = ({ candidate }: AssessedTreatment): boolean => MILD.has(candidate.treatment.rung);
/** What was asked about is named, whatever it is. */
const isOfCare = ({ candidate }: AssessedTreatment): boolean =>
  candidate.targets.every(({ suspect }) => isCareTopic(suspect.cause));

/** Digging out or felling is a decision of its own, never one more line of a short plan. */
const isDrastic = ({ effort, money }: Treatment): boolean =>
  Math.max(BURDEN[effort], BURDEN[money]) >= BURDEN.high;

/** Mild steps against the leading cause that fill a short plan: an advisor names the choices, not only the best one. */
function furtherSteps(
  allowed: readonly AssessedTreatment[],
  chosen: readonly Chosen[],
  lead: CauseId | null,
): readonly Chosen[] {
  const effectOn = ({ candidate }: AssessedTreatment): number =>
    candidate.targets.find(({ suspect }) => suspect.cause.id === lead)?.effect ?? 0;
  const taken = new Set(chosen.map(({ candidate }) => candidate.treatment.id));
  return allowed
    .filter(({ candidate }) => !taken.has(candidate.treatment.id))
    .filter(({ candidate }) => !isDrastic(candidate.treatment))
    .filter((one) => (isMild(one) || isOfCare(one)) && effectOn(one) >= WORTH_NAMING)
    .sort((a, b) => effectOn(b) - effectOn(a) || a.candidate.burden - b.candidate.burden)
    .slice(0, Math.max(0, MIN_STEPS - chosen.filter((one) => effectOn(one) > 0).length))
    .map((one) => ({ ...one, gain: 0 }));
}

/**
 * The steps that together minimise the expected loss over all suspects, each weighted by its probability, followed by
 * further mild steps against `lead` (null when no cause leads). At most 5 steps that can be done today and 3 later
 * ones, before the further ones; ordered by the number of days to wait, then by tier.
 */
export function chooseSteps(
  allowed: readonly AssessedTreatment[],
  today: Day,
  lead: CauseId | null = null,
): readonly Chosen[] {
  const wait = (judged: AssessedTreatment): number | null =>
    daysUntil(judged.candidate.state, today);
  const left = new Map<string, number>();
  const now = greedy(
    allowed.filter((one) => wait(one) === 0),
    MAX_STEPS.now,
    left,
  );
  const later = greedy(
    allowed.filter((one) => (wait(one) ?? 0) > 0),
    MAX_STEPS.later,
    left,
  );
  const found = [...now, ...later];
  const best = found.length > 0 ? found : lightest(allowed, left);
  const all = [...best, ...furtherSteps(allowed, best, lead)];
  const rung = (one: AssessedTreatment): number => RUNGS.indexOf(one.candidate.treatment.rung);
  return [...all].sort((a, b) => (wait(a) ?? 0) - (wait(b) ?? 0) || rung(a) - rung(b));
}
