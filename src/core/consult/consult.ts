import { numberAt } from '../util/entryAt.ts';
import type { Answered } from '../advice/answers.ts';
import { planAdvice, type Advice } from '../advice/plan.ts';
import type { AdviceContext } from '../advice/context.ts';
import { countryAt, urgentOf, withheld, type Urgent } from '../advice/urgent.ts';
import { findConflicts, type Conflict, type SameWords } from '../diagnosis/conflicts.ts';
import {
  argumentsBetween,
  argumentsFor,
  pairArguments,
  type Argument,
  type PairArgument,
} from '../diagnosis/explain.ts';
import type { Report } from '../diagnosis/evidence.ts';
import type { Experience } from '../diagnosis/learning.ts';
import { buildNetwork, FIRST_SINGLE, type Network } from '../diagnosis/network.ts';
import { findCounterfactuals, type Counterfactuals } from '../questions/counterfactuals.ts';
import { weighAll, type Weighing } from '../diagnosis/posterior.ts';
import { mentionProbability } from '../diagnosis/nonMention.ts';
import { leadOf } from '../advice/verdict.ts';
import { extentQuestion } from '../questions/extentQuestion.ts';
import { findQuestions, rankSamples, type Inquiry, type Question } from '../questions/questions.ts';
import { openFirst } from '../questions/openFirst.ts';
import { applyStoppingRule, stopsAtRequest, type StoppingDecision } from '../questions/stopping.ts';
import { isRelevant } from '../diagnosis/weigh.ts';
import { memoize } from '../util/memoize.ts';
import { answersTo } from './answersTo.ts';
import { careBeside } from './careBeside.ts';
import { doubtfulMeasures, type MeasureDoubt } from './doubts.ts';
import type { Answer, Enquiry } from './enquiry.ts';
import { stanceOf } from './stance.ts';
import { withHeight } from './height.ts';
import { makeLanguageContext } from '../library/languageContext.ts';
import type { Compiled } from '../library/compile.ts';
import type { Cause } from '../schema/cause.ts';
import type { Presence } from '../schema/range.ts';
import type { CauseId, FindingId, PlantId } from '../schema/common.ts';
import { extract, type Extracted, type ExtractedFinding } from '../language/extract.ts';
import { findDangers, type FoundDanger } from '../language/dangers.ts';
import type { Token } from '../language/tokens.ts';
import { similarityToCauses } from '../language/textSimilarity.ts';
import { saidAmounts, type SaidAmount } from '../language/amounts.ts';
import { saidSizes, type SaidSize } from '../language/sizes.ts';
import { partByPlant, type PlantPart } from '../language/severalPlants.ts';
import type { RankedPlant } from '../language/plantNames.ts';
import { createAlmanacs, type Almanac } from '../timing/almanac.ts';
import type { Coordinates } from '../timing/climate.ts';
import type { Day } from '../timing/calendar.ts';
import type { WeatherDay } from '../timing/weather.ts';

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
  /** How it stands in the country; null where its range or the country is not known. */
  readonly presence: Presence | null;
}

/** The whole answer to an enquiry. */
export interface Consultation {
  readonly plants: readonly RankedPlant[];
  /** What is said of each plant, when the words are about several. */
  readonly parts: readonly PlantPart[];
  /** Values that were said: since when, how warm, how often watered. */
  readonly amounts: readonly SaidAmount[];
  /** Sizes that were said: how tall, how big a pot or bed, how many. */
  readonly sizes: readonly SaidSize[];
  readonly extracted: readonly ExtractedFinding[];
  readonly causes: readonly RankedCause[];
  readonly explanation: readonly CauseId[];
  readonly nothingWrong: number;
  readonly unexplained: number;
  readonly ask: readonly Question[];
  readonly stopping: StoppingDecision;
  readonly conflicts: readonly Conflict[];
  readonly doubts: readonly MeasureDoubt[];
  readonly counterfactuals: Counterfactuals | null;
  readonly pair: readonly PairArgument[];
  /** What comes before everything else; then the advice waits and no request is answered. */
  readonly urgent: Urgent | null;
  readonly advice: Advice;
  /** An answer to each request, in the order of the text. */
  readonly answers: readonly Answered[];
}

