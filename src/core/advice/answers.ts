import { isCareTopic } from '../knowledge/careTopics.ts';
import { asksForStronger, saidMix } from '../measures/label/labelRate.ts';
import type { Act, Request } from '../language/requests.ts';
import { HARM } from '../schema/scale.ts';
import type { Cause } from '../schema/cause.ts';
import { whyNothing } from './letBe.ts';
import { RUNGS, type Treatment } from '../schema/treatment.ts';
import { hiddenBy } from './approach.ts';
import type { AssessedTreatment } from './safetyJudge.ts';
import type { Step } from './plan.ts';
import type { AdviceContext } from './context.ts';
import { distinct, type Caution } from './messages.ts';
import { isPesticide } from './safetyRules.ts';
import type { Lead } from './verdict.ts';
import { contentOf, speaksOf } from './sameThing.ts';
import { NAMED, theoryIn } from './theories.ts';
import type { Answerable, Answered, Reply } from './replies.ts';

const MAX_STEPS = 3;
/** Words by which the texts of the library speak of each kind of work. */
const SPEAKS_OF: Readonly<Record<Act, RegExp>> = {
  spray: /\b(spray|dust|apply)/i,
  cut: /\b(prun|cut|trim|shear|pinch|clip|deadhead)/i,
  feed: /\b(fertili[sz]|feed|nitrogen)/i,
  water: /\b(water|soak)/i,
  move: /\b(mov|transplant|repot|divid)/i,
  remove: /\b(remov|dig|pull|destroy|throw|discard|rub|wash|scrap|pick)/i,
  lime: /\b(lime|sulfur)/i,
  compost: /\bcompost/i,
};

/** Steps of the plan against the leading cause, without what is found out first; those against others where there is none. */
function doable({ advice }: Answerable): readonly Step[] {
  const steps = advice.steps.filter(({ work }) => work !== null);
  const own = steps.filter(({ text }) => text.code !== 'library' || text.against === null);
  return own.length > 0 ? own : steps;
}

const textOf = ({ text }: Step): string => (text.code === 'library' ? text.text : '');

function isWork({ classes, name, text }: Treatment, said: string, act: Act): boolean {
  return act === 'spray' ? classes.length > 0 : SPEAKS_OF[act].test(`${name} ${said || text}`);
}

const doesWork = (step: Step, act: Act): boolean =>
  step.work !== null && isWork(step.work.treatment, textOf(step), act);

const stepsFrom = (
  opening: 'yes' | 'none',
  steps: readonly Step[],
): Extract<Reply, { code: 'steps' }> => ({
  code: 'steps',
  opening,
  steps: steps.slice(0, MAX_STEPS),
  products: [],
});

function identify({ lead, ranked }: Answerable): Reply {
  if (lead && lead.probability >= NAMED)
    return { code: 'named', cause: lead.cause.name, probability: lead.probability };
  return {
    code: 'unclear',
    causes: ranked.slice(0, MAX_STEPS).map(({ cause }) => cause.name),
  };
}

/** Harm by its worst part. */
function harmOf({ harm }: Cause): Reply {
  const { pace, ...parts } = harm;
  const worst = Object.values(parts).reduce((a, b) => (HARM[b] > HARM[a] ? b : a));
  return { code: 'harm', worst, pace };
}

function isProblem({ advice, lead, context }: Answerable): Reply {
  if (!lead || advice.verdict === 'find-out') return { code: 'find-out-first' };
  const left = whyNothing(lead.cause, context);
  return left === null ? harmOf(lead.cause) : { code: 'library', text: left };
}

const saidIn = ({ words }: Answerable, { span }: Request): string =>
  words.slice(span.start, span.end);

/** Work that has no name here ("put onions there", "set a trap"): what the plan, its warnings or what it does without say of the same things. */
function unnamedWork(about: Answerable, request: Request): Reply {
  const content = contentOf(saidIn(about, request));
  const refused = about.advice.notDoing.find(({ text }) => speaksOf(text, content));
  if (refused) return { code: 'no', ...refused };
  const steps = doable(about).filter((step) => speaksOf(textOf(step), content));
  if (steps.length > 0) return stepsFrom('none', steps);
  const others = about.options.filter(({ candidate: { treatment, text } }) =>
    speaksOf(`${treatment.name} ${text}`, content),
  );
  return outsidePlan(others, about.context) ?? { code: 'not-covered' };
}

