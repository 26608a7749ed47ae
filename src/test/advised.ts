import type { AdviceContext } from '../core/advice/context.ts';
import { planAdvice, type Advice } from '../core/advice/plan.ts';
import { buildNetwork } from '../core/diagnosis/network.ts';
import { weighAll } from '../core/diagnosis/posterior.ts';
import type { Compiled } from '../core/library/compile.ts';
import { adviceContext } from './adviceContext.ts';
import { miniLibrary } from './miniLibrary.ts';
import { findingId, plantId } from './setting.ts';

/** The day of the advice. */
export const ADVICE_DAY = '2026-06-24';

/** A treatment of a small library: a practice done by hand, with anything changed. */
export const treatmentEntry = (id: string, more: Record<string, unknown> = {}) => ({
  id,
  name: `Do ${id}`,
  rung: 'hand',
  text: `Do ${id} as told.`,
  source: 'practice',
  ...more,
});

/** A library of one insect that always shows its one telltale sign. */
export function pestLibrary(
  cause: Record<string, unknown>,
  treatments: readonly Record<string, unknown>[],
  more: Record<string, unknown> = {},
): Compiled {
  return miniLibrary(
    [{ id: 'sign', extra: { background: 'telltale' } }],
    [{ id: 'pest', findings: { sign: 'always' }, extra: { category: 'insect', ...cause } }],
    { 'treatments/t.yaml': treatments, ...more },
  );
}

/** What is advised on a fern that shows the sign, or of which nothing is known. */
export function advise(
  library: Compiled,
  change: Partial<AdviceContext> = {},
  seen = true,
  sure = 0.95,
): Advice {
  const context = adviceContext(library, 42, ADVICE_DAY, change);
  const network = buildNetwork(library, plantId('fern'), {
    ...context,
    since: null,
    experience: new Map(),
  });
  const reports = seen ? [{ finding: findingId('sign'), value: true, sure }] : [];
  return planAdvice(library, network, weighAll(library, network, reports, 0).posterior, context);
}
