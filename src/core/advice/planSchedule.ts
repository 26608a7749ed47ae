import type { Compiled } from '../library/compile.ts';
import { repeatIn } from '../schema/amount.ts';
import type { PlantId } from '../schema/common.ts';
import {
  scheduleFor,
  type PlannedStep,
  type Schedule,
  type ScheduleRequest,
} from '../timing/schedule.ts';
import type { Advice, Step } from './plan.ts';

/** What a schedule takes from the case besides the advice. */
export type ScheduleWish = Pick<
  ScheduleRequest,
  'at' | 'today' | 'observed' | 'simulated' | 'harvest' | 'labels' | 'done' | 'seen'
> & { readonly plant: PlantId | null };

/** The schedule of a piece of advice. */
export interface PlanSchedule extends Schedule {
  /** The plant is grown to eat, so the harvest and the label's days to it matter. */
  readonly food: boolean;
}

const KILLS_INSECTS = ['insecticide', 'miticide'] as const;

/** A treatment is a spray where the library says how long it must stay dry or how much wind it bears. */
function plannedStep(
  { treatment, rule, notBefore }: NonNullable<Step['work']>,
  amount: Step['amount'],
): PlannedStep {
  const { id, limits, hazards, classes, modeOfAction } = treatment;
  return {
    id,
    rule,
    notBefore,
    limits,
    repeat: amount && repeatIn(amount),
    spray: limits?.rainFreeHours !== undefined || limits?.maxWindKmh !== undefined,
    systemic: hazards.includes('systemic'),
    insecticide: KILLS_INSECTS.some((one) => classes.includes(one)),
    modeOfAction: modeOfAction ?? null,
  };
}

/**
 * Works out the dates of every treatment of the advice. Steps that only gather information have none. With `plant`
 * null the plan holds for an unknown plant: no bloom dates, no days to harvest.
 */
export function planSchedule(
  library: Compiled,
  { steps }: Advice,
  wish: ScheduleWish,
): PlanSchedule {
  const { plant, ...rest } = wish;
  const traits = plant === null ? {} : library.taxonomy.traits(plant);
  const schedule = scheduleFor({
    ...rest,
    places: library.places,
    bloom: traits.bloom ?? null,
    indoors: traits.indoors === true,
    steps: steps.flatMap(({ work, amount }) => (work ? [plannedStep(work, amount)] : [])),
  });
  return { ...schedule, food: (traits.edible ?? 'none') !== 'none' };
}
