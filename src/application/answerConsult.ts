import type { Finding } from '../core/schema/finding.ts';
import type { Consultant, Consultation, RankedCause } from '../core/consult/consult.ts';
import type { Answer, Enquiry } from '../core/consult/enquiry.ts';
import type { Answered } from '../core/advice/replies.ts';
import type { Urgent } from '../core/advice/urgent.ts';
import { causeOfLaboratory, type LaboratoryResult } from '../core/diagnosis/laboratory.ts';
import { laboratoryLabel } from '../wording/evidence.ts';
import { firstQuantity } from '../core/schema/amount.ts';
import type { Job } from '../core/advice/forSize.ts';
import { benchLink } from './benchLink.ts';
import type { Step } from '../core/advice/plan.ts';
import { isPesticide } from '../core/advice/safetyRules.ts';
import type { Question } from '../core/questions/questions.ts';
import { CHANGE_QUESTION } from '../core/questions/candidateChange.ts';
import { PLANT_QUESTION } from '../core/questions/candidates.ts';
import {
  REQUEST_PSEUDO_FINDING,
  TEXT_SIMILARITY_PSEUDO_FINDING,
  TROUBLE_PSEUDO_FINDING,
} from '../core/diagnosis/textEvidence.ts';
import type { Argument } from '../core/diagnosis/explain.ts';
import type { Experience } from '../core/diagnosis/learning.ts';
import { isAsking } from '../core/knowledge/careTopics.ts';
import type { Compiled } from '../core/library/compile.ts';
import type { CauseId, FindingId, PlantId } from '../core/schema/common.ts';
import { onNarrowLeaf } from '../core/schema/plate.ts';
import { regionOf } from '../core/schema/region.ts';
import { fail, ok, type Result } from '../core/util/result.ts';
import { findPlants } from '../core/language/plantNames.ts';
import { tokenize } from '../core/language/tokens.ts';
import { isoDay, parseDay, type Day } from '../core/timing/calendar.ts';
import type { WeatherDay } from '../core/timing/weather.ts';
import {
  cautionText,
  headlineText,
  notDoingText,
  referralText,
  stepText,
  whenText,
} from '../wording/advice.ts';
import { answerText } from '../wording/answers.ts';
import { amountText, measureDoubtText, sizeText } from '../wording/amounts.ts';
import {
  askedLabel,
  deniedLabel,
  REQUEST_LABEL,
  TEXT_SIMILARITY_LABEL,
  TROUBLE_LABEL,
} from '../wording/evidence.ts';
import { assumedText, stepAmountText } from '../wording/stepAmounts.ts';
import { conflictText, openQuestion, stoppingText } from '../wording/questions.ts';
import {
  consultRequestSchema,
  HANDLED,
  type ConsultRequest,
  type ConsultResponse,
  type Seen,
} from '../contracts/consult.ts';
import { allInSpelling, type Spelling } from '../wording/spelling.ts';
import { problemFrom, type Problem } from '../contracts/problem.ts';

const DEFAULT_SURE = 0.85;
const OWN_WORDS_CONFIDENCE = 1;

function resolvePlant(
  library: Compiled,
  name: string | undefined,
): Result<PlantId | null, Problem> {
  if (name === undefined) return ok(null);
  const byId = [...library.plants.keys()].find((id) => id === name);
  const plant = byId ?? findPlants(library.plantNames, tokenize(name))[0]?.plant;
  if (plant !== undefined) return ok(plant);
  return fail({
    code: 'unknown-plant',
    field: 'plant',
    message: `No plant "${name.slice(0, 60)}" in the library.`,
    cure: 'Give a name such as "tomato" or a group such as "tree", or leave the field out.',
  });
}

function unknownFinding(id: string, field: string): Problem {
  return {
    code: 'unknown-finding',
    field,
    message: `No finding or group "${id.slice(0, 60)}" in the library.`,
    cure: 'Use an id from "heard" or "ask" of an earlier answer.',
  };
}

function findFinding(library: Compiled, id: string): FindingId | null {
  return [...library.findings.values()].find((finding) => finding.id === id)?.id ?? null;
}

/** The plant of the request, or the one given as an answer to the question for it. */
function requestedPlant(request: ConsultRequest): string | undefined {
  const told = request.answers.find(({ finding }) => finding === PLANT_QUESTION)?.value;
  return request.plant ?? (typeof told === 'string' && told !== 'unknown' ? told : undefined);
}