/** Answers enquiries from a compiled library. Pure: the same enquiry always gives the same answer. */
export type Consultant = (enquiry: Enquiry) => Consultation;

const CAUSES_SHOWN = 12;
/** What was heard and what was answered, as one report for each finding; an answer replaces what was heard. */
function reportsOf(
  heard: readonly ExtractedFinding[],
  answers: readonly Answer[],
): readonly Report[] {
  const answered = new Set<string>(
    answers.map((one) => (one.kind === 'answered' ? one.finding : one.asked)),
  );
  const answeredOnes = answers.filter((one) => one.kind === 'answered');
  return [...heard.filter(({ finding }) => !answered.has(finding)), ...answeredOnes];
}

/** The content words without those whose meaning the advisor dropped or turned round. */
function wordsStanding(
  { contentWords, findings }: Extracted,
  answers: readonly Answer[],
): readonly Token[] {
  const corrected = new Map<string, boolean | null>(
    answers.map((one) => (one.kind === 'answered' ? [one.finding, one.value] : [one.asked, null])),
  );
  const gone = findings.filter(
    ({ finding, value }) => corrected.has(finding) && corrected.get(finding) !== value,
  );
  return contentWords.filter(
    ({ start, end }) => !gone.some(({ span }) => start >= span.start && end <= span.end),
  );
}

function rankCauses(
  network: Network,
  { posterior, evidence: reported, wording }: Weighing,
  experience: Experience,
  presenceOf: (cause: Cause) => Presence | null,
): readonly RankedCause[] {
  const evidence = [...reported, ...wording];
  const order = posterior.ranking.slice(0, CAUSES_SHOWN);
  return order.flatMap((i, rank) => {
    const cause = network.causes[i];
    const rival = order[rank === 0 ? 1 : 0];
    const against = rival === undefined ? undefined : network.causes[rival];
    if (!cause) return [];
    const cases = experience.get(cause.id) ?? 0;
    return [
      {
        cause,
        probability: numberAt(posterior.causes, i),
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
        presence: presenceOf(cause),
        seenHere: cases > 0 ? { cases, factor: numberAt(network.learned, i) } : null,
      },
    ];
  });
}

const countWords = (text: string): number => text.split(/\s+/).filter(Boolean).length;

/** Networks, almanacs and parsed texts that are cached; an advisor's day needs a handful. */
const MAX_CACHED = 64;

interface Setting {
  readonly plant: PlantId | null;
  readonly place: Coordinates;
  readonly today: Day;
  readonly experience: Experience;
  readonly weather: readonly WeatherDay[];
  readonly since: Day | null;
  readonly country: string | null;
}

type Spoken = Pick<Enquiry, 'words' | 'plant'>;

const spokenKey = ({ words, plant }: Spoken): string => `${plant ?? ''} ${words}`;

type Whereabouts = Pick<Setting, 'place' | 'weather'>;

/** Tells apart places and runs of weather; days that are changed change the weighted sum. */
function whereKey({ place: { lat, lon, height }, weather }: Whereabouts): string {
  const sum = weather.reduce(
    (total, { minCelsius, maxCelsius }, i) => total + (i + 1) * (minCelsius + 2 * maxCelsius),
    0,
  );
  return `${lat} ${lon} ${height ?? ''} ${weather.length} ${weather.at(-1)?.day ?? ''} ${sum}`;
}

/** What is worked out once and kept between the answers of an enquiry. */
interface Kept {
  readonly almanacs: (where: Whereabouts) => Almanac;
  readonly networks: (setting: Setting) => Network;
  readonly extracting: (spoken: Spoken) => Extracted;
  readonly partsOf: (spoken: Spoken) => readonly PlantPart[];
  readonly amounts: (enquiry: Enquiry) => readonly SaidAmount[];
  readonly sizes: (enquiry: Enquiry) => readonly SaidSize[];
  readonly dangers: (words: string) => readonly FoundDanger[];
}

/**
 * Makes a consultant over a compiled library. It caches networks, almanacs and parsed texts of at most 64 enquiries
 * each; results do not depend on the cache. It never throws on a valid enquiry. Probabilities in its answers are
 * between 0 and 1.
 */
