import type { FindingId, PlantId } from '../schema/common.ts';
import type { Finding } from '../schema/finding.ts';
import { askedShare, askingSentences, asksOnly } from './asking.ts';
import { withoutFillers } from './fillers.ts';
import {
  findPlants,
  rankPlants,
  type PlantMention,
  type PlantNames,
  type RankedPlant,
} from './plantNames.ts';
import {
  isQuestionOfCare,
  readTelling,
  TELLS_PLAINLY,
  toCandidate,
  type Candidate,
  type Spoken,
} from './candidates.ts';
import {
  asExtracted,
  describedOf,
  judgeReadings,
  resolveExclusiveGroups,
  type ToJudge,
} from './chosen.ts';
import { withoutClaimedWords, type Weights } from './spanConflicts.ts';
import { readNaming, withoutNames, stripPossessors, type Named } from './named.ts';
import { NEGATORS } from './phrase.ts';
import type { PhraseIndex, PhraseMatch } from './phraseIndex.ts';
import { readTheories } from './theories.ts';
import { readRequests, type Request } from './requests.ts';
import type { ScoredReading } from './readings.ts';
import type { Chosen } from './chosen.ts';
import { readAssertion, type AssertionStatus } from './assertion.ts';
import { stem } from './stem.ts';
import { boilerplateSpans } from './boilerplate.ts';
import { MAX_TEXT, tokenize, type Span, type Token } from './tokens.ts';
import { scoreSentences, type SentenceScores, type WordModel } from './wordModel.ts';

/** A finding understood from the text. */
export interface ExtractedFinding {
  readonly finding: FindingId;
  readonly value: boolean;
  /** How sure the speaker is, 0 to 1. */
  readonly sure: number;
  readonly span: Span;
}

/** What was understood from a text. */
export interface Extracted {
  readonly plants: readonly RankedPlant[];
  readonly mentions: readonly PlantMention[];
  readonly findings: readonly ExtractedFinding[];
  /** What the words may mean too, not likely enough to be heard; worth asking back. */
  readonly halfHeard: readonly ExtractedFinding[];
  /** Words that tell of the trouble itself: what is denied, guessed at or names the plant is left out. */
  readonly contentWords: readonly Token[];
  /** Asks how or when a thing is done, and reports nothing seen. */
  readonly asks: boolean;
  /** Share of its words in sentences that ask or wish, 0 to 1; 0 where it does not only ask. */
  readonly askedShare: number;
  /** What is asked for, in the order of the text. */
  readonly requests: readonly Request[];
  /** What the trouble is taken for, said and not asked. */
  readonly theories: readonly Request[];
}

/** What the language context needs from the library. */
export interface LanguageContext extends Named {
  readonly plantNames: PlantNames;
  readonly phrases: PhraseIndex<Finding>;
  readonly phraseUses: ReadonlyMap<string, number>;
  /** Without it what a phrase says is heard, and nothing else. */
  readonly wordModel: WordModel | null;
  readonly findings: ReadonlyMap<FindingId, Finding>;
  readonly lineage: (id: PlantId) => readonly PlantId[];
  readonly implied: (id: FindingId) => readonly FindingId[];
  /** Findings that can be reported of a plant, shown by some cause of it or of a kind of it, and how commonly. */
  readonly shownOn: (plant: PlantId) => ReadonlyMap<FindingId, number>;
  /** Stems that go without saying once the plant is known: that its fruit is meant, or the grass of a lawn. */
  readonly understood: (plant: PlantId) => ReadonlySet<string>;
}

/** Words of a text without quotations, signatures, names and addresses. */
export function stemmedTokens(text: string): readonly Token[] {
  const unheard = boilerplateSpans(text);
  const tokens = tokenize(text);
  if (unheard.length === 0) return tokens;
  let next = 0;
  return tokens.filter(({ start, end }) => {
    while ((unheard[next]?.end ?? Infinity) <= start) next++;
    const span = unheard[next];
    return !span || end <= span.start;
  });
}

const FRUIT = stem('fruit');

/** A plant that is meant with less confidence does not decide what can be reported. */
const MIN_CONFIDENCE = 0.3;

/** How commonly each finding is shown on the plants spoken of, where it can be reported of them; null when none is known. */
function isReportable(
  languageContext: LanguageContext,
  plants: readonly PlantId[],
): ReadonlyMap<FindingId, number> | null {
  const [only] = plants;
  if (only === undefined) return null;
  if (plants.length === 1) return languageContext.shownOn(only);
  return new Map(plants.flatMap((plant) => [...languageContext.shownOn(plant)]));
}

