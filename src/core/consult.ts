import { planAdvice, type Advice } from './advice/plan.ts';
import type { AdviceContext, Approach, Channel } from './advice/context.ts';
import { findConflicts, type Conflict, type SameWords } from './diagnosis/conflicts.ts';
import {
  argumentsBetween,
  argumentsFor,
  pairArguments,
  type Argument,
  type PairArgument,
} from './diagnosis/explain.ts';
import type { Report } from './diagnosis/evidence.ts';
import type { Experience } from './diagnosis/learning.ts';
import { buildNetwork, FIRST_SINGLE, type Network } from './diagnosis/network.ts';
import { whatWouldChange, type Overturning } from './diagnosis/overturn.ts';
import { weighAll, type Weighing } from './diagnosis/posterior.ts';
import { silenceWeight } from './diagnosis/silence.ts';
import { findQuestions, rankSamples, type Inquiry, type Question } from './diagnosis/questions.ts';
import { settle, type Settled } from './diagnosis/settled.ts';
import { isRelevant } from './diagnosis/weigh.ts';
import { makeEar } from './ear.ts';
import type { Compiled } from './knowledge/compile.ts';
import type { Cause } from './knowledge/schema/cause.ts';
import type { CauseId, FindingId, PlantId } from './knowledge/schema/common.ts';
import { hear, type Heard, type HeardFinding } from './language/hear.ts';
import type { Token } from './language/tokens.ts';
import { likeness } from './language/descriptions.ts';
import { mixedUpLengths, oddLengths, type SaidLength } from './language/measures.ts';
import { partByPlant, type PlantPart } from './language/severalPlants.ts';
import type { RankedPlant } from './language/plantNames.ts';
import { createAlmanacs, type Almanac } from './timing/almanac.ts';
import type { Coordinates } from './timing/climate.ts';
import type { Day } from './timing/calendar.ts';

/** One answer given by the enquirer, or one correction by the advisor; it outweighs what was heard. */
export type Answer =
  | {
      readonly kind: 'told';
      readonly finding: FindingId;
      readonly value: boolean;
      readonly sure: number;
    }
  /** The enquirer cannot tell; `asked` is the id of the finding or group, which is not asked again. */
  | { readonly kind: 'unknown'; readonly asked: string };

/** An enquiry about one plant. */
export interface Enquiry {
  readonly words: string;
  readonly today: Day;
  readonly place: Coordinates;
  /** Set by the advisor; otherwise the plant is taken from the words. */
  readonly plant: PlantId | null;
  readonly channel: Channel;
  readonly approach: Approach;
  readonly answers: readonly Answer[];
  /** The clinic's confirmed cases; empty leaves the library's own idea of what is common. */
  readonly experience: Experience;
}

/** A cause in the ranking, with what speaks for and against it. */
export interface RankedCause {
  readonly cause: Cause;
  readonly probability: number;
  /** Against nothing wrong. */
  readonly arguments: readonly Argument[];
  /** Against the leader; for the leader itself, against the second. */
  readonly versus: { readonly rival: CauseId; readonly arguments: readonly Argument[] } | null;
  /** Weighted confirmed cases of the clinic, and by how much they make it likelier before any evidence. */
  readonly seenHere: { readonly cases: number; readonly factor: number } | null;
}

/** The whole answer to an enquiry. */
export interface Consultation {
  readonly plants: readonly RankedPlant[];
  /** What is said of each plant, when the words are about several. */
  readonly parts: readonly PlantPart[];
  readonly heard: readonly HeardFinding[];
  readonly causes: readonly RankedCause[];
  readonly explanation: readonly CauseId[];
  readonly nothingWrong: number;
  readonly unexplained: number;
  readonly ask: readonly Question[];
  readonly settled: Settled;
  readonly conflicts: readonly Conflict[];
  readonly overturning: Overturning | null;
  readonly pair: readonly PairArgument[];
  readonly advice: Advice;
}

/** Answers enquiries from a compiled library. Pure: the same enquiry always gives the same answer. */
export type Consultant = (enquiry: Enquiry) => Consultation;