function findCause(library: Compiled, id: string): CauseId | null {
  return [...library.causes.values()].find((cause) => cause.id === id)?.id ?? null;
}

/** Experience of causes that the library no longer holds is left out. */
function toExperience(library: Compiled, seen: readonly Seen[]): Experience {
  return new Map(
    seen.flatMap(({ cause, cases }) => {
      const id = findCause(library, cause);
      return id === null ? [] : [[id, cases] as const];
    }),
  );
}

/** Results about causes of this library; a case may name some that are no longer in it. */
function toResults(library: Compiled, tests: ConsultRequest['tests']): readonly LaboratoryResult[] {
  return tests.flatMap(({ cause, found }) => {
    const id = findCause(library, cause);
    return id === null ? [] : [{ cause: id, found }];
  });
}

/** Questions that stand for no finding or group. */
const OPEN_QUESTIONS: readonly string[] = [PLANT_QUESTION, CHANGE_QUESTION];

/** One answer of the request; `finding` may be a group, and then the value is the choice. */
function resolveAnswer(
  library: Compiled,
  { finding: asked, value, sure = DEFAULT_SURE }: ConsultRequest['answers'][number],
  index: number,
): Result<Answer, Problem> {
  const finding = findFinding(library, asked);
  if (value === 'unknown') {
    return OPEN_QUESTIONS.includes(asked) || finding !== null || library.groups.has(asked)
      ? ok({ kind: 'unknown', asked })
      : fail(unknownFinding(asked, `answers.${index}.finding`));
  }
  if (typeof value === 'string') {
    const choice = findFinding(library, value);
    return choice === null
      ? fail(unknownFinding(value, `answers.${index}.value`))
      : ok({ kind: 'answered', finding: choice, value: true, sure });
  }
  return finding === null
    ? fail(unknownFinding(asked, `answers.${index}.finding`))
    : ok({ kind: 'answered', finding, value, sure });
}

/** Days of a request or of the clinic's station as the core takes them, in order. */
export function observedDays(days: ConsultRequest['weather']): readonly WeatherDay[] {
  return days
    .flatMap(({ day, ...values }) => {
      const read = parseDay(day);
      return read.ok ? [{ day: read.value, ...values }] : [];
    })
    .sort((a, b) => a.day - b.day);
}

const STATE_ALONE: Problem = {
  code: 'invalid-field',
  field: 'state',
  message: 'A state is known only with its country.',
  cure: 'Send "country" too, for example "us" with "me".',
};

function toEnquiry(library: Compiled, request: ConsultRequest): Result<Enquiry, Problem> {
  const today = parseDay(request.date);
  if (!today.ok) throw new Error('the date was checked by the schema');
  const plant = resolvePlant(library, requestedPlant(request));
  if (!plant.ok) return plant;
  const answers: Answer[] = [];
  const handled = new Set<string>();
  for (const [index, one] of request.answers.entries()) {
    if (one.finding === PLANT_QUESTION && one.value !== 'unknown') continue;
    if (one.finding.startsWith(HANDLED)) {
      if (one.value === true) handled.add(one.finding.slice(HANDLED.length));
      continue;
    }
    const answer = resolveAnswer(library, one, index);
    if (!answer.ok) return answer;
    answers.push(answer.value);
  }
  const { words, place, channel, approach, country = null, state = null } = request;
  if (state !== null && country === null) return fail(STATE_ALONE);
  const experience = toExperience(library, request.experience);
  const asked = {
    words,
    today: today.value,
    place,
    plant: plant.value,
    channel,
    approach,
    region: regionOf(country, state),
  };
  const results = toResults(library, request.tests);
  const weather = observedDays(request.weather);
  return ok({ ...asked, answers, handled, experience, results, weather });
}

const round = (value: number, digits: number): number => Number(value.toFixed(digits));

function describePlant(library: Compiled, id: PlantId) {
  const plant = library.plants.get(id);
  return { id, name: plant?.name ?? id, scientificName: plant?.scientific ?? null };
}

function describePlants(
  library: Compiled,
  found: Consultation,
  set: PlantId | null,
): ConsultResponse['plant'] {
  const others = found.plants.map(({ plant, confidence }) => ({
    ...describePlant(library, plant),
    confidence: round(confidence, 3),
  }));
  if (set !== null) {
    const alternatives = others.filter(({ id }) => id !== set);
    return { ...describePlant(library, set), confidence: OWN_WORDS_CONFIDENCE, alternatives };
  }
  const [first, ...alternatives] = others;
  return first ? { ...first, alternatives } : null;
}

