import type { Network } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import type { Compiled } from '../library/compile.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import type { Amount, MeasureId } from '../schema/amount.ts';
import type { Cause } from '../schema/cause.ts';
import { HARM } from '../schema/scale.ts';
import type { Rung, Treatment } from '../schema/treatment.ts';
import type { View } from '../schema/view.ts';
import type { WindowRule } from '../schema/window.ts';
import { addDays, type Day } from '../timing/calendar.ts';
import { daysUntil, type WindowState } from '../timing/windows.ts';
import { hiddenBy } from './approach.ts';
import { expectedGain, gatherCandidates, suspectsOf, type Suspect } from './candidates.ts';
import { chooseSteps, type Chosen } from './choose.ts';
import type { AdviceContext } from './context.ts';
import { forThisJob, type Worked } from './forSize.ts';
import { lawsOnPlant } from './localLaw.ts';
import { judge, type AssessedTreatment } from './safetyJudge.ts';
import { leadOf, leadOnReport, verdictOf, type Lead, type Verdict } from './verdict.ts';
import { waitsForMore, whyBorne } from './threshold.ts';
import { headlineOf } from './headline.ts';
import {
  distinct,
  type Caution,
  type Headline,
  type NotDoingReason,
  type Referral,
  type StepText,
} from './messages.ts';

/** One thing to do, with its dates. `to` is null when there is no end. */
export interface Step {
  readonly id: string;
  readonly text: StepText;
  readonly rung: Rung;
  /** `state` is that of its window on the day of the advice. */
  readonly when: { readonly from: Day; readonly to: Day | null; readonly state: WindowState };
  readonly cautions: readonly Caution[];
  /** How much, how often, how deep, for how long; null where none is known or needed. */
  readonly amount: Amount | null;
  /** The same worked out for the enquirer's own size. */
  readonly worked: Worked;
  /** How it is worked out; null where it comes from no calculator. */
  readonly measure: MeasureId | null;
  /** Its treatment with the window that holds for this cause; null for what is found out first. */
  readonly work: {
    readonly treatment: Treatment;
    readonly rule: WindowRule | null;
    /** The day before which safety forbids it; null where it does not. */
    readonly notBefore: Day | null;
  } | null;
}

/** What to tell the enquirer. */
export interface Advice {
  readonly verdict: Verdict;
  readonly headline: Headline;
  readonly steps: readonly Step[];
  readonly cautions: readonly Caution[];
  readonly refer: readonly Referral[];
  readonly notDoing: readonly { readonly text: string; readonly why: NotDoingReason }[];
  /** Where other advisors would say otherwise, and why it is done so here. */
  readonly differ: readonly View[];
  readonly lookAgain: Day;
}

function spanOf(state: WindowState, today: Day): { from: Day; to: Day | null } {
  switch (state.kind) {
    case 'open':
      return { from: today, to: state.span.to };
    case 'opens':
      return { from: state.span.from, to: state.span.to };
    case 'always':
    case 'watch':
    case 'never':
      return { from: today, to: null };
  }
}

/** The named causes with the one that the advice speaks of in front. */
const leadFirst = (named: readonly Cause[], lead: Lead | null): readonly Cause[] =>
  lead ? [lead.cause, ...named.filter(({ id }) => id !== lead.cause.id)] : named;

/** A step that is not against the leading cause says against what it is. */
function textOf({ candidate: { text, targets } }: Chosen, named: readonly Cause[]): StepText {
  const [lead] = named;
  const causes = targets.map(({ suspect }) => suspect.cause);
  const [other] = causes;
  const against =
    !lead || !other || causes.includes(lead)
      ? null
      : { cause: other.name, isNamed: named.includes(other), isCare: isCareTopic(other) };
  return { code: 'library', text, against };
}

function toStep(chosen: Chosen, named: readonly Cause[], context: AdviceContext): Step {
  const { treatment, state, rule, amount, measure } = chosen.candidate;
  return {
    id: treatment.id,
    text: textOf(chosen, named),
    rung: treatment.rung,
    when: { ...spanOf(state, context.today), state },
    cautions: distinct(chosen.cautions),
    amount,
    worked: forThisJob(amount, measure, context.job),
    measure,
    work: { treatment, rule, notBefore: chosen.notBefore },
  };
}

const NO_AMOUNT: Pick<Step, 'amount' | 'worked' | 'measure'> = {
  amount: null,
  measure: null,
  worked: { forSize: null, assumed: [] },
};

const atOnce = (today: Day): Step['when'] => ({
  from: today,
  to: null,
  state: { kind: 'always' },
});