const CAUSES_SHOWN = 12;
/** What was heard and what was answered, as one report for each finding; an answer replaces what was heard. */
function reportsOf(heard: readonly HeardFinding[], answers: readonly Answer[]): readonly Report[] {
  const answered = new Set<string>(
    answers.map((one) => (one.kind === 'told' ? one.finding : one.asked)),
  );
  const told = answers.filter((one) => one.kind === 'told');
  return [...heard.filter(({ finding }) => !answered.has(finding)), ...told];
}

/** The telling words without those whose meaning the advisor dropped or turned round. */
function wordsStanding({ telling, findings }: Heard, answers: readonly Answer[]): readonly Token[] {
  const corrected = new Map<string, boolean | null>(
    answers.map((one) => (one.kind === 'told' ? [one.finding, one.value] : [one.asked, null])),
  );
  const gone = findings.filter(
    ({ finding, value }) => corrected.has(finding) && corrected.get(finding) !== value,
  );
  return telling.filter(
    ({ start, end }) => !gone.some(({ span }) => start >= span.start && end <= span.end),
  );
}

function rankCauses(
  network: Network,
  { posterior, evidence: reported, wording }: Weighing,
  experience: Experience,
): readonly RankedCause[] {
  const evidence = wording ? [...reported, wording] : reported;
  const order = [...network.causes.keys()]
    .sort((a, b) => (posterior.causes[b] ?? 0) - (posterior.causes[a] ?? 0))
    .slice(0, CAUSES_SHOWN);
  return order.flatMap((i, rank) => {
    const cause = network.causes[i];
    const rival = order[rank === 0 ? 1 : 0];
    const against = rival === undefined ? undefined : network.causes[rival];
    if (!cause) return [];
    const cases = experience.get(cause.id) ?? 0;
    return [
      {
        cause,
        probability: posterior.causes[i] ?? 0,
        arguments: argumentsFor(network, evidence, i),
        versus:
          against && rival !== undefined
            ? {
                rival: against.id,
                arguments: argumentsBetween(
                  network,
                  evidence,
                  FIRST_SINGLE + i,
                  FIRST_SINGLE + rival,
                ),
              }
            : null,
        seenHere: cases > 0 ? { cases, factor: network.learned[i] ?? 1 } : null,
      },
    ];
  });
}

const countWords = (text: string): number => text.split(/\s+/).filter(Boolean).length;

/** Networks, almanacs and what was heard, kept between enquiries; an advisor's day needs a handful. */
const MOST_KEPT = 64;

function keeping<K, T>(make: (key: K) => T, keyOf: (key: K) => string): (key: K) => T {
  const kept = new Map<string, T>();
  return (key) => {
    const name = keyOf(key);
    const known = kept.get(name);
    if (known !== undefined) return known;
    if (kept.size >= MOST_KEPT) kept.clear();
    const made = make(key);
    kept.set(name, made);
    return made;
  };
}

interface Setting {
  readonly plant: PlantId | null;
  readonly place: Coordinates;
  readonly today: Day;
  readonly experience: Experience;
}

type Spoken = Pick<Enquiry, 'words' | 'plant'>;

const placeKey = ({ lat, lon }: Coordinates): string => `${lat} ${lon}`;

/** Makes a consultant over a compiled library. */
export function createConsultant(library: Compiled): Consultant {
  const almanacs = keeping(createAlmanacs(library.places), placeKey);
  const networks = keeping(
    ({ plant, place, today, experience }: Setting) =>
      buildNetwork(library, plant, { almanac: almanacs(place), today, experience }),
    ({ plant, place, today, experience }) =>
      `${plant ?? ''} ${placeKey(place)} ${today} ${[...experience].join(' ')}`,
  );
  const ear = makeEar(library);
  const hearing = keeping(
    ({ words, plant }: Spoken) => hear(ear, words, plant),
    ({ words, plant }) => `${plant ?? ''} ${words}`,
  );
  const partsOf = keeping(
    ({ words, plant }: Spoken) => (plant === null ? partByPlant(ear, words) : []),
    ({ words, plant }) => `${plant ?? ''} ${words}`,
  );
  return (enquiry) =>
    consult(library, enquiry, almanacs(enquiry.place), networks, hearing, partsOf);
}