export function createConsultant(library: Compiled): Consultant {
  const makeAlmanac = createAlmanacs(library.places);
  const almanacs = memoize(({ place, weather }: Whereabouts) => makeAlmanac(place, weather), {
    keyOf: whereKey,
    max: MAX_CACHED,
  });
  const networks = memoize(
    (setting: Setting) =>
      buildNetwork(library, setting.plant, { ...setting, almanac: almanacs(setting) }),
    {
      keyOf: (setting) =>
        `${setting.plant ?? ''} ${whereKey(setting)} ${setting.today} ${setting.since ?? ''} ${setting.country ?? ''} ${[...setting.experience].join(' ')}`,
      max: MAX_CACHED,
    },
  );
  const languageContext = makeLanguageContext(library);
  const extracting = memoize(({ words, plant }: Spoken) => extract(languageContext, words, plant), {
    keyOf: spokenKey,
    max: MAX_CACHED,
  });
  const partsOf = memoize(
    ({ words, plant }: Spoken) =>
      plant === null && extracting({ words, plant }).plants.length > 1
        ? partByPlant(languageContext, words)
        : [],
    { keyOf: spokenKey, max: MAX_CACHED },
  );
  const amounts = memoize(
    ({ words, place, today }: Enquiry) =>
      saidAmounts(words, { today, south: place.lat < 0, fahrenheit: usesFahrenheit(place) }),
    {
      keyOf: ({ words, place: { lat, lon }, today }) => `${lat} ${lon} ${today} ${words}`,
      max: MAX_CACHED,
    },
  );
  const sizes = memoize(({ words, place }: Enquiry) => saidSizes(words, usesFahrenheit(place)), {
    keyOf: ({ words, place }) => `${usesFahrenheit(place) ? 'feet' : 'metres'} ${words}`,
    max: MAX_CACHED,
  });
  const dangers = memoize((words: string) => findDangers(library.dangers, words), {
    max: MAX_CACHED,
  });
  const kept: Kept = { almanacs, networks, extracting, partsOf, amounts, sizes, dangers };
  return (enquiry) => consult(library, enquiry, kept);
}

function contextOf(
  library: Compiled,
  { today, approach, channel, country, answers }: Enquiry,
  plant: PlantId | null,
  reports: readonly Report[],
  almanac: Almanac,
): AdviceContext {
  return {
    today,
    almanac,
    traits: plant === null ? {} : library.taxonomy.traits(plant),
    kinds: plant === null ? [] : library.taxonomy.lineage(plant),
    approach,
    channel,
    country,
    reported: new Set(reports.filter(({ value }) => value).map(({ finding }) => finding)),
    // "No dog here" in passing does not say that no child is about: what lifts a caution is asked for.
    ruledOut: new Set(
      reportsOf([], answers).flatMap(({ finding, value }) => (value ? [] : finding)),
    ),
  };
}

/** The danger in the words that comes before all advice, with whom to call there. Returns null where there is none. */
function urgentIn(
  { contacts }: Compiled,
  { words, handled }: Enquiry,
  country: string | null,
  { dangers }: Kept,
): Urgent | null {
  const found = dangers(words);
  if (found.length === 0) return null;
  return urgentOf(found, handled, contacts, country);
}

