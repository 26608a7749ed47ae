import type { Candidate, Suspect } from '../core/advice/candidates.ts';
import { causeSchema, type Cause } from '../core/schema/cause.ts';
import { treatmentSchema, type Treatment } from '../core/schema/treatment.ts';
import { HARMLESS_TREATMENT } from './miniLibrary.ts';
import { addDays, type Day } from '../core/timing/calendar.ts';
import type { WindowState } from '../core/timing/windows.ts';

/** A cause with anything changed. */
export const causeWith = (change: Record<string, unknown> = {}): Cause =>
  causeSchema.parse({
    id: 'pest',
    name: 'Pest',
    category: 'insect',
    hosts: {},
    common: 'common',
    findings: {},
    harm: {},
    say: 'A pest for tests.',
    source: 'judgement',
    ...change,
  });

/** A practice without dangers, with anything changed. */
export const treatmentWith = (change: Record<string, unknown> = {}): Treatment =>
  treatmentSchema.parse({
    ...HARMLESS_TREATMENT,
    id: 'x',
    name: 'A treatment',
    rung: 'conventional',
    text: 'Do it as the label says.',
    ...change,
  });

/** A suspect of 5 points of harm. */
export const suspectOf = (cause: Cause, probability = 0.9, harm = 5): Suspect => ({
  cause,
  probability,
  harm,
});

/** A treatment against a suspect that can be done at any time, with anything changed. */
export function candidateOf(
  treatment: Record<string, unknown>,
  targets: Candidate['targets'] = [{ suspect: suspectOf(causeWith()), effect: 0.6 }],
  change: Partial<Candidate> = {},
): Candidate {
  return {
    treatment: treatmentWith(treatment),
    text: 'Do it.',
    amount: null,
    measure: null,
    rule: null,
    state: { kind: 'always' },
    targets,
    burden: 0.1,
    ...change,
  };
}

/** The state of a window that opens after some days for twenty days. */
export const opensIn = (today: Day, days: number): WindowState => ({
  kind: 'opens',
  span: { from: addDays(today, days), to: addDays(today, days + 20) },
  closedSince: null,
});
