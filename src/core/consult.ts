import { planAdvice, type Advice } from './advice/plan.ts';
import type { AdviceContext, Approach, Channel } from './advice/context.ts';
import { argumentsFor, type Argument } from './diagnosis/explain.ts';
import type { Report } from './diagnosis/evidence.ts';
import { buildNetwork, type Network } from './diagnosis/network.ts';
import { silenceWeight, weighAll, type Posterior } from './diagnosis/posterior.ts';
import { rankQuestions, type Question } from './diagnosis/questions.ts';
import type { Compiled } from './knowledge/compile.ts';
import type { Cause } from './knowledge/schema/cause.ts';
import type { CauseId, FindingId, PlantId } from './knowledge/schema/common.ts';
import { hear, type HeardFinding } from './language/hear.ts';
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
}

/** A cause in the ranking, with what speaks for and against it. */
export interface RankedCause {
  readonly cause: Cause;
  readonly probability: number;
  readonly arguments: readonly Argument[];
}

/** The whole answer to an enquiry. */
export interface Consultation {
  readonly plants: readonly RankedPlant[];
  readonly heard: readonly HeardFinding[];
  readonly causes: readonly RankedCause[];
  readonly explanation: readonly CauseId[];
  readonly nothingWrong: number;
  readonly unexplained: number;
  readonly ask: readonly Question[];
  readonly settled: boolean;
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

function rankCauses(
  network: Network,
  posterior: Posterior,
  evidence: Parameters<typeof argumentsFor>[1],
) {
  return network.causes
    .map((cause, i) => ({ cause, i, probability: posterior.causes[i] ?? 0 }))
    .sort((a, b) => b.probability - a.probability)
    .slice(0, CAUSES_SHOWN)
    .map(({ cause, i, probability }) => ({
      cause,
      probability,
      arguments: argumentsFor(network, evidence, i),
    }));
}

const countWords = (text: string): number => text.split(/\s+/).filter(Boolean).length;

/** Networks and almanacs kept between enquiries; an advisor's day needs a handful. */
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
}

const placeKey = ({ lat, lon }: Coordinates): string => `${lat} ${lon}`;

/** Makes a consultant over a compiled library. */
export function createConsultant(library: Compiled): Consultant {
  const almanacs = keeping(createAlmanacs(library.places), placeKey);
  const networks = keeping(
    ({ plant, place, today }: Setting) => buildNetwork(library, plant, almanacs(place), today),
    ({ plant, place, today }) => `${plant ?? ''} ${placeKey(place)} ${today}`,
  );
  return (enquiry) => consult(library, enquiry, almanacs(enquiry.place), networks);
}

function consult(
  library: Compiled,
  enquiry: Enquiry,
  almanac: Almanac,
  networkFor: (setting: Setting) => Network,
): Consultation {
  const { words, today, answers } = enquiry;
  const heard = hear({ ...library, lineage: library.taxonomy.lineage }, words);
  const plant = enquiry.plant ?? heard.plants[0]?.plant ?? null;
  const network = networkFor({ plant, place: enquiry.place, today });
  const reports = reportsOf(heard.findings, answers);
  const { posterior, evidence } = weighAll(
    library,
    network,
    reports,
    silenceWeight(countWords(words)),
  );
  const skipped = new Set(answers.flatMap((one) => (one.kind === 'unknown' ? [one.asked] : [])));
  const ask = rankQuestions(library, network, posterior, reports, skipped);
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
    heard: heard.findings,
    causes: rankCauses(network, posterior, evidence),
    explanation: posterior.explanation,
    nothingWrong: posterior.nothingWrong,
    unexplained: posterior.notInLibrary,
    ask: ask.slice(0, 3),
    settled: reports.length > 0 && ask.every(({ worth }) => worth <= 0),
    advice: planAdvice(library, network, posterior, context),
  };
}