/** A step that confirms the cause where being wrong is costly, or where the cause is still open. */
function confirmStep(lead: Lead, verdict: Verdict, today: Day): Step[] {
  const needed = verdict === 'find-out' || lead.probability < 0.85;
  if (lead.cause.confirm === undefined || !needed) return [];
  return [
    {
      id: `confirm-${lead.cause.id}`,
      text: { code: 'library', text: lead.cause.confirm, against: null },
      rung: 'leave',
      when: atOnce(today),
      cautions: [],
      ...NO_AMOUNT,
      work: null,
    },
  ];
}

const FIND_OUT: Omit<Step, 'when'> = {
  id: 'send-sample',
  text: { code: 'send-sample' },
  rung: 'leave',
  cautions: [],
  ...NO_AMOUNT,
  work: null,
};

const REPORT: Omit<Step, 'when'> = {
  id: 'report-not-known-here',
  text: { code: 'report-not-known-here' },
  rung: 'professional',
  cautions: [],
  ...NO_AMOUNT,
  work: null,
};

/** An office or a sample takes about so long, in days. */
const FIRST_LOOK_DAYS = 3;

/** For a question of care that could mean several things. */
const ASK_AGAIN: Omit<Step, 'when'> = {
  id: 'ask-again',
  text: { code: 'ask-again' },
  rung: 'leave',
  cautions: [],
  ...NO_AMOUNT,
  work: null,
};

function namedCauses(network: Network, posterior: Posterior): readonly Cause[] {
  return posterior.explanation
    .map((id) => network.causes[network.position.get(id) ?? -1])
    .filter((cause) => cause !== undefined);
}

/** A treatment that must not or shall not be used, with the reason. */
interface Hidden {
  readonly judged: AssessedTreatment;
  readonly why: NotDoingReason;
}

function notDoing(causes: readonly Cause[], hidden: readonly Hidden[]): Advice['notDoing'] {
  const own = causes.flatMap(({ avoid }) =>
    avoid.map(({ text, why }) => ({ text, why: { code: 'library' as const, text: why } })),
  );
  const blocked = hidden.map(({ judged, why }) => ({ text: judged.candidate.treatment.name, why }));
  return [...own, ...blocked].slice(0, 8);
}

/** Views to tell with one piece of advice. */
const MAX_VIEWS = 2;

/** Where practitioners differ about the named causes or, after those, about a step of the plan. */
function viewsOn(
  library: Compiled,
  named: readonly Cause[],
  chosen: readonly Chosen[],
): readonly View[] {
  const about = [
    ...named.map(({ id }): string => id),
    ...chosen.map(({ candidate }): string => candidate.treatment.id),
  ];
  const found = about.flatMap((id) => library.views.filter((view) => view.about.includes(id)));
  return [...new Set(found)].slice(0, MAX_VIEWS);
}

/** Where there is no cause to go by. */
const LOOK_AGAIN_DAYS = 7;

function lookAgainOn(
  lead: Lead | null,
  verdict: Verdict,
  steps: readonly Chosen[],
  today: Day,
): Day {
  const first = steps[0];
  const wait = first ? daysUntil(first.candidate.state, today) : null;
  if ((verdict === 'wait' || verdict === 'too-late') && wait !== null && wait > 0)
    return addDays(today, wait);
  return addDays(
    today,
    verdict === 'find-out' ? FIRST_LOOK_DAYS : (lead?.cause.lookAgainDays ?? LOOK_AGAIN_DAYS),
  );
}

/** Steps that are open to choice after safety and the enquirer's approach, and those that are not, with the reason. */
function sift(judged: readonly AssessedTreatment[], lead: Lead | null, context: AdviceContext) {
  const hidden: Hidden[] = [];
  const borne = lead && whyBorne(lead.cause.harm, context);
  const allowed = judged.filter((one) => {
    const { treatment } = one.candidate;
    const waits =
      borne && waitsForMore(treatment.rung) ? { code: 'borne' as const, why: borne } : null;
    const why = one.forbidden ?? hiddenBy(context.approach, treatment) ?? waits;
    if (why !== null) hidden.push({ judged: one, why });
    return why === null && one.candidate.state.kind !== 'never';
  });
  return { allowed, hidden };
}

/**
 * Products that wait for a surer cause and could not be used yet: whether it is time does not hang on how sure it is.
 */
function toCome(judged: readonly AssessedTreatment[], today: Day): readonly Chosen[] {
  return judged
    .filter(({ forbidden }) => forbidden?.code === 'cause-unsure')
    .filter(({ candidate }) => (daysUntil(candidate.state, today) ?? 0) > 0)
    .map((one) => ({ ...one, gain: expectedGain(one.candidate, new Map()) }));
}

/** Rungs at the ends of the ladder: waiting that another cause would allow says nothing, and no plant is removed on a lesser suspicion. */
const OF_LEAD_ALONE: readonly Rung[] = ['leave', 'replace'];