/** Questions of care are extracted from sentences that ask alone: who reports a trouble says of others what was done ("we put wood ash on them"). */
function withoutUnasked(
  candidates: readonly Candidate[],
  text: string,
  tokens: readonly Token[],
  stance: AssertionStatus,
): readonly Candidate[] {
  const asking = askingSentences(text, tokens, stance);
  const asks = (i: number): boolean => asking.has(tokens[i]?.sentence ?? -1);
  return candidates.filter(
    ({ target, positions }) => !isQuestionOfCare(target) || positions.some(asks),
  );
}

/** Whether the words at a stretch of the text report something, and whether with doubt. */
function statusOver(tokens: readonly Token[], stance: AssertionStatus) {
  const places = new Map(tokens.map(({ start }, i) => [start, i]));
  const some = ({ start, end }: Span, is: (i: number) => boolean): boolean => {
    for (let i = places.get(start) ?? tokens.length; (tokens[i]?.end ?? Infinity) <= end; i++)
      if (is(i)) return true;
    return false;
  };
  const at = (flags: readonly boolean[], span: Span): boolean =>
    some(span, (i) => flags[i] === true);
  const denies = (span: Span): boolean => at(stance.denied, span);
  // "No rain" may tell of a drought by its "no", or deny the wet: the words alone do not say which.
  const isOpen = (span: Span): boolean =>
    denies(span) && some(span, (i) => NEGATORS.has(tokens[i]?.stem ?? ''));
  return {
    reports: (span: Span): boolean =>
      !at(stance.theory, span) && !at(stance.planned, span) && !isOpen(span),
    denies,
    speculates: (span: Span): boolean => at(stance.speculated, span),
    doubts: (span: Span): boolean => at(stance.doubted, span),
  };
}

/**
 * What happened, was done or was about is no report where it is asked, guessed or intended ("did I drown it?"); what
 * is seen on the plant is one all the same ("is it normal that the leaves are yellow?").
 */
function isSpeculation(
  { findings }: LanguageContext,
  { finding, value, span }: Chosen,
  speculates: (span: Span) => boolean,
): boolean {
  const about = findings.get(finding);
  if (!about || !value || about.forAdvice || isQuestionOfCare(about)) return false;
  return (about.kind === 'context' || about.part === 'around') && speculates(span);
}

/** "It has not been pruned in years, where do I start" denies no question. */
function isDeniedQuestion({ findings }: LanguageContext, { finding, value }: Chosen): boolean {
  const about = findings.get(finding);
  return !value && about !== undefined && isQuestionOfCare(about);
}

/** A word of so many phrases is uninformative; each e times fewer add 1. */
const TELLS_NOTHING = 3000;
const MIN_RARITY = 0.5;

function idfOf({ phraseUses }: LanguageContext, { stem: word }: Token): number {
  const uses = phraseUses.get(word) ?? 1;
  return Math.max(MIN_RARITY, Math.log(TELLS_NOTHING / uses));
}

/** What is known of a text before its readings are chosen. */
interface ReadText extends Pick<
  Extracted,
  'plants' | 'mentions' | 'contentWords' | 'asks' | 'askedShare' | 'requests' | 'theories'
> {
  /** Readings of phrases that fit and own their words. */
  readonly kept: readonly Candidate[];
  readonly toJudge: Omit<ToJudge, 'model'>;
}

const NO_SCORES: ReadonlyMap<number, SentenceScores> = new Map();

/** Phrase matches as readings of findings; of findings that the plant cannot show only those that are said plainly. */
function candidatesOf(
  said: Spoken,
  matches: Iterable<PhraseMatch<Finding>>,
  canTell: (id: FindingId) => boolean,
): readonly Candidate[] {
  const read: Candidate[] = [];
  for (const match of matches) {
    const fitsPlant = canTell(match.phrase.target.id);
    // Most matches are of other plants.
    if (!fitsPlant && match.positions.length < TELLS_PLAINLY) continue;
    const candidate = toCandidate(said, match, fitsPlant);
    if (candidate) read.push(candidate);
  }
  return read;
}

/** What readings of the same words are weighed by; `reportable` is null where any plant may be meant. */
function weightsOf(
  languageContext: LanguageContext,
  spoken: readonly Token[],
  sentences: ReadonlyMap<number, SentenceScores>,
  reportable: ReadonlyMap<FindingId, number> | null,
): Weights {
  const idfs = spoken.map((token) => idfOf(languageContext, token));
  return {
    logOdds: ({ finding, sentence }) => sentences.get(sentence)?.logOddsOf(finding) ?? 0,
    implied: languageContext.implied,
    idf: (position) => idfs[position] ?? MIN_RARITY,
    common: (id) => (reportable === null ? 1 : (reportable.get(id) ?? 0)),
  };
}

/** A word that is neither denied nor somebody's theory, nor, beside a report, asked or guessed. */
const isStated = ({ denied, theory, speculated }: AssertionStatus, asks: boolean, i: number) =>
  denied[i] !== true && theory[i] !== true && (asks || speculated[i] !== true);