function labelOf(library: Compiled, id: FindingId): string {
  if (id === TEXT_SIMILARITY_PSEUDO_FINDING) return TEXT_SIMILARITY_LABEL;
  if (id === REQUEST_PSEUDO_FINDING) return REQUEST_LABEL;
  if (id === TROUBLE_PSEUDO_FINDING) return TROUBLE_LABEL;
  const tested = causeOfLaboratory(id);
  if (tested !== null) return laboratoryLabel(nameOf(library, tested));
  const label = library.findings.get(id)?.label ?? id;
  return isAsking(id) ? askedLabel(label) : label;
}

/** Parameters of the drawing of a finding on a plant; a question may also be about a group or a plant, which have none. */
function platesOn(library: Compiled, plant: PlantId | null): (id: string) => string | null {
  const findings: ReadonlyMap<string, Finding> = library.findings;
  const narrow = plant !== null && library.taxonomy.traits(plant).narrowLeaf === true;
  return (id) => {
    const plate = findings.get(id)?.plate;
    if (plate === undefined || plate === 'none') return null;
    return narrow ? onNarrowLeaf(plate) : plate;
  };
}

function describeArguments(library: Compiled, list: readonly Argument[]) {
  return list.map(({ finding, value, decibans }) => ({
    finding,
    label: value ? labelOf(library, finding) : deniedLabel(labelOf(library, finding)),
    decibans: round(decibans, 1),
  }));
}

function nameOf(library: Compiled, id: CauseId): string {
  return library.causes.get(id)?.name ?? id;
}

function describeCause(library: Compiled, ranked: RankedCause): ConsultResponse['causes'][number] {
  const { cause, probability, versus, seenHere, presence } = ranked;
  const list = describeArguments(library, ranked.arguments);
  return {
    id: cause.id,
    name: cause.name,
    scientificName: cause.scientific ?? null,
    aliases: cause.aliases,
    category: cause.category,
    probability: round(probability, 4),
    for: list.filter(({ decibans }) => decibans > 0),
    against: list.filter(({ decibans }) => decibans < 0),
    say: cause.say,
    expect: cause.expect ?? null,
    lookAlikes: cause.lookAlikes.map(({ id, tells }) => ({
      id,
      name: nameOf(library, id),
      tells,
    })),
    source: cause.source,
    versus: versus && {
      id: versus.rival,
      name: nameOf(library, versus.rival),
      arguments: describeArguments(library, versus.arguments),
    },
    here: presence,
    seenHere: seenHere && { cases: round(seenHere.cases, 2), factor: round(seenHere.factor, 2) },
  };
}

function describeAnswer(
  answered: Answered,
  words: string,
  today: Day,
): ConsultResponse['advice']['answers'][number] {
  const { request, reply } = answered;
  return {
    span: [request.span.start, request.span.end],
    request: request.kind,
    asked: words.slice(request.span.start, request.span.end),
    text: answerText(answered, today),
    steps: reply.code === 'steps' ? reply.steps.map(({ id }) => id) : [],
  };
}

function describeAmount(
  { amount, worked, measure }: Pick<Step, 'amount' | 'worked' | 'measure'>,
  job: Job,
): ConsultResponse['advice']['steps'][number]['amount'] {
  const text = stepAmountText(amount, worked);
  if (text === '') return null;
  const own = worked.forSize?.quantity ?? (amount && firstQuantity(amount));
  return {
    text,
    value: own ? round(own.from, 2) : null,
    unit: own?.unit ?? null,
    assumed: worked.assumed.map(assumedText),
    bench: benchLink({ amount, measure }, job),
  };
}

function describeAdvice(
  { advice, answers, context: { job } }: Consultation,
  { words, today }: Enquiry,
): ConsultResponse['advice'] {
  return {
    verdict: advice.verdict,
    headline: headlineText(advice.headline, today),
    answers: answers.map((one) => describeAnswer(one, words, today)),
    steps: advice.steps.map(
      ({ id, text, rung, when, cautions, amount, worked, measure, work }) => ({
        id,
        name: work?.treatment.name ?? null,
        text: stepText(text),
        rung,
        when: {
          from: isoDay(when.from),
          to: when.to === null ? null : isoDay(when.to),
          note: whenText(when.state, today),
        },
        cautions: cautions.map(cautionText),
        amount: describeAmount({ amount, worked, measure }, job),
        product: work !== null && isPesticide(work.treatment),
      }),
    ),
    cautions: advice.cautions.map(cautionText),
    refer: advice.refer.map(referralText),
    referTo: [...advice.refer],
    notDoing: advice.notDoing.map(({ text, why }) => ({ text, why: notDoingText(why) })),
    differ: advice.differ.map(({ over, here, others, why }) => ({ over, here, others, why })),
    lookAgain: isoDay(advice.lookAgain),
  };
}

