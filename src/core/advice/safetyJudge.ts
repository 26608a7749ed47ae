import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import type { Caution, Referral, SafetyReason } from './messages.ts';
import { addDays, type Day } from '../timing/calendar.ts';
import type { WindowState } from '../timing/windows.ts';
import { SAFETY_RULES } from './safetyRules.ts';

/** A candidate after all rules of safety. */
export interface AssessedTreatment {
  readonly candidate: Candidate;
  readonly cautions: readonly Caution[];
  /** Cautions for the whole plan. */
  readonly planCautions: readonly Caution[];
  readonly referTo: readonly Referral[];
  /** Why it must not be recommended; null when it may. */
  readonly forbidden: SafetyReason | null;
}

/** What has no season, and waits, is done within so many days; our own estimate. */
const WITHIN_DAYS = 45;

/** The window of a step that may not be done before a day. Returns null where nothing of it is left then. */
function stateFrom(until: Day, state: WindowState): WindowState | null {
  switch (state.kind) {
    case 'always':
      return opensOn(until, addDays(until, WITHIN_DAYS));
    case 'open':
    case 'opens': {
      const { from, to } = state.span;
      return until > to ? null : opensOn(from > until ? from : until, to);
    }
    case 'watch':
    case 'never':
      return null;
  }
}

const opensOn = (from: Day, to: Day): WindowState => ({
  kind: 'opens',
  span: { from, to },
  closedSince: null,
});

/**
 * Applies every safety rule to a candidate, whatever its probability or rank. The first rule that forbids decides; what a rule
 * postpones is due when it may be done;
 * cautions of the rules before it add up.
 */
export function judge(candidate: Candidate, context: AdviceContext): AssessedTreatment {
  const cautions: Caution[] = candidate.treatment.cautions.map((text) => ({
    code: 'library',
    text,
  }));
  const planCautions: Caution[] = [];
  const referTo: Referral[] = [];
  let due = candidate;
  for (const rule of SAFETY_RULES) {
    const ruling = rule(candidate, context);
    switch (ruling.kind) {
      case 'allow':
        break;
      case 'caution':
        cautions.push(ruling.caution);
        break;
      case 'plan-caution':
        planCautions.push(ruling.caution);
        break;
      case 'refer':
        cautions.push(ruling.caution);
        referTo.push(ruling.to);
        break;
      case 'postpone': {
        const state = stateFrom(ruling.until, due.state);
        if (!state) return { candidate, cautions, planCautions, referTo, forbidden: ruling.reason };
        due = { ...due, state };
        cautions.push({ code: 'postponed', why: ruling.reason });
        break;
      }
      case 'forbid':
        return { candidate, cautions, planCautions, referTo, forbidden: ruling.reason };
    }
  }
  return { candidate: due, cautions, planCautions, referTo, forbidden: null };
}
