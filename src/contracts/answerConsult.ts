import type { Answer, Consultant, Consultation, Enquiry, RankedCause } from '../core/consult.ts';
import type { Compiled } from '../core/knowledge/compile.ts';
import type { FindingId, PlantId } from '../core/knowledge/schema/common.ts';
import { fail, ok, type Result } from '../core/result.ts';
import { findPlants } from '../core/language/plantNames.ts';
import { tokenize } from '../core/language/tokens.ts';
import { isoDay, parseDay } from '../core/timing/calendar.ts';
import { consultRequestSchema, type ConsultRequest, type ConsultResponse } from './consult.ts';
import { problemFrom, type Problem } from './problem.ts';

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

/** One answer of the request; `finding` may be a group, and then the value is the choice. */
function resolveAnswer(
  library: Compiled,
  { finding: asked, value, sure = DEFAULT_SURE }: ConsultRequest['answers'][number],
  index: number,
): Result<Answer, Problem> {
  const finding = findFinding(library, asked);
  if (value === 'unknown') {
    return finding !== null || library.groups.has(asked)
      ? ok({ kind: 'unknown', asked })
      : fail(unknownFinding(asked, `answers.${index}.finding`));
  }
  if (typeof value === 'string') {
    const choice = findFinding(library, value);
    return choice === null
      ? fail(unknownFinding(value, `answers.${index}.value`))
      : ok({ kind: 'told', finding: choice, value: true, sure });
  }
  return finding === null
    ? fail(unknownFinding(asked, `answers.${index}.finding`))
    : ok({ kind: 'told', finding, value, sure });
}

function toEnquiry(library: Compiled, request: ConsultRequest): Result<Enquiry, Problem> {
  const today = parseDay(request.date);
  if (!today.ok) throw new Error('the date was checked by the schema');
  const plant = resolvePlant(library, request.plant);
  if (!plant.ok) return plant;
  const answers: Answer[] = [];
  for (const [index, one] of request.answers.entries()) {
    const answer = resolveAnswer(library, one, index);
    if (!answer.ok) return answer;
    answers.push(answer.value);
  }
  const { words, place, channel, approach } = request;
  return ok({ words, today: today.value, place, plant: plant.value, channel, approach, answers });
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
  return library.findings.get(id)?.label ?? id;
}

function describeCause(library: Compiled, ranked: RankedCause): ConsultResponse['causes'][number] {
  const { cause, probability } = ranked;
  const list = ranked.arguments.map(({ finding, decibans }) => ({
    finding,
    label: labelOf(library, finding),
    decibans: round(decibans, 1),
  }));
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
      name: library.causes.get(id)?.name ?? id,
      tells,
    })),
    source: cause.source,
  };
}

function describeAdvice({ advice }: Consultation): ConsultResponse['advice'] {
  return {
    verdict: advice.verdict,
    headline: advice.headline,
    steps: advice.steps.map(({ id, text, rung, when, cautions }) => ({
      id,
      text,
      rung,
      when: {
        from: isoDay(when.from),
        to: when.to === null ? null : isoDay(when.to),
        note: when.note,
      },
      cautions: [...cautions],
    })),
    cautions: [...advice.cautions],
    refer: [...advice.refer],
    notDoing: advice.notDoing.map(({ text, why }) => ({ text, why })),
    lookAgain: isoDay(advice.lookAgain),
  };
}

function toResponse(library: Compiled, set: PlantId | null, found: Consultation): ConsultResponse {
  return {
    plant: describePlants(library, found, set),
    heard: found.heard.map(({ finding, value, sure, span }) => ({
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
    ask: found.ask.map(({ finding, question, how, seconds, worth, choices }) => ({
      finding,
      question,
      how,
      seconds,
      worth: round(worth, 3),
      choices: [...choices],
    })),
    settled: found.settled,
    advice: describeAdvice(found),
    knowledge: { version: library.version },
  };
}

/** Checks an unknown body, consults, and puts the answer into the form of the contract. */
export function answerConsult(
  library: Compiled,
  consultant: Consultant,
  body: unknown,
): Result<ConsultResponse, Problem> {
  const request = consultRequestSchema.safeParse(body);
  if (!request.success) return fail(problemFrom(request.error));
  const enquiry = toEnquiry(library, request.data);
  if (!enquiry.ok) return enquiry;
  return ok(toResponse(library, enquiry.value.plant, consultant(enquiry.value)));
}
