import type { Interpreted } from '../measures/report/interpret.ts';
import type { ReportSort } from '../measures/report/elements.ts';
import type { SaidSum } from '../measures/saidSum.ts';
import type { Act, Request } from '../language/requests.ts';
import type { HARM } from '../schema/scale.ts';
import type { Harm } from '../schema/cause.ts';
import type { AssessedTreatment } from './safetyJudge.ts';
import type { Advice, Step } from './plan.ts';
import type { AdviceContext } from './context.ts';
import type { Caution, NotDoingReason, Referral } from './messages.ts';
import type { Lead } from './verdict.ts';
import type { PossibleCause, TheoryReply } from './theories.ts';

/** What one request is answered with. */
export type Reply =
  /** The library's own sentence on a question of care, or on why something is left. */
  | { readonly code: 'library' | 'safe-said'; readonly text: string }
  | { readonly code: 'named'; readonly cause: string; readonly probability: number }
  | { readonly code: 'unclear'; readonly causes: readonly string[] }
  | { readonly code: 'harm'; readonly worst: keyof typeof HARM; readonly pace: Harm['pace'] }
  | {
      readonly code: 'steps';
      readonly opening: 'yes' | 'none';
      readonly steps: readonly Step[];
      /** Names of products that are asked for and that the plan does without at first. */
      readonly products: readonly string[];
    }
  /** A question of care beside a trouble: what the library says of it, with its steps. */
  | {
      readonly code: 'care';
      readonly say: string;
      readonly steps: readonly Step[];
      readonly cautions: readonly Caution[];
    }
  | { readonly code: 'no'; readonly text: string; readonly why: NotDoingReason }
  /** The label's own rate for the tank that was said, in litres; `tank` null where none was. */
  | { readonly code: 'mix'; readonly rate: number; readonly tank: number | null }
  /** A sum that was asked for with all its numbers. */
  | ({ readonly code: 'sum' } & SaidSum)
  /** A test report that was read out. */
  | { readonly code: 'report'; readonly sort: ReportSort; readonly said: Interpreted }
  /** Nothing that helps against the cause calls for it. */
  | { readonly code: 'no-need'; readonly act: Act; readonly cause: string }
  /** It helps against the cause, but the plan does without it; names of the treatments. */
  | { readonly code: 'not-first'; readonly treatments: readonly string[]; readonly how: string }
  /** Only those who are named may do it, and so. */
  | {
      readonly code: 'referred';
      readonly to: readonly Referral[];
      readonly how: string;
      readonly cautions: readonly Caution[];
    }
  | TheoryReply
  | {
      readonly code:
        | 'find-out-first'
        | 'no-stronger'
        | 'amount-on-label'
        | 'no-amount'
        | 'eat-not-known'
        | 'harvest-on-label'
        | 'poisonous'
        | 'safe-until-dry'
        | 'safe-not-known'
        | 'replace-not-known'
        | 'not-covered';
    };

/** A request with its own answer. */
export interface Answered {
  readonly request: Request;
  readonly reply: Reply;
}

/** What replies are made from. */
export interface Answerable {
  readonly advice: Advice;
  readonly lead: Lead | null;
  /** All causes, the likeliest first. */
  readonly ranked: readonly PossibleCause[];
  readonly context: AdviceContext;
  /** All that helps against the leading cause and suits the plant, chosen or not, after the rules of safety. */
  readonly options: readonly AssessedTreatment[];
  /** The test report that was read out; null without one. */
  readonly report: { readonly sort: ReportSort; readonly said: Interpreted } | null;
  /** A sum of which all numbers were said; null without one. */
  readonly sum: SaidSum | null;
  /** The enquirer's words. */
  readonly words: string;
}
