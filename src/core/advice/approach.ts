import { RUNGS, type Rung, type Treatment } from '../schema/treatment.ts';
import type { Approach } from './context.ts';
import type { HiddenReason } from './messages.ts';

const upTo = (last: Rung): ReadonlySet<Rung> => new Set(RUNGS.slice(0, RUNGS.indexOf(last) + 1));
const LEAVE_ALONE: ReadonlySet<Rung> = new Set([...upTo('conditions'), 'professional', 'replace']);

/** Why an approach hides a treatment. Returns null when the treatment is shown. */
export function hiddenBy(approach: Approach, treatment: Treatment): HiddenReason | null {
  switch (approach) {
    case 'integrated':
      return null;
    case 'organic':
      return treatment.organic ? null : { code: 'not-organic' };
    case 'leave':
      return LEAVE_ALONE.has(treatment.rung) ? null : { code: 'not-left-alone' };
  }
}