/** To cut something off and to pick it off are one thing to who asks. */
const TAKING_OFF: readonly Act[] = ['cut', 'remove'];

/** Steps that take off what is asked about: "cut off the spotted leaves" asks for "pick off spotted leaves". */
function ofSameThing(
  about: Answerable,
  request: Request,
  act: Act,
  steps: readonly Step[],
): readonly Step[] {
  if (!TAKING_OFF.includes(act)) return [];
  const content = contentOf(saidIn(about, request));
  return steps.filter(
    (step) => speaksOf(textOf(step), content) && TAKING_OFF.some((one) => doesWork(step, one)),
  );
}

/** "May I": what the plan does, what it refuses and why, or that nothing calls for it. */
function mayDo(about: Answerable, request: Request): Reply {
  const { advice, lead } = about;
  const { act } = request;
  const steps = doable(about);
  if (act === null) return unnamedWork(about, request);
  const done = steps.filter((step) => doesWork(step, act));
  const refused = advice.notDoing.find(({ text }) => SPEAKS_OF[act].test(text));
  const asked = ofSameThing(about, request, act, steps);
  if (asked.length > 0) return stepsFrom('yes', asked);
  if (done.length > 0) return stepsFrom('yes', done);
  if (refused) return { code: 'no', ...refused };
  if (!lead || advice.verdict === 'find-out') return { code: 'find-out-first' };
  const others = about.options.filter(({ candidate }) =>
    isWork(candidate.treatment, candidate.text, act),
  );
  return outsidePlan(others, about.context) ?? { code: 'no-need', act, cause: lead.cause.name };
}

/** Work that the plan does without: kept for later, forbidden, hidden by the approach, or for others to do. Null where there is none. */
function outsidePlan(
  options: readonly AssessedTreatment[],
  { approach }: AdviceContext,
): Reply | null {
  const others = options.map(
    ({ candidate: { treatment, text }, forbidden, referTo, cautions }) => ({
      ...{ text: treatment.name, how: text, referTo, cautions },
      why: forbidden ?? hiddenBy(approach, treatment),
    }),
  );
  const allowed = others.filter(({ why }) => why === null);
  const open = allowed.filter(({ referTo }) => referTo.length === 0);
  const [first] = open;
  if (first) {
    const treatments = open.slice(0, MAX_STEPS).map(({ text }) => text);
    return { code: 'not-first', treatments, how: first.how };
  }
  for (const { text, why } of others) if (why !== null) return { code: 'no', text, why };
  const [referred] = allowed;
  if (!referred) return null;
  const { how, referTo: to, cautions } = referred;
  return { code: 'referred', to, how, cautions };
}

function how(about: Answerable): Reply {
  const steps = doable(about);
  if (steps.length > 0 && about.advice.verdict !== 'find-out') return stepsFrom('none', steps);
  const left = about.lead ? whyNothing(about.lead.cause, about.context) : null;
  return left === null ? { code: 'find-out-first' } : { code: 'library', text: left };
}

/** The steps with dates, of the work that is asked about where the plan has it. */
function when(about: Answerable, act: Act | null): Reply {
  const steps = doable(about).filter((step) => act !== null && doesWork(step, act));
  return steps.length > 0 && about.advice.verdict !== 'find-out'
    ? stepsFrom('none', steps)
    : how(about);
}

function whatProduct(about: Answerable): Reply {
  const steps = doable(about);
  const products = steps.filter(({ work }) => work !== null && work.treatment.classes.length > 0);
  if (products.length > 0) return stepsFrom('none', products);
  if (steps.length === 0 || !about.lead || about.advice.verdict === 'find-out') return how(about);
  return { ...stepsFrom('none', steps), products: productsKept(about) };
}

/** Products that would help, may be used and are not in the plan, the mildest first. */
function productsKept({ options, context }: Answerable): readonly string[] {
  return options
    .filter(({ candidate: { treatment }, forbidden, referTo }) => {
      const isOpen = forbidden === null && referTo.length === 0;
      return isOpen && isPesticide(treatment) && hiddenBy(context.approach, treatment) === null;
    })
    .map(({ candidate: { treatment } }) => treatment)
    .sort((a, b) => RUNGS.indexOf(a.rung) - RUNGS.indexOf(b.rung))
    .slice(0, 2)
    .map(({ name }) => name);
}