function readText(
  languageContext: LanguageContext,
  model: WordModel | null,
  text: string,
  plant: PlantId | null,
): ReadText {
  const whole = stemmedTokens(text.slice(0, MAX_TEXT));
  const tokens = withoutFillers(whole);
  const mentions = findPlants(languageContext.plantNames, tokens, (one) =>
    languageContext.phraseUses.has(one),
  );
  const plants = rankPlants(mentions, languageContext.lineage);
  const meant = plants.filter(({ confidence }) => confidence >= MIN_CONFIDENCE);
  const reportable = isReportable(
    languageContext,
    plant === null ? meant.map((one) => one.plant) : [plant],
  );
  const spoken = withoutNames(
    languageContext,
    stripPossessors(languageContext, tokens, mentions),
    mentions,
  );
  const assertion = readAssertion(spoken);
  const sentences = model ? scoreSentences(model, whole) : NO_SCORES;
  const weights = weightsOf(languageContext, spoken, sentences, reportable);
  const naming = readNaming(spoken, mentions, (one) => languageContext.understood(one).has(FRUIT));
  const about = plant ?? (meant.length === 1 ? meant[0]?.plant : undefined);
  const understood = about === undefined ? undefined : languageContext.understood(about);
  const canTell = (id: FindingId): boolean => reportable?.has(id) ?? true;
  const said = { tokens: spoken, assertion, naming, hasContent: readTelling(spoken) };
  const read = candidatesOf(said, languageContext.phrases(spoken, understood), canTell);
  const seen = read.some(({ fits, target, value }) => fits && value && target.kind !== 'context');
  const candidates = seen ? withoutUnasked(read, text, spoken, assertion) : read;
  const kept = withoutClaimedWords(
    candidates.filter(({ fits }) => fits),
    weights,
  );
  const requests = readRequests(whole);
  const asks = !seen && asksOnly(text, spoken, assertion, requests);
  const contentWords = spoken.filter((_, i) => isStated(assertion, asks, i) && !naming.named[i]);
  const toJudge = {
    groupOf: (id: FindingId) => languageContext.findings.get(id)?.group,
    implied: languageContext.implied,
    sentences,
    candidates,
    kept: new Set(kept),
    common: (id: FindingId) => reportable?.get(id) ?? 0,
    canTell,
    idf: weights.idf,
    assertion: statusOver(spoken, assertion),
  };
  return {
    plants,
    mentions,
    contentWords,
    asks,
    askedShare: asks ? askedShare(text, whole, readAssertion(whole), requests) : 0,
    ...{ requests, theories: readTheories(text, whole) },
    kept,
    toJudge,
  };
}

/**
 * Every reading of a text with its features and log-odds (natural logarithm; a probability of 0.5 is 0), for
 * training. Readings of care questions are left out.
 */
export function scoreText(
  languageContext: LanguageContext,
  model: WordModel,
  text: string,
): readonly ScoredReading[] {
  return describedOf({ ...readText(languageContext, model, text, null).toJudge, model }, -Infinity);
}

const inTextOrder = (chosen: readonly Chosen[]): readonly ExtractedFinding[] =>
  chosen
    .map(({ finding, value, sure, span }) => ({ finding, value, sure, span }))
    .sort((a, b) => a.span.start - b.span.start || a.span.end - b.span.end);

/**
 * Extracts the plants a text names and the findings it reports, each with its span in UTF-16 characters, 0-indexed.
 * `plant` is the plant when it is known, else null; it decides which findings are possible. Sureness is a
 * probability, 0 to 1. Deterministic; text beyond {@link MAX_TEXT} characters is not read.
 */
export function extract(
  languageContext: LanguageContext,
  text: string,
  plant: PlantId | null = null,
): Extracted {
  const { kept, toJudge, ...read } = readText(
    languageContext,
    languageContext.wordModel,
    text,
    plant,
  );
  const { likely, halfHeard } = languageContext.wordModel
    ? judgeReadings({ ...toJudge, model: languageContext.wordModel })
    : { likely: kept.map(asExtracted), halfHeard: [] };
  const isSaid = (one: Chosen): boolean =>
    !isSpeculation(languageContext, one, toJudge.assertion.speculates) &&
    !isDeniedQuestion(languageContext, one);
  const findings = inTextOrder(resolveExclusiveGroups(likely.filter(isSaid)));
  const heard = new Set(findings.map(({ finding }) => finding));
  return {
    ...read,
    findings,
    halfHeard: inTextOrder(
      resolveExclusiveGroups(halfHeard.filter((one) => isSaid(one) && !heard.has(one.finding))),
    ),
  };
}
