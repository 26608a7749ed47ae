import { numberAt } from '../util/entryAt.ts';
import { planAdvice, type Advice } from '../advice/plan.ts';
import type { AdviceContext } from '../advice/context.ts';
import { regionHere, urgentOf, withheld, type Urgent } from '../advice/urgent.ts';
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
import { FIRST_SINGLE, type Network } from '../diagnosis/network.ts';
import { findCounterfactuals, type Counterfactuals } from '../questions/counterfactuals.ts';
import { weighAll, type Weighing } from '../diagnosis/posterior.ts';
import { mentionProbability } from '../diagnosis/nonMention.ts';
import { leadOf, type Lead } from '../advice/verdict.ts';
import { extentQuestion } from '../questions/extentQuestion.ts';
import { findQuestions, rankSamples, type Inquiry, type Question } from '../questions/questions.ts';
import { openFirst } from '../questions/openFirst.ts';
import { applyStoppingRule, stopsAtRequest, type StoppingDecision } from '../questions/stopping.ts';
import { isRelevant } from '../diagnosis/weigh.ts';
import { answersTo, toAnswer } from './answersTo.ts';
import type { Answered } from '../advice/replies.ts';
import { careBeside } from './careBeside.ts';
import { doubtfulMeasures, type MeasureDoubt } from './doubts.ts';
import type { Answer, Enquiry } from './enquiry.ts';
import { keepFor, type Kept } from './kept.ts';
import { stanceOf, type Stance } from './stance.ts';
import { jobOf } from './job.ts';
import {
  withHeight,
  withPlanting,
  saidReport,
  withReport,
  withSoilTest,
  type SaidReport,
} from './measured.ts';
import { saidSum } from '../measures/saidSum.ts';
import { usesUsUnits } from '../language/usUnits.ts';
import type { Compiled } from '../library/compile.ts';
import type { Cause } from '../schema/cause.ts';
import type { Job } from '../advice/forSize.ts';
import type { Presence } from '../schema/range.ts';
import type { CauseId, FindingId, PlantId } from '../schema/common.ts';
import { stemmedTokens, type Extracted, type ExtractedFinding } from '../language/extract.ts';
import type { Token } from '../language/tokens.ts';
import { similarityToCauses, type SimilarityOf } from '../language/textSimilarity.ts';
import { similarityToTopics } from '../language/topicWords.ts';
import type { SaidAmount } from '../language/amounts.ts';
import type { SaidSize } from '../language/sizes.ts';
import type { PlantPart } from '../language/severalPlants.ts';
import type { RankedPlant } from '../language/plantNames.ts';
import type { Almanac } from '../timing/almanac.ts';
import type { Day } from '../timing/calendar.ts';

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
  /** How it stands in the region; null where its range or the region is not known. */
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
  /** What the advice hangs on besides the causes. */
  readonly context: AdviceContext;
  /** The leading cause; null while none stands, and where it is not known in the region. */
  readonly lead: Lead | null;
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
  { posterior, evidence: reported, wording, laboratory }: Weighing,
  experience: Experience,
  presenceOf: (cause: Cause) => Presence | null,
): readonly RankedCause[] {
  const evidence = [...reported, ...laboratory, ...wording];
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

/**
 * Makes a consultant over a compiled library. It caches networks, almanacs and parsed texts of at most 64 enquiries
 * each; results do not depend on the cache. It never throws on a valid enquiry. Probabilities in its answers are
 * between 0 and 1.
 */
export function createConsultant(library: Compiled): Consultant {
  const kept = keepFor(library);
  return (enquiry) => consult(library, enquiry, kept);
}

function contextOf(
  library: Compiled,
  { today, approach, channel, region, answers, results }: Enquiry,
  job: Job,
  plant: PlantId | null,
  reports: readonly Report[],
  almanac: Almanac,
): AdviceContext {
  return {
    today,
    almanac,
    traits: plant === null ? {} : library.traitsIn(plant, region),
    kinds: plant === null ? [] : library.taxonomy.lineage(plant),
    approach,
    channel,
    region,
    laws: library.lawsOf(region),
    job,
    reported: new Set(reports.filter(({ value }) => value).map(({ finding }) => finding)),
    // "No dog here" in passing does not say that no child is about: what lifts a caution is asked for.
    ruledOut: new Set(
      reportsOf([], answers).flatMap(({ finding, value }) => (value ? [] : finding)),
    ),
    confirmed: new Set(results.flatMap(({ cause, found }) => (found ? cause : []))),
  };
}

/** The danger in the words that comes before all advice, with whom to call there. Returns null where there is none. */
function urgentIn(
  { contacts }: Compiled,
  { words, handled }: Enquiry,
  region: string | null,
  { dangers }: Kept,
): Urgent | null {
  const found = dangers(words);
  if (found.length === 0) return null;
  return urgentOf(found, handled, contacts, region);
}

/** An enquiry with what was understood of it and how its causes are weighed. */
interface Understood extends Pick<Consultation, 'amounts' | 'sizes'> {
  readonly region: string | null;
  readonly plant: PlantId | null;
  readonly extracted: Extracted;
  /** Findings in the words, by a height that was said in numbers too. */
  readonly heard: readonly ExtractedFinding[];
  readonly report: SaidReport | null;
  readonly reports: readonly Report[];
  readonly stance: Stance;
  readonly network: Network;
  readonly weighing: Weighing;
  readonly context: AdviceContext;
}

/** What a topic about this very plant is nearer than one about all plants, in nats; less for each group between. */
const OF_THIS_PLANT = 4;
const GROUPS_ABOVE = 3;

/**
 * How well topics fit what is asked: by its words, and by how nearly the topic is about this plant; 0 for a text that
 * does not only ask.
 */
function fitOfTopics(
  library: Compiled,
  plant: PlantId | null,
  words: string,
  { asks, askedShare }: Extracted,
): SimilarityOf {
  if (!asks) return () => 0;
  const similarity = similarityToTopics(library.topicWords(), stemmedTokens(words));
  const line = plant === null ? [] : library.taxonomy.lineage(plant);
  return (id) => {
    const hosts = library.causes.get(id)?.hosts ?? {};
    const at = line.findIndex((kind) => kind in hosts);
    const near = at === -1 ? 0 : OF_THIS_PLANT * Math.max(0, 1 - at / GROUPS_ABOVE);
    return askedShare * (similarity(id) + near);
  };
}

function understand(library: Compiled, enquiry: Enquiry, kept: Kept): Understood {
  const { words, today, answers, experience, place, weather } = enquiry;
  const region = regionHere(enquiry.region, library.places, place);
  const extracted = kept.extracting({ words, plant: enquiry.plant });
  const amounts = kept.amounts(enquiry);
  const sizes = kept.sizes(enquiry);
  const plant = enquiry.plant ?? extracted.plants[0]?.plant ?? null;
  const since = sinceOf(amounts, today);
  const network = kept.networks({ plant, place, weather, today, since, region, experience });
  const acidLoving = plant !== null && library.taxonomy.traits(plant).acidLoving === true;
  const report = saidReport(words, sizes, acidLoving);
  const measured = withPlanting(
    withSoilTest(withHeight(extracted.findings, sizes), sizes),
    amounts,
    today,
  );
  const heard = withReport(measured, report);
  const reports = reportsOf(heard, answers);
  const stance = stanceOf(library, extracted, answers, reports, report !== null);
  const said = {
    similarity: similarityToCauses(library.descriptions(), wordsStanding(extracted, answers)),
    fit: fitOfTopics(library, plant, words, extracted),
    ...stance,
  };
  const silence = mentionProbability(countWords(words));
  const weighing = weighAll(library, network, reports, silence, said, enquiry.results);
  const almanac = kept.almanacs(enquiry);
  const job = jobOf(sizes, amounts, almanac, today, acidLoving);
  const context = contextOf(library, { ...enquiry, region }, job, plant, reports, almanac);
  const heardOf = { amounts, sizes, extracted, heard, report, reports };
  return { ...heardOf, region, plant, stance, network, weighing, context };
}

/** What to ask next, whether to go on asking, and what that was judged by. Once settled only how much is affected is asked. */
function askNext(library: Compiled, about: Understood, answers: readonly Answer[], plan: Advice) {
  const { network, weighing, reports, plant, extracted, stance, context } = about;
  const { posterior } = weighing;
  const skipped = new Set(answers.flatMap((one) => (one.kind === 'unknown' ? [one.asked] : [])));
  const inquiry = findQuestions(library, network, posterior, reports, skipped);
  const questions = openFirst(inquiry.questions, plant, extracted.halfHeard);
  const stopping =
    (stance.asks ? stopsAtRequest(network, posterior) : null) ??
    applyStoppingRule(network, posterior, questions, rankSamples(inquiry), reports.length);
  const extent = extentQuestion(library, leadOf(network, posterior), plan, context, skipped);
  const ask = stopping.settled ? [extent].filter((one) => one !== null) : questions.slice(0, 3);
  return { ask, stopping, inquiry };
}

function consult(library: Compiled, enquiry: Enquiry, kept: Kept): Consultation {
  const understood = understand(library, enquiry, kept);
  const { extracted, heard, reports, network, weighing, context, amounts, region } = understood;
  const { posterior, evidence, laboratory } = weighing;
  const planned = planAdvice(library, network, posterior, context);
  const urgent = urgentIn(library, enquiry, region, kept);
  const advice = urgent === null ? planned : withheld(planned, urgent);
  const { ask, stopping, inquiry } = askNext(library, understood, enquiry.answers, planned);
  const presenceOf = (cause: Cause): Presence | null => library.presenceOf(cause, region);
  const isTrouble = understood.stance.reportsTrouble;
  return {
    urgent,
    plants: extracted.plants,
    parts: kept.partsOf(enquiry),
    amounts,
    sizes: understood.sizes,
    context,
    lead: advice.headline.code === 'not-known-here' ? null : leadOf(network, posterior),
    extracted: heard.filter(({ finding }) => tellsHere(library, network, finding)),
    causes: rankCauses(network, weighing, enquiry.experience, presenceOf),
    explanation: posterior.explanation,
    nothingWrong: posterior.nothingWrong,
    unexplained: posterior.notInLibrary,
    ask,
    stopping,
    conflicts: findConflicts(library, network, reports, evidence, readTogether(heard)),
    doubts: doubtfulMeasures(enquiry.words, amounts),
    counterfactuals: counterfactualsOf(library, network, weighing, inquiry),
    pair: pairArguments(network, posterior, [...evidence, ...laboratory]),
    advice,
    answers: answersTo(urgent === null ? toAnswer(extracted, isTrouble) : [], {
      library,
      network,
      posterior,
      advice,
      context,
      words: enquiry.words,
      report: urgent === null ? understood.report : null,
      sum: saidSum(enquiry.words, usesUsUnits(enquiry.place)),
      care: isTrouble ? careBeside(library, network, extracted, context) : null,
    }),
  };
}

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