function consult(library: Compiled, enquiry: Enquiry, kept: Kept): Consultation {
  const { words, today, answers, experience, place, weather } = enquiry;
  const country = enquiry.country ?? countryAt(library.places, place);
  const extracted = kept.extracting({ words, plant: enquiry.plant });
  const amounts = kept.amounts(enquiry);
  const plant = enquiry.plant ?? extracted.plants[0]?.plant ?? null;
  const network = kept.networks({
    plant,
    place,
    weather,
    today,
    since: sinceOf(amounts, today),
    country,
    experience,
  });
  const sizes = kept.sizes(enquiry);
  const heard = withHeight(extracted.findings, sizes);
  const reports = reportsOf(heard, answers);
  const stance = stanceOf(library, extracted, answers, reports);
  const weighing = weighAll(library, network, reports, mentionProbability(countWords(words)), {
    similarity: similarityToCauses(library.descriptions(), wordsStanding(extracted, answers)),
    ...stance,
  });
  const { posterior, evidence } = weighing;
  const skipped = new Set(answers.flatMap((one) => (one.kind === 'unknown' ? [one.asked] : [])));
  const inquiry = findQuestions(library, network, posterior, reports, skipped);
  const questions = openFirst(inquiry.questions, plant, extracted.halfHeard);
  const samples = rankSamples(inquiry);
  const context = contextOf(
    library,
    { ...enquiry, country },
    plant,
    reports,
    kept.almanacs(enquiry),
  );
  const planned = planAdvice(library, network, posterior, context);
  const urgent = urgentIn(library, enquiry, country, kept);
  const stopping =
    (stance.asks ? stopsAtRequest(network, posterior) : null) ??
    applyStoppingRule(network, posterior, questions, samples, reports.length);
  const extent = extentQuestion(library, leadOf(network, posterior), planned, context, skipped);
  const advice = urgent === null ? planned : withheld(planned, urgent);
  return {
    urgent,
    plants: extracted.plants,
    parts: kept.partsOf(enquiry),
    amounts,
    sizes,
    extracted: heard.filter(({ finding }) => tellsHere(library, network, finding)),
    causes: rankCauses(network, weighing, experience, (cause) =>
      library.presenceOf(cause, country),
    ),
    explanation: posterior.explanation,
    nothingWrong: posterior.nothingWrong,
    unexplained: posterior.notInLibrary,
    ask: stopping.settled ? (extent ? [extent] : []) : questions.slice(0, 3),
    stopping,
    conflicts: findConflicts(library, network, reports, evidence, readTogether(heard)),
    doubts: doubtfulMeasures(words, amounts),
    counterfactuals: counterfactualsOf(library, network, weighing, inquiry),
    pair: pairArguments(network, posterior, evidence),
    advice,
    answers: answersTo(urgent === null ? extracted.requests : [], {
      library,
      network,
      posterior,
      advice,
      context,
      words,
      care: stance.reportsTrouble ? careBeside(library, network, extracted, context) : null,
    }),
  };
}

/** Where people say degrees Fahrenheit: the United States, roughly. */
const FAHRENHEIT = { south: 18, north: 49.4, west: -170, east: -66.9 } as const;

const usesFahrenheit = ({ lat, lon }: Coordinates): boolean =>
  lat > FAHRENHEIT.south &&
  lat < FAHRENHEIT.north &&
  lon > FAHRENHEIT.west &&
  lon < FAHRENHEIT.east;

/** Longer ago than this it began in a year whose season says nothing of this one. */
const MAX_AGO_DAYS = 300;

/** The day on which the trouble began, where one was said. */
function sinceOf(amounts: readonly SaidAmount[], today: Day): Day | null {
  const began = amounts.find((one) => one.kind === 'since' && one.to !== null);
  const on = began && 'to' in began ? began.to : null;
  return on !== null && today - on <= MAX_AGO_DAYS ? on : null;
}

/** Some cause of this plant shows the finding, or the advice must mind it; the rest was said of something else. */
function tellsHere(library: Compiled, network: Network, finding: FindingId): boolean {
  const node = network.node(finding);
  return library.findings.get(finding)?.forAdvice === true || (node !== null && isRelevant(node));
}

/** Characters between two remarks that still can be one. */
const ONE_REMARK = 25;

function readTogether(heard: readonly ExtractedFinding[]): SameWords {
  const spans = new Map(heard.map(({ finding, span }) => [finding, span]));
  return (a, b) => {
    const [first, second] = [spans.get(a), spans.get(b)];
    if (!first || !second) return false;
    return Math.max(first.start, second.start) - Math.min(first.end, second.end) < ONE_REMARK;
  };
}

/** Nothing reported, nothing to overturn: common causes lead, and any answer would change that. */
function counterfactualsOf(
  library: Compiled,
  network: Network,
  { evidence }: Weighing,
  inquiry: Inquiry,
): Counterfactuals | null {
  if (evidence.length === 0) return null;
  const labelOf = (id: FindingId): string => library.findings.get(id)?.label ?? id;
  return findCounterfactuals(network, inquiry, evidence, labelOf);
}