const withoutLesserEnds = (
  allowed: readonly AssessedTreatment[],
  lead: Lead | null,
): readonly AssessedTreatment[] =>
  allowed.filter(
    ({ candidate: { treatment, targets } }) =>
      !OF_LEAD_ALONE.includes(treatment.rung) ||
      targets.some(({ suspect }) => suspect.cause.id === lead?.cause.id),
  );

/**
 * Turns a posterior into advice: verdict, steps with dates, cautions, referrals and what not to do. Every cause
 * counts by its posterior probability. Deterministic; never throws.
 */
export function planAdvice(
  library: Compiled,
  network: Network,
  posterior: Posterior,
  context: AdviceContext,
): Advice {
  const { today, region } = context;
  const reports = context.reported.size;
  const lead = leadOnReport(leadOf(network, posterior), reports);
  const isAbsent = (cause: Cause): boolean => library.presenceOf(cause, region) === 'absent';
  if (lead && reports > 0 && isAbsent(lead.cause)) return notKnownHere(lead, context);
  const suspects = suspectsOf(network, posterior).filter(({ cause }) => !isAbsent(cause));
  const judged = gatherCandidates(library, suspects, context).map((one) => judge(one, context));
  const { allowed, hidden } = sift(judged, lead, context);
  // Without any report there is nothing yet to do something about.
  const open = lead === null && reports === 0 ? [] : withoutLesserEnds(allowed, lead);
  const chosen = chooseSteps(open, today, lead?.cause.id ?? null);
  const considered = chosen.length === 0 ? [] : [...chosen, ...toCome(judged, today)];
  const verdict = verdictOf(lead, considered, context);
  const known = namedCauses(network, posterior);
  const named = verdict === 'find-out' ? known.slice(0, 1) : known;
  const missing = lead && isCareTopic(lead.cause) ? ASK_AGAIN : FIND_OUT;
  const ask: Step[] = verdict === 'find-out' ? [{ ...missing, when: atOnce(today) }] : [];
  const confirm = lead ? confirmStep(lead, verdict, today) : [];
  const inOrder = leadFirst(named, lead);
  const steps = [
    ...(confirm.length > 0 ? confirm : ask),
    ...chosen.map((one) => toStep(one, inOrder, context)),
  ];
  return {
    verdict,
    headline: headlineOf(verdict, lead, named, considered, context),
    steps,
    cautions: planCautions(context, lead, distinct([...named, ...dangerous(suspects)]), chosen),
    refer: distinct(chosen.flatMap(({ referTo }) => referTo)),
    notDoing: notDoing(named, hidden),
    differ: viewsOn(library, named, chosen),
    lookAgain: lookAgainOn(lead, verdict, chosen, today),
  };
}

/** Of what is not known in the region nothing is treated: it is kept, photographed and reported. */
function notKnownHere(lead: Lead, context: AdviceContext): Advice {
  const { cause, probability } = lead;
  const { today } = context;
  return {
    verdict: 'professional',
    headline: { code: 'not-known-here', cause: cause.name, probability },
    steps: [{ ...REPORT, when: atOnce(today) }],
    cautions: planCautions(context, lead, [cause], []),
    refer: [cause.category === 'vertebrate' ? 'wildlife-office' : 'plant-health-office'],
    notDoing: [],
    differ: [],
    lookAgain: addDays(today, FIRST_LOOK_DAYS),
  };
}

/** From this probability on what could hurt people is warned of, whatever leads; our own judgement. */
const DANGER_KNOWN = 0.05;

/** Causes that may do people serious harm. */
const dangerous = (suspects: readonly Suspect[]): readonly Cause[] =>
  suspects.flatMap(({ cause, probability }) =>
    probability >= DANGER_KNOWN && HARM[cause.harm.people] >= HARM.serious ? [cause] : [],
  );

function planCautions(
  context: AdviceContext,
  lead: Lead | null,
  named: readonly Cause[],
  chosen: readonly Chosen[],
): readonly Caution[] {
  const poisonous: readonly Caution[] =
    context.traits.poisonous === true ? [{ code: 'poisonous-plant' }] : [];
  const ofCauses = named.flatMap(({ cautions }) =>
    cautions.map((text): Caution => ({ code: 'library', text })),
  );
  const ofSteps = chosen.flatMap(({ planCautions }) => planCautions);
  // An answer about care diagnoses nothing.
  const presumptive: readonly Caution[] =
    lead && (isCareTopic(lead.cause) || context.confirmed.has(lead.cause.id))
      ? []
      : [{ code: 'presumptive', channel: context.channel }];
  return distinct([...presumptive, ...poisonous, ...lawsOnPlant(context), ...ofCauses, ...ofSteps]);
}