const HAS_AMOUNT = /\d|\b(once|twice|daily|weekly|every)\b/i;
const hasAmount = (step: Step): boolean =>
  (step.amount !== null && step.amount.parts.length > 0) || HAS_AMOUNT.test(textOf(step));

/** A second question of care about other work than the first: "how much water, and should I feed it". Null where it is the same. */
function otherCare(about: Answerable, { act }: Request): Reply | null {
  if (act === null || isAskedOf(about, act)) return null;
  const other = about.ranked.find(
    ({ cause }) => isCareTopic(cause) && SPEAKS_OF[act].test(`${cause.name} ${cause.say}`),
  );
  return other ? { code: 'library', text: other.cause.say } : null;
}

/** A question of care: what the library says of it, and where it is asked how much, the steps that have an amount. */
function careSaid(about: Answerable, { kind, act }: Request, { cause }: Lead): Reply {
  const steps = kind === 'how-much' ? doable(about).filter(hasAmount) : [];
  const asked = steps.filter((step) => act !== null && doesWork(step, act));
  const counted = (asked.length > 0 ? asked : steps).slice(0, MAX_STEPS);
  return counted.length === 0
    ? { code: 'library', text: cause.say }
    : { code: 'care', say: cause.say, steps: counted, cautions: [] };
}

function howMuch(about: Answerable, act: Act | null): Reply {
  const steps = doable(about).filter((step) => act === null || doesWork(step, act));
  const counted = steps.filter(hasAmount);
  if (counted.length > 0) return stepsFrom('none', counted);
  const product = steps.some(({ work }) => work !== null && isPesticide(work.treatment));
  return { code: product ? 'amount-on-label' : 'no-amount' };
}

/** "Grubs eat the leaves" says nothing of whether people may; what warns goes before what allows. */
const NOT_TO_EAT = /\b(not (be )?eat(en)?|deadly to eat|inedible)\b/i;
const TO_EAT = /\b((good|safe|fine|harmless) to eat|is edible)\b/i;
const HURTS =
  /\b(poison\w*|toxic|harmless to (people|pets)|pets?|children|dogs?|cats?|allerg\w*)\b/i;

/** The sentence of the library that speaks of this, from what it says of the cause and of the plan. */
function saidOf({ advice, lead }: Answerable, about: RegExp): string | null {
  const texts = [
    ...(lead ? [lead.cause.say, lead.cause.leave ?? '', lead.cause.expect ?? ''] : []),
    ...advice.cautions.map((one) => (one.code === 'library' ? one.text : '')),
    ...advice.steps.map(textOf),
  ];
  return texts.flatMap((text) => text.split(/(?<=[.!])\s+/)).find((one) => about.test(one)) ?? null;
}

function eat(about: Answerable): Reply {
  const { advice, context } = about;
  const warned = saidOf(about, NOT_TO_EAT);
  if (warned !== null) return { code: 'library', text: warned };
  if (context.traits.poisonous === true) return { code: 'poisonous' };
  const said = saidOf(about, TO_EAT);
  if (said !== null) return { code: 'library', text: said };
  const sprayed = advice.cautions.some(({ code }) => code === 'days-to-harvest');
  const grownToEat = (context.traits.edible ?? 'none') !== 'none';
  return { code: sprayed && grownToEat ? 'harvest-on-label' : 'eat-not-known' };
}

function isSafe(about: Answerable): Reply {
  const { advice, context } = about;
  if (context.traits.poisonous === true) return { code: 'poisonous' };
  const said = saidOf(about, HURTS);
  if (said !== null) return { code: 'safe-said', text: said };
  const product = advice.cautions.some(({ code }) => code === 'keep-away-until-dry');
  return { code: product ? 'safe-until-dry' : 'safe-not-known' };
}

function replace(about: Answerable): Reply {
  const steps = doable(about).filter(({ rung }) => rung === 'replace');
  return steps.length > 0 ? stepsFrom('none', steps) : { code: 'replace-not-known' };
}

/** What a label that was read out answers: how much goes into the tank, and that no more is right. Null for other requests. */
function labelReply(request: Request, about: Answerable): Reply | null {
  if (asksForStronger(saidIn(about, request))) return { code: 'no-stronger' };
  const isOfMix = request.kind === 'how-much' && (request.act === null || request.act === 'spray');
  const mix = isOfMix ? saidMix(about.words) : null;
  return mix && { code: 'mix', ...mix };
}

