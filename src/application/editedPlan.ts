import type { CasePlan, OwnStep } from '../contracts/cases.ts';
import type { ConsultResponse } from '../contracts/consult.ts';

type AdvisedStep = ConsultResponse['advice']['steps'][number];

/** A step of the plan as the advisor left it: advised, or one of their own. */
export type PlanStep =
  | { readonly kind: 'advised'; readonly id: string; readonly step: AdvisedStep }
  | { readonly kind: 'own'; readonly id: string; readonly step: OwnStep };

/** The plan in the advisor's order, and the advised steps that were left out. */
export interface EditedPlan {
  readonly steps: readonly PlanStep[];
  readonly leftOut: readonly AdvisedStep[];
}

/**
 * The steps of the advice with the advisor's own, in the order that the advisor gave them; what has no place in it stays
 * in its own order behind the step before it. Pure; a step that the advice no longer has is left away.
 */
export function editedPlan(
  advised: readonly AdvisedStep[],
  { own, leftOut, order }: Pick<CasePlan, 'own' | 'leftOut' | 'order'>,
): EditedPlan {
  const left = new Set(leftOut);
  const steps: readonly PlanStep[] = [
    ...advised
      .filter(({ id }) => !left.has(id))
      .map((step): PlanStep => ({ kind: 'advised', id: step.id, step })),
    ...own.map((step): PlanStep => ({ kind: 'own', id: step.id, step })),
  ];
  const place = new Map(order.map((id, i) => [id, i]));
  let last = -1;
  const ranked = steps.map((step) => {
    last = place.get(step.id) ?? last;
    return { step, rank: last };
  });
  return {
    steps: ranked.sort((a, b) => a.rank - b.rank).map(({ step }) => step),
    leftOut: advised.filter(({ id }) => left.has(id)),
  };
}

/** The order of a plan with one step moved up or down by one; null where it cannot move. */
export function movedStep(
  { steps }: Pick<EditedPlan, 'steps'>,
  id: string,
  by: -1 | 1,
): readonly string[] | null {
  const order = steps.map((one) => one.id);
  const from = order.indexOf(id);
  const to = from + by;
  const other = order[to];
  if (from === -1 || other === undefined) return null;
  return order.map((one, i) => (i === from ? other : i === to ? id : one));
}
