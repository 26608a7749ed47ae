import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import { SAFETY_RULES } from './safetyRules.ts';

/** A candidate after all rules of safety. */
export interface AssessedTreatment {
  readonly candidate: Candidate;
  readonly cautions: readonly string[];
  /** Cautions for the whole plan. */
  readonly planCautions: readonly string[];
  readonly referTo: readonly string[];
  /** Why it must not be recommended; null when it may. */
  readonly forbidden: string | null;
}

/** Puts a candidate before every rule. The first that forbids decides; cautions add up. */
export function judge(candidate: Candidate, context: AdviceContext): AssessedTreatment {
  const cautions = [...candidate.treatment.cautions];
  const planCautions: string[] = [];
  const referTo: string[] = [];
  for (const rule of SAFETY_RULES) {
    const ruling = rule(candidate, context);
    switch (ruling.kind) {
      case 'allow':
        break;
      case 'caution':
        cautions.push(ruling.text);
        break;
      case 'standing':
        planCautions.push(ruling.text);
        break;
      case 'refer':
        cautions.push(ruling.text);
        referTo.push(ruling.to);
        break;
      case 'forbid':
        return { candidate, cautions, planCautions, referTo, forbidden: ruling.why };
    }
  }
  return { candidate, cautions, planCautions, referTo, forbidden: null };
}
