import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import type { Caution, Referral, SafetyReason } from './messages.ts';
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

/**
 * Applies every safety rule to a candidate, whatever its probability or rank. The first rule that forbids decides;
 * cautions of the rules before it add up.
 */
export function judge(candidate: Candidate, context: AdviceContext): AssessedTreatment {
  const cautions: Caution[] = candidate.treatment.cautions.map((text) => ({
    code: 'library',
    text,
  }));
  const planCautions: Caution[] = [];
  const referTo: Referral[] = [];
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
      case 'forbid':
        return { candidate, cautions, planCautions, referTo, forbidden: ruling.reason };
    }
  }
  return { candidate, cautions, planCautions, referTo, forbidden: null };
}
