import { RUNGS } from '../knowledge/schema/treatment.ts';
import { daysUntil } from '../timing/windows.ts';
import type { Day } from '../timing/calendar.ts';
import { expectedGain } from './candidates.ts';
import type { Judged } from './safety/judge.ts';

/** Steps that a caller can take in, now and later. */
const MOST_STEPS = { now: 5, later: 3 } as const;

/**
 * A treatment in its window often fails all the same, so a second one still finds most of the harm:
 * the part of its effect that a chosen step takes from the next. Our own judgement.
 */
const OVERLAP = 0.45;

/** A chosen step with the harm it is expected to take away, in points. */
export interface Chosen extends Judged {
  readonly gain: number;
}

const net = (judged: Judged, left: ReadonlyMap<string, number>): number =>
  expectedGain(judged.candidate, left) - judged.candidate.burden;

function takeFrom(left: Map<string, number>, judged: Judged): void {
  for (const { suspect, effect } of judged.candidate.targets) {
    left.set(suspect.cause.id, (left.get(suspect.cause.id) ?? 1) * (1 - OVERLAP * effect));
  }
}

/** Repeatedly takes the candidate that lowers the expected loss most, until none lowers it or the list is full. */
function greedy(
  open: readonly Judged[],
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
  allowed: readonly Judged[],
  left: ReadonlyMap<string, number>,
): readonly Chosen[] {
  const [first, ...rest] = allowed;
  if (!first) return [];
  const best = rest.reduce((a, b) => (net(b, left) > net(a, left) ? b : a), first);
  return [{ ...best, gain: expectedGain(best.candidate, left) }];
}

/** The steps that together minimise the expected loss over all suspects: what can be done now first, then by date and rung. */
export function chooseSteps(allowed: readonly Judged[], today: Day): readonly Chosen[] {
  const wait = (judged: Judged): number | null => daysUntil(judged.candidate.state, today);
  const left = new Map<string, number>();
  const now = greedy(
    allowed.filter((one) => wait(one) === 0),
    MOST_STEPS.now,
    left,
  );
  const later = greedy(
    allowed.filter((one) => (wait(one) ?? 0) > 0),
    MOST_STEPS.later,
    left,
  );
  if (now.length === 0 && later.length === 0) return lightest(allowed, left);
  const rung = (one: Judged): number => RUNGS.indexOf(one.candidate.treatment.rung);
  return [
    ...[...now].sort((a, b) => rung(a) - rung(b)),
    ...[...later].sort((a, b) => (wait(a) ?? 0) - (wait(b) ?? 0) || rung(a) - rung(b)),
  ];
}
