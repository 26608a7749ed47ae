import type { LabelAnswer, LabelQuery } from '../../application/answerLabel.ts';
import type { ScheduleQuery } from '../../application/answerSchedule.ts';
import type { ConsultRequest, ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { Result } from '../../core/util/result.ts';
import type { PlanSchedule } from '../../core/advice/planSchedule.ts';

/** Something of the library to choose by its name: a plant, or a cause. */
export interface NamedChoice {
  readonly id: string;
  readonly name: string;
  readonly scientific: string | null;
  /** Other names people use. */
  readonly names: readonly string[];
}

/** What the page tells the worker. */
export type ToWorker =
  | { readonly kind: 'start' }
  | { readonly kind: 'ask'; readonly id: number; readonly body: ConsultRequest }
  | { readonly kind: 'schedule'; readonly id: number; readonly query: ScheduleQuery }
  | { readonly kind: 'label'; readonly id: number; readonly query: LabelQuery };

/** What the worker tells the page. */
export type FromWorker =
  | { readonly kind: 'ready'; readonly plants: readonly NamedChoice[] }
  /** The library could not be had. */
  | { readonly kind: 'failed' }
  | {
      readonly kind: 'answer';
      readonly id: number;
      readonly result: Result<ConsultResponse, Problem>;
    }
  | {
      readonly kind: 'scheduled';
      readonly id: number;
      readonly result: Result<PlanSchedule, Problem>;
    }
  | {
      readonly kind: 'judged';
      readonly id: number;
      readonly result: Result<LabelAnswer, Problem>;
    };
