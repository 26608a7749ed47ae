import { adviceContext } from './adviceContext.ts';
import { candidateOf, causeWith } from './candidate.ts';
import { miniLibrary } from './miniLibrary.ts';
import { day } from './setting.ts';
import type { Act, Request, RequestKind } from '../core/language/requests.ts';
import type { Cause } from '../core/schema/cause.ts';
import { answerRequests } from '../core/advice/answers.ts';
import type { Answerable, Reply } from '../core/advice/replies.ts';
import type { Advice, Step } from '../core/advice/plan.ts';
import type { AssessedTreatment } from '../core/advice/safetyJudge.ts';
import type { Lead } from '../core/advice/verdict.ts';

export const TODAY = day('2026-06-13');
const library = miniLibrary([{ id: 'sign' }], [{ id: 'pest', findings: { sign: 'often' } }]);
export const CONTEXT = adviceContext(library, 40, '2026-06-13');
export const PEST = causeWith();

/** A step of the plan; `against` names another cause than the leading one. */
export function step(
  text: string,
  { against = null, ...treatment }: Record<string, unknown> & { against?: string | null } = {},
): Step {
  const { treatment: made, rule } = candidateOf({
    name: 'Step',
    text: text.padEnd(10),
    rung: 'hand',
    ...treatment,
  });
  return {
    id: text,
    text: {
      code: 'library',
      text,
      against: against === null ? null : { cause: against, isNamed: false, isCare: false },
    },
    rung: made.rung,
    when: { from: TODAY, to: null, state: { kind: 'always' } },
    cautions: [],
    amount: null,
    worked: { forSize: null, assumed: [] },
    measure: null,
    work: { treatment: made, rule, notBefore: null },
  };
}
export const FIND_OUT: Step = { ...step('Send a sample.'), work: null };

/** Advice with anything changed. */
export const advice = (change: Partial<Advice> = {}): Advice => ({
  verdict: 'act-now',
  headline: { code: 'no-cause-yet' },
  steps: [],
  cautions: [],
  refer: [],
  notDoing: [],
  differ: [],
  lookAgain: TODAY,
  ...change,
});
/** A leading cause. */
export const lead = (cause: Cause = PEST, probability = 0.8): Lead => ({
  cause,
  probability,
  next: 0.1,
});

/** A treatment that passed the rules of safety, with anything changed. */
export function option(
  treatment: Record<string, unknown>,
  change: Partial<AssessedTreatment> = {},
): AssessedTreatment {
  return {
    candidate: candidateOf({ rung: 'hand', text: 'Do it as told.', ...treatment }),
    cautions: [],
    planCautions: [],
    referTo: [],
    forbidden: null,
    notBefore: null,
    ...change,
  };
}

/** What replies are made from, with anything changed. */
export function about(change: Partial<Answerable> = {}): Answerable {
  return {
    advice: advice(),
    lead: lead(),
    ranked: [],
    context: CONTEXT,
    options: [],
    report: null,
    sum: null,
    words: '',
    ...change,
  };
}

/** A request of a kind, over all its words. */
export const request = (kind: RequestKind, act: Act | null = null, words = ''): Request => ({
  kind,
  act,
  span: { start: 0, end: words.length },
});

/** The reply to one request. */
export function reply(
  kind: RequestKind,
  change: Partial<Answerable> = {},
  act: Act | null = null,
): Reply | null {
  const on = about(change);
  return answerRequests([request(kind, act, on.words)], on)[0]?.reply ?? null;
}
/** Ids of the steps of a reply; undefined for any other reply. */
export const stepsIn = (one: Reply | null): readonly string[] | undefined =>
  one?.code === 'steps' ? one.steps.map(({ id }) => id) : undefined;
