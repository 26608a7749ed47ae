import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import type { Caution, Referral, SafetyReason } from './messages.ts';
import type { Day } from '../timing/calendar.ts';
import { postponed } from '../timing/windows.ts';
import { lawsOn, localLaw } from './localLaw.ts';
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
  /** The day before which it must not be done; null where no rule postpones it. */
  readonly notBefore: Day | null;
}

/**
 * Applies every safety rule to a candidate, whatever its probability or rank. The first rule that forbids decides; what
 * rules postpone is due when all of them allow it; cautions of the rules before add up.
 */
export function judge(candidate: Candidate, context: AdviceContext): AssessedTreatment {
  const cautions: Caution[] = candidate.treatment.cautions.map((text) => ({
    code: 'library',
    text,
  }));
  const planCautions: Caution[] = [];
  const referTo: Referral[] = [];
  let notBefore: Day | null = null;
  const ruled = { cautions, planCautions, referTo };
  const refused = (reason: SafetyReason): AssessedTreatment => ({
    ...ruled,
    candidate,
    forbidden: reason,
    notBefore: null,
  });
  for (const rule of [...SAFETY_RULES, ...lawsOn(candidate, context).map(localLaw)]) {
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
      case 'postpone':
        if (postponed(candidate.state, ruling.until) === null) return refused(ruling.reason);
        notBefore = notBefore === null || ruling.until > notBefore ? ruling.until : notBefore;
        cautions.push({ code: 'postponed', why: ruling.reason });
        break;
      case 'forbid':
        return refused(ruling.reason);
    }
  }
  const state = notBefore === null ? null : postponed(candidate.state, notBefore);
  return {
    ...ruled,
    candidate: state ? { ...candidate, state } : candidate,
    forbidden: null,
    notBefore,
  };
}
