import type { Consultant } from '../core/consult/consult.ts';
import { planSchedule, type PlanSchedule } from '../core/advice/planSchedule.ts';
import type { Compiled } from '../core/library/compile.ts';
import { ok, type Result } from '../core/util/result.ts';
import { parseDay, type Day } from '../core/timing/calendar.ts';
import { allInSpelling } from '../wording/spelling.ts';
import { observedDays, readEnquiry } from './answerConsult.ts';
import type { CasePlan } from '../contracts/cases.ts';
import type { ConsultRequest } from '../contracts/consult.ts';
import type { Problem } from '../contracts/problem.ts';

/** A schedule with its days, for the enquiry of `body`. */
export interface ScheduleQuery {
  readonly body: unknown;
  readonly plan: CasePlan;
  /** The clinic's day; a case is dated on from it, not from the day of the call. */
  readonly today: string;
  /** Days of the station up to it. */
  readonly weather: ConsultRequest['weather'];
  /** The station is a simulated one. */
  readonly simulated: boolean;
}

const dayOrNull = (text: string | null): Day | null => {
  const read = text === null ? null : parseDay(text);
  return read?.ok ? read.value : null;
};

/** Consults and dates every step of the advice. */
export function answerSchedule(
  library: Compiled,
  consultant: Consultant,
  { body, plan, today, weather, simulated }: ScheduleQuery,
): Result<PlanSchedule, Problem> {
  const read = readEnquiry(library, body);
  if (!read.ok) return read;
  const { enquiry, spelling } = read.value;
  const { place: at, plant, today: called } = enquiry;
  const now = dayOrNull(today) ?? called;
  const { advice, plants } = consultant(enquiry);
  const schedule = planSchedule(library, advice, {
    at,
    today: now > called ? now : called,
    observed: observedDays(weather),
    simulated,
    plant: plant ?? plants[0]?.plant ?? null,
    harvest: dayOrNull(plan.harvest),
    labels: plan.labels,
    seen: new Map(
      Object.entries(plan.seen).flatMap(([event, on]) => {
        const day = dayOrNull(on);
        return day === null ? [] : [[event, day] as const];
      }),
    ),
    done: plan.done.flatMap(({ step, on }) => {
      const day = dayOrNull(on);
      return day === null ? [] : [{ step, on: day }];
    }),
  });
  return ok(allInSpelling(schedule, spelling));
}