/** The sum itself where it is asked how much, or how many. */
const sumReply = ({ kind }: Request, { sum }: Answerable): Reply | null =>
  sum && kind === 'how-much' ? { code: 'sum', ...sum } : null;

/** Work that a test report decides; a request that names no work asks what to do after the test. */
const BY_REPORT: readonly (Act | null)[] = ['feed', 'lime', 'compost', null];
const NOT_BY_REPORT: ReadonlySet<Request['kind']> = new Set(['theory', 'eat', 'safe', 'replace']);
/** What a soil holds that decides whether its crops are eaten. */
const NOT_TO_EAT_FROM = 'lead';

/** What the report says, in answer to what it decides. Null without a report and for other requests. */
function reportReply({ kind, act }: Request, { report }: Answerable): Reply | null {
  const decidesFood = report?.said.warns.some(({ element }) => element === NOT_TO_EAT_FROM);
  const isDecided =
    (BY_REPORT.includes(act) && !NOT_BY_REPORT.has(kind)) ||
    (kind === 'eat' && decidesFood === true);
  return report && isDecided ? { code: 'report', ...report } : null;
}

function replyTo(request: Request, about: Answerable): Reply | null {
  const { lead, advice } = about;
  const byNumbers =
    labelReply(request, about) ?? sumReply(request, about) ?? reportReply(request, about);
  if (byNumbers) return byNumbers;
  if (request.kind === 'theory') return theoryIn(about.ranked, saidIn(about, request));
  if (lead && isCareTopic(lead.cause) && advice.verdict !== 'find-out')
    return otherCare(about, request) ?? careSaid(about, request, lead);
  switch (request.kind) {
    case 'identify':
      return identify(about);
    case 'is-problem':
      return isProblem(about);
    case 'may-do':
      return mayDo(about, request);
    case 'how':
      return how(about);
    case 'when':
      return when(about, request.act);
    case 'what-product':
      return whatProduct(about);
    case 'how-much':
      return howMuch(about, request.act);
    case 'eat':
      return eat(about);
    case 'safe':
      return isSafe(about);
    case 'replace':
      return replace(about);
    case 'numbers':
      return null;
  }
}

/** "May I" asks for leave to do what the plan does, or refuses; "when" and "how" ask for the care of the plant. */
function isOfPlan(reply: Reply | null, { kind }: Request): boolean {
  if (kind !== 'may-do' && kind !== 'what-product') return false;
  return reply?.code === 'no' || (reply?.code === 'steps' && reply.opening === 'yes');
}

/** The question of care speaks of the work that is asked about, where one is named. */
function isAskedOf({ lead, advice }: Answerable, act: Act | null): boolean {
  if (act === null) return true;
  return [lead?.cause.name ?? '', ...advice.steps.map(textOf)].some((text) =>
    SPEAKS_OF[act].test(text),
  );
}

/** What the law of the place says of a step stands with no step of the plan where its question is beside a trouble. */
const isOfLaw = (caution: Caution): boolean =>
  caution.code === 'local-law' ||
  (caution.code === 'postponed' && caution.why.code === 'local-law');

/**
 * The answer to a request beside a trouble, where its words ask a question of care: `care` is the advice on
 * that question. Null where it does not speak of the work that is asked about, or the plan against the trouble does or
 * refuses it.
 */
export function careReply(request: Request, plan: Answerable, care: Answerable): Reply | null {
  if (!care.lead || request.kind === 'theory' || !isAskedOf(care, request.act)) return null;
  if (isOfPlan(replyTo(request, plan), request)) return null;
  const steps = doable(care).slice(0, MAX_STEPS);
  const ofLaw = steps.flatMap(({ cautions }) => cautions.filter(isOfLaw));
  return {
    code: 'care',
    say: care.lead.cause.say,
    steps,
    cautions: distinct([...care.advice.cautions, ...ofLaw]),
  };
}

/**
 * An answer of its own for each request, in the order of the text. A theory is answered where the library knows what
 * it means; every other request always is, if only by what must be found out first.
 */
export function answerRequests(
  requests: readonly Request[],
  about: Answerable,
): readonly Answered[] {
  return requests.flatMap((request) => {
    const reply = replyTo(request, about);
    return reply ? [{ request, reply }] : [];
  });
}
