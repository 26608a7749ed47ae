import type { Harm } from '../schema/cause.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { HARM } from '../schema/scale.ts';
import { RUNGS, type Rung } from '../schema/treatment.ts';
import type { AdviceContext } from './context.ts';
import type { BorneReason } from './messages.ts';

const { little, some, much, over } = RELIED_ON.findings;

/** What an enquirer answered or said about how much is affected. */
export type HowMuch = Pick<AdviceContext, 'reported'>;

/** Whether it is known how much of the plant is affected: under 10 percent, up to a third, more, or nothing new. */
export const isExtentKnown = ({ reported }: HowMuch): boolean =>
  [little, some, much, over].some((one) => reported.has(one));

/**
 * Whether a plant bears a little of it: the harm, in points, is to looks or crop, no more than moderate, and neither
 * to the life of the plant nor to others.
 */
export function isBearable({ looks, yield: crop, plant, neighbours, people }: Harm): boolean {
  const mostly = Math.max(HARM[looks], HARM[crop]);
  const elsewhere = HARM[neighbours] + HARM[people];
  return mostly <= HARM.moderate && HARM[plant] <= HARM.slight && elsewhere === 0;
}

/**
 * Why the plant bears a cause of this harm as things are: little of it is affected, or it is over. Returns null where
 * it does not, or where nothing is known about that.
 */
export function whyBorne(harm: Harm, { reported }: HowMuch): BorneReason | null {
  if (!isBearable(harm)) return null;
  if (reported.has(over)) return 'over';
  return reported.has(little) ? 'little-affected' : null;
}

/** Rungs whose steps wait until more is affected: products repay neither their cost nor their risk before. */
const FROM: Rung = 'low-toxicity';

/** Whether a step of a rung is left for when about 30 percent is affected. */
export const waitsForMore = (rung: Rung): boolean =>
  RUNGS.indexOf(rung) >= RUNGS.indexOf(FROM) && rung !== 'replace' && rung !== 'professional';