function describeQuestion({ question, how }: Question): { question: string; how: string | null } {
  return typeof question === 'string' ? { question, how } : openQuestion(question);
}

function describeUrgent({ danger, span, calls }: Urgent): ConsultResponse['urgent'] {
  const { id, name, say } = danger;
  return { kind: id, name, say, span: [span.start, span.end], call: [...calls] };
}

function toResponse(library: Compiled, enquiry: Enquiry, found: Consultation): ConsultResponse {
  const { plant: set, today } = enquiry;
  const plateOf = platesOn(library, set ?? found.plants[0]?.plant ?? null);
  return {
    urgent: found.urgent && describeUrgent(found.urgent),
    plant: describePlants(library, found, set),
    parts: found.parts.map(({ plant, words }) => ({ ...describePlant(library, plant), words })),
    amounts: [
      ...found.amounts.map((amount) => ({ ...amount, text: amountText(amount, today) })),
      ...found.sizes.map((size) => ({ ...size, text: sizeText(size) })),
    ]
      .sort((a, b) => a.span.start - b.span.start)
      .map(({ kind, text, span }) => ({ kind, text, span: [span.start, span.end] })),
    heard: found.extracted.map(({ finding, value, sure, span }) => ({
      finding,
      label: labelOf(library, finding),
      part: library.findings.get(finding)?.part ?? 'whole',
      value,
      sure,
      span: [span.start, span.end],
    })),
    causes: found.causes.map((ranked) => describeCause(library, ranked)),
    explanation: [...found.explanation],
    unexplained: round(found.unexplained, 4),
    nothingWrong: round(found.nothingWrong, 4),
    ask: found.ask.map((one) => ({
      finding: one.finding,
      ...describeQuestion(one),
      seconds: one.seconds,
      worth: round(one.netValue, 3),
      plate: plateOf(one.finding),
      choices: one.choices.map((choice) => ({ ...choice, plate: plateOf(choice.finding) })),
      said: one.saidAt && [one.saidAt.start, one.saidAt.end],
      look: one.look && { id: one.look.id, say: one.look.say },
    })),
    settled: found.stopping.settled,
    settledWhy: { reason: stoppingText(found.stopping.reason), sample: found.stopping.sample },
    conflicts: [
      ...found.conflicts.map(({ findings, reason }) => ({
        findings: [...findings],
        text: conflictText(reason),
      })),
      ...found.doubts.map((doubt) => ({ findings: [], text: measureDoubtText(doubt) })),
    ],
    wouldChange: found.counterfactuals && {
      leader: {
        id: found.counterfactuals.leader,
        name: nameOf(library, found.counterfactuals.leader),
      },
      turns: found.counterfactuals.turns.map(({ names, label, value, retracts }) => ({
        finding: names,
        label,
        value,
        takesBack: retracts,
      })),
    },
    pair: found.pair.map((one) => ({
      alone: one.alone,
      name: nameOf(library, one.alone),
      arguments: describeArguments(library, one.arguments),
    })),
    advice: describeAdvice(found, enquiry),
    knowledge: { version: library.version },
  };
}

/** A checked body: what is asked, and in which spelling the answer is read. */
export interface ReadBody {
  readonly enquiry: Enquiry;
  readonly spelling: Spelling;
}

/** Checks an unknown body and resolves its names in the library. */
export function readEnquiry(library: Compiled, body: unknown): Result<ReadBody, Problem> {
  const request = consultRequestSchema.safeParse(body);
  if (!request.success) return fail(problemFrom(request.error));
  const { spelling } = request.data;
  const enquiry = toEnquiry(library, request.data);
  return enquiry.ok ? ok({ enquiry: enquiry.value, spelling }) : enquiry;
}

/** Checks an unknown body, consults, and puts the answer into the form of the contract. */
export function answerConsult(
  library: Compiled,
  consultant: Consultant,
  body: unknown,
): Result<ConsultResponse, Problem> {
  const read = readEnquiry(library, body);
  if (!read.ok) return read;
  const { enquiry, spelling } = read.value;
  return ok(allInSpelling(toResponse(library, enquiry, consultant(enquiry)), spelling));
}
