import { buildDescriptions, sensesOf, type Descriptions } from '../language/textSimilarity.ts';
import { buildTopicWords, type TopicWords } from '../language/topicWords.ts';
import { buildPhraseIndex, countUses, type PhraseIndex } from '../language/phraseIndex.ts';
import { compileClasses, compilePhrase } from '../language/phrase.ts';
import { buildPlantNames, type PlantNames } from '../language/plantNames.ts';
import {
  compileWordModel,
  makeSynonyms,
  type SynonymsOf,
  type WordModel,
} from '../language/wordModel.ts';
import { compileDangers, type Dangers } from '../language/dangers.ts';
import type { Contacts } from '../schema/danger.ts';
import { buildHosting, type Hosting } from '../knowledge/hosting.ts';
import { BACKGROUND, COMMONNESS } from '../schema/scale.ts';
import { careCause, careFinding, careTreatments } from '../knowledge/careTopics.ts';
import type { Cause } from '../schema/cause.ts';
import type { CauseId, FindingId, PlantId, TreatmentId } from '../schema/common.ts';
import type { Finding, FindingGroup } from '../schema/finding.ts';
import type { Library } from '../schema/library.ts';
import { lawsOf, type LawHere } from '../schema/law.ts';
import type { Look } from '../schema/look.ts';
import type { Place } from '../schema/place.ts';
import { traitsIn, type Plant, type Traits } from '../schema/plant.ts';
import { presenceIn, type Presence } from '../schema/range.ts';
import type { Treatment } from '../schema/treatment.ts';
import type { SampleKind } from '../schema/sampleKind.ts';
import type { View } from '../schema/view.ts';
import { once } from '../util/memoize.ts';
import { shownBy, strengthsOf, type ShownBy, type Strengths } from '../knowledge/strengths.ts';
import { buildTaxonomy, type Taxonomy } from '../knowledge/taxonomy.ts';

/** The library ready for use: entries by id, word indexes, and numbers in place of words. */
export interface Compiled {
  readonly version: string;
  readonly plants: ReadonlyMap<PlantId, Plant>;
  readonly findings: ReadonlyMap<FindingId, Finding>;
  readonly groups: ReadonlyMap<string, FindingGroup>;
  /** Findings of each exclusive group, in the order of the library. */
  readonly groupMembers: ReadonlyMap<string, readonly Finding[]>;
  /** The act of looking that shows a finding; null where it is seen or known by itself. */
  readonly lookOf: (finding: string) => Look | null;
  readonly causes: ReadonlyMap<CauseId, Cause>;
  readonly treatments: ReadonlyMap<TreatmentId, Treatment>;
  readonly views: readonly View[];
  readonly sampleKinds: readonly SampleKind[];
  readonly places: readonly Place[];
  readonly taxonomy: Taxonomy;
  readonly plantNames: PlantNames;
  readonly phrases: PhraseIndex<Finding>;
  /** How many phrases each stem stands in: the fewer, the more informative it is. */
  readonly phraseUses: ReadonlyMap<string, number>;
  /** What words have in common with others. */
  readonly synonyms: SynonymsOf;
  /** Null for a library that nothing was learned for. */
  readonly wordModel: WordModel | null;
  /** A finding and every more general one that it implies, itself first. */
  readonly implied: (id: FindingId) => readonly FindingId[];
  readonly strengths: ReadonlyMap<CauseId, Strengths>;
  /** The words of all causes' descriptions; put together at the first call, which takes as long as all the rest. */
  readonly descriptions: () => Descriptions;
  /** The words of all topics of care; put together at the first call. */
  readonly topicWords: () => TopicWords;
  readonly shownBy: ShownBy;
  readonly hosting: Hosting;
  /** How a cause stands in a region, see {@link presenceIn}. */
  readonly presenceOf: (cause: Cause, region: string | null) => Presence | null;
  /** The traits of a plant in a region, see {@link traitsIn}. */
  readonly traitsIn: (plant: PlantId, region: string | null) => Traits;
  /** The laws of a region, see {@link lawsOf}. */
  readonly lawsOf: (region: string | null) => readonly LawHere[];
  readonly dangers: Dangers;
  readonly contacts: readonly Contacts[];
}

const byId = <K extends string, T extends { readonly id: K }>(entries: readonly T[]): Map<K, T> =>
  new Map(entries.map((entry) => [entry.id, entry]));

/** Probability of a finding without any cause. */
export function backgroundOf(finding: Finding): number {
  return BACKGROUND[finding.background];
}

function impliedBy(
  findings: ReadonlyMap<FindingId, Finding>,
): (id: FindingId) => readonly FindingId[] {
  const known = new Map<FindingId, readonly FindingId[]>();
  const walk = (id: FindingId, seen: Set<FindingId>): void => {
    if (seen.has(id)) return;
    seen.add(id);
    for (const parent of findings.get(id)?.isA ?? []) walk(parent, seen);
  };
  return (id) => {
    const found = known.get(id);
    if (found) return found;
    const seen = new Set<FindingId>();
    walk(id, seen);
    const list = [...seen];
    known.set(id, list);
    return list;
  };
}