function consult(
  library: Compiled,
  enquiry: Enquiry,
  almanac: Almanac,
  networkFor: (setting: Setting) => Network,
  hearing: (spoken: Spoken) => Heard,
  partsOf: (spoken: Spoken) => readonly PlantPart[],
): Consultation {
  const { words, today, answers, experience } = enquiry;
  const heard = hearing({ words, plant: enquiry.plant });
  const plant = enquiry.plant ?? heard.plants[0]?.plant ?? null;
  const network = networkFor({ plant, place: enquiry.place, today, experience });
  const reports = reportsOf(heard.findings, answers);
  const weighing = weighAll(
    library,
    network,
    reports,
    silenceWeight(countWords(words)),
    likeness(library.descriptions(), wordsStanding(heard, answers)),
  );
  const { posterior, evidence } = weighing;
  const skipped = new Set(answers.flatMap((one) => (one.kind === 'unknown' ? [one.asked] : [])));
  const inquiry = findQuestions(library, network, posterior, reports, skipped);
  const questions = plant === null ? plantFirst(inquiry.questions) : inquiry.questions;
  const samples = rankSamples(library, network, inquiry, reports);
  const context: AdviceContext = {
    today,
    almanac,
    traits: plant === null ? {} : library.taxonomy.traits(plant),
    approach: enquiry.approach,
    channel: enquiry.channel,
    reported: new Set(reports.filter(({ value }) => value).map(({ finding }) => finding)),
    denied: new Set(reports.filter(({ value }) => !value).map(({ finding }) => finding)),
  };

  return {
    plants: heard.plants,
    parts: partsOf(enquiry),
    heard: heard.findings.filter(({ finding }) => tellsHere(library, network, finding)),
    causes: rankCauses(network, weighing, experience),
    explanation: posterior.explanation,
    nothingWrong: posterior.nothingWrong,
    unexplained: posterior.notInLibrary,
    ask: questions.slice(0, 3),
    settled: settle(network, posterior, questions, samples, reports.length),
    conflicts: [
      ...findConflicts(library, network, reports, evidence, readTogether(heard.findings)),
      ...doubtfulMeasures(words),
    ],
    overturning: overturningOf(library, network, weighing, inquiry),
    pair: pairArguments(network, posterior, evidence),
    advice: planAdvice(library, network, posterior, context),
  };
}

/** Some cause of this plant shows the finding, or the advice must mind it; the rest was said of something else. */
function tellsHere(library: Compiled, network: Network, finding: FindingId): boolean {
  const node = network.node(finding);
  return library.findings.get(finding)?.forAdvice === true || (node !== null && isRelevant(node));
}

/** Without the plant every cause of the library stands, so it is asked before anything else. */
function plantFirst(questions: readonly Question[]): readonly Question[] {
  const isPlant = ({ kind }: Question): boolean => kind === 'plant';
  return [...questions.filter(isPlant), ...questions.filter((one) => !isPlant(one))];
}

/** Characters between two remarks that still can be one. */
const ONE_REMARK = 25;

function readTogether(heard: readonly HeardFinding[]): SameWords {
  const spans = new Map(heard.map(({ finding, span }) => [finding, span]));
  return (a, b) => {
    const [first, second] = [spans.get(a), spans.get(b)];
    if (!first || !second) return false;
    return Math.max(first.start, second.start) - Math.min(first.end, second.end) < ONE_REMARK;
  };
}

/** Nothing reported, nothing to overturn: common causes lead, and any answer would change that. */
function overturningOf(
  library: Compiled,
  network: Network,
  { evidence }: Weighing,
  inquiry: Inquiry,
): Overturning | null {
  if (evidence.length === 0) return null;
  const labelOf = (id: FindingId): string => library.findings.get(id)?.label ?? id;
  return whatWouldChange(network, inquiry, evidence, labelOf);
}

function doubtfulMeasures(words: string): readonly Conflict[] {
  const said = ({ span }: SaidLength): string => words.slice(span.start, span.end);
  const mixedUp = mixedUpLengths(words).map(
    ([a, b]) => `"${said(a)}" and "${said(b)}" were both said. Which is it?`,
  );
  const odd = oddLengths(words).map(
    ({ length, thing }) => `"${said(length)}" is odd for ${thing}. Was it another unit?`,
  );
  return [...mixedUp, ...odd].map((text) => ({ findings: [], text }));
}