/** The word class of what is picked and eaten. */
const FRUIT_WORDS = 'fruit';

/** Word classes, with the names of all plants that are eaten for their fruit as words for fruit: "fuzz on the strawberries". */
function withFruitNames({ wordClasses, plants }: Library, { traits }: Taxonomy) {
  const named = plants
    .filter(({ id }) => traits(id).edible === 'fruit')
    .flatMap(({ name, names, ambiguous }) =>
      [name.toLowerCase(), ...names].filter(
        (one) => !one.includes(' ') && !ambiguous.includes(one),
      ),
    );
  return { ...wordClasses, [FRUIT_WORDS]: [...(wordClasses[FRUIT_WORDS] ?? []), ...named] };
}

/** What words have in common: the classes of the phrases and the lists of like meaning. */
function synonymsOf({ wordClasses, synonyms }: Library): SynonymsOf {
  return makeSynonyms([compileClasses(wordClasses), compileClasses(synonyms)]);
}

/** The findings of each group, in the order of its choices. */
function membersOf({ findings, groups }: Library): ReadonlyMap<string, readonly Finding[]> {
  const members = new Map<string, Finding[]>();
  for (const finding of findings)
    if (finding.group !== undefined)
      members.set(finding.group, [...(members.get(finding.group) ?? []), finding]);
  for (const { id, choices } of groups)
    members.get(id)?.sort((a, b) => choices.indexOf(a.id) - choices.indexOf(b.id));
  return members;
}

/** The look that shows each finding. */
function lookOf({ looks }: Library): Compiled['lookOf'] {
  const known = new Map<string, Look>(looks.flatMap((look) => look.shows.map((id) => [id, look])));
  return (finding) => known.get(finding) ?? null;
}

/** Compiles a checked library. Programmer's mistake, and so a throw, when it was not checked. */
export function compileLibrary(library: Library): Compiled {
  const allFindings = [...library.findings, ...library.careTopics.map(careFinding)];
  const allCauses = [...library.causes, ...library.careTopics.map(careCause)];
  const findings = byId<FindingId, Finding>(allFindings);
  const implied = impliedBy(findings);
  const taxonomy = buildTaxonomy(library.plants);
  const classes = compileClasses(withFruitNames(library, taxonomy));
  const isContext = (id: FindingId): boolean => findings.get(id)?.kind === 'context';
  const strengths = new Map(
    allCauses.map((cause) => [cause.id, strengthsOf(cause, implied, isContext)]),
  );
  const treatments = byId<TreatmentId, Treatment>([
    ...library.treatments,
    ...library.careTopics.flatMap(careTreatments),
  ]);
  const phrases = allFindings.flatMap((finding) =>
    finding.phrases.map((text) => compilePhrase(text, finding, classes)),
  );
  const phraseUses = countUses(phrases);
  const synonyms = synonymsOf(library);
  const groupMembers = membersOf(library);
  const areas = byId(library.areas);
  return {
    version: library.version,
    plants: byId<PlantId, Plant>(library.plants),
    findings,
    groups: byId<string, FindingGroup>(library.groups),
    groupMembers,
    lookOf: lookOf(library),
    causes: byId<CauseId, Cause>(allCauses),
    treatments,
    views: library.views,
    sampleKinds: library.sampleKinds,
    places: library.places,
    taxonomy,
    plantNames: buildPlantNames(library.plants),
    phrases: buildPhraseIndex(phrases, phraseUses),
    phraseUses,
    wordModel: library.wordModel && compileWordModel(library.wordModel, synonyms),
    synonyms,
    implied,
    strengths,
    descriptions: once(() =>
      buildDescriptions({ causes: allCauses, findings, treatments, strengths, classes }),
    ),
    topicWords: once(() => buildTopicWords(library.careTopics, sensesOf(classes))),
    shownBy: shownBy(strengths),
    hosting: buildHosting(allCauses, taxonomy),
    presenceOf: ({ range }, region) => presenceIn(range, region, areas),
    lawsOf: (region) => lawsOf(library.laws, region, areas),
    traitsIn: (plant, region) => traitsIn(taxonomy.traits(plant), region, areas),
    dangers: compileDangers(library.dangers, library.dangerWords),
    contacts: library.contacts,
  };
}

/**
 * Prior weight of a cause among enquiries before host, season and evidence; only ratios matter, and ratios of weights
 * are ratios of probability.
 */
export function commonnessOf(cause: Cause): number {
  return COMMONNESS[cause.common];
}

/**
 * How often people ask about a plant, as a weight of at least 0 whose ratios are ratios of probability. An unknown
 * plant has 1.
 */
export function popularityOf(library: Compiled, plant: PlantId): number {
  const known = library.plants.get(plant);
  return known ? COMMONNESS[known.common] : 1;
}
