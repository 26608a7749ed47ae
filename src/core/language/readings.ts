import { entryAt } from '../util/entryAt.ts';
import type { FindingId } from '../schema/common.ts';
import type { Candidate } from './candidates.ts';
import { NEGATORS } from './phrase.ts';
import type { Span } from './tokens.ts';
import { speaksFor, type SentenceScores, type WordModel } from './wordModel.ts';

/**
 * How likely each reading of a sentence is right. Phrases and the words of the sentence as a whole are two witnesses: a
 * phrase says which words stand near each other, the words say what enquirers mean who use them. What one heard alone
 * needs more than what both heard. The weights are learned from sentences that no phrase was written for.
 */

/** All that speaks for one finding in one sentence. */
interface Group {
  readonly finding: FindingId;
  readonly value: boolean;
  readonly sentence: number;
  readonly candidates: readonly Candidate[];
}

/** What is known of the text besides. */
export interface ReadingContext {
  /** How commonly the plant shows a finding; 0 where it never does. */
  readonly common: (id: FindingId) => number;
  readonly canTell: (id: FindingId) => boolean;
  readonly kept: ReadonlySet<Candidate>;
  readonly idf: (position: number) => number;
  /** Whether the words at a stretch of the text report what they tell: it is not guessed or planned, and they leave no doubt whether it is there. */
  readonly reports: (span: Span) => boolean;
  readonly denies: (span: Span) => boolean;
}

const MIN_COMMON = 0.003;

const num = (flag: boolean | undefined): number => (flag === true ? 1 : 0);

const idfOf = ({ contentWords }: Candidate, readingContext: ReadingContext): number => {
  let sum = 0;
  for (const place of contentWords) sum += readingContext.idf(place);
  return sum;
};

/** The candidate that says most: what was kept, then what fits, near before far, then the rarest words. */
function bestOf(
  candidates: readonly Candidate[],
  readingContext: ReadingContext,
): Candidate | null {
  if (candidates.length < 2) return candidates[0] ?? null;
  let [best, most]: [Candidate | null, number] = [null, -Infinity];
  for (const one of candidates) {
    const ranked =
      8 * num(readingContext.kept.has(one)) +
      4 * num(one.fits) +
      2 * num(!one.far) +
      idfOf(one, readingContext) / 100;
    if (ranked > most) [best, most] = [one, ranked];
  }
  return best;
}

/** What is known of one reading. */
interface ReadingFeatures {
  readonly value: boolean;
  readonly best: Candidate | null;
  readonly kept: number;
  readonly phrases: number;
  readonly fitting: number;
  /** Log-odds by the words of the sentence. */
  readonly odds: number;
  readonly leading: readonly number[];
  readonly rarity: number;
  readonly common: number;
  /** Words of the sentence. */
  readonly length: number;
}

function factsOf(
  { finding, value, candidates }: Group,
  best: Candidate | null,
  scores: SentenceScores,
  readingContext: ReadingContext,
): ReadingFeatures {
  let [kept, fitting] = [0, 0];
  for (const one of candidates) {
    if (one.fits) fitting++;
    if (readingContext.kept.has(one)) kept = 1;
  }
  return {
    value,
    best,
    kept,
    phrases: candidates.length,
    fitting,
    odds: scores.logOddsOf(finding),
    leading: scores.leading,
    rarity: best ? idfOf(best, readingContext) : 0,
    common: readingContext.common(finding),
    length: scores.words.length,
  };
}

function rankOf({ odds, leading }: ReadingFeatures): number {
  let rank = 0;
  while ((leading[rank] ?? -Infinity) > odds) rank++;
  return rank;
}

/** Traits of a reading, numbers whose weighted sum is its log-odds. */
const TRAITS: readonly (readonly [string, (facts: ReadingFeatures) => number])[] = [
  ['kept', ({ kept }) => kept],
  ['fits', ({ fitting }) => num(fitting > 0)],
  ['phrased', ({ best }) => num(best !== null)],
  ['phrases', ({ phrases }) => Math.log(1 + phrases)],
  ['fitting', ({ fitting }) => Math.log(1 + fitting)],
  ['words', ({ odds }) => odds],
  ['wordsPhrased', ({ odds, best }) => (best ? odds : 0)],
  ['wordsKept', ({ odds, kept }) => odds * kept],
  ['rank', rankOf],
  ['lead', ({ odds, leading }) => odds - (leading[0] ?? odds)],
  ['telling', ({ best }) => Math.min(4, best?.contentWords.length ?? 0)],
  ['rarity', ({ rarity }) => rarity / 5],
  ['between', ({ best }) => Math.min(5, best?.between ?? 0)],
  ['gap', ({ best }) => Math.min(6, best?.gap ?? 0)],
  ['far', ({ best }) => num(best?.far)],
  ['offPart', ({ best }) => num(best?.offPart)],
  ['offMarks', ({ best }) => num(best?.offMarks)],
  ['thin', ({ best }) => num(best?.thin)],
  ['offPlant', ({ best }) => num(best?.offPlant)],
  ['common', ({ common }) => Math.log(Math.max(MIN_COMMON, common))],
  ['denied', ({ value }) => num(!value)],
  ['deniedKept', ({ value, kept }) => (value ? 0 : kept)],
  ['deniedWords', ({ value, odds }) => (value ? 0 : odds)],
  ['negates', ({ best }) => num(best?.negates)],
  ['context', ({ best }) => num(best?.sort === 'context')],
  ['around', ({ best }) => num(best?.sort === 'around')],
  ['length', ({ length }) => Math.min(25, length) / 10],
];

/** Names of the traits of a reading. */
export const FEATURE_NAMES: readonly string[] = TRAITS.map(([name]) => name);

/** Tells the log-odds that a reading is right; the weight of `always` counts for all readings. */
function makeLogOddsOf(weights: ReadonlyMap<string, number>): (facts: ReadingFeatures) => number {
  const always = weights.get('always') ?? 0;
  const weighed = TRAITS.flatMap(([name, trait]) => {
    const weight = weights.get(name) ?? 0;
    return weight === 0 ? [] : [{ weight, trait }];
  });
  return (facts) => {
    let odds = always;
    for (const { weight, trait } of weighed) odds += weight * trait(facts);
    return odds;
  };
}

/** The stretch of a sentence whose words tell most of a finding. */
function spanOf(
  model: WordModel,
  { words, stems }: SentenceScores,
  finding: FindingId,
): Span | null {
  const number = model.numberOf.get(finding) ?? -1;
  const adds = stems.map((known) => speaksFor(known, number));
  const most = Math.max(...adds);
  if (!(most > 0)) return null;
  const at = adds.indexOf(most);
  const tells = (i: number): boolean => entryAt(adds, i) > 0.4 * most;
  let [from, to] = [at, at];
  for (let i = at - 1; i >= Math.max(0, at - 3); i--) if (tells(i)) from = i;
  for (let i = at + 1; i <= Math.min(adds.length - 1, at + 3); i++) if (tells(i)) to = i;
  return { start: entryAt(words, from).start, end: entryAt(words, to).end };
}

/** Candidates that say the same in a sentence together, by the number of the sentence. */
function groupsOf(candidates: readonly Candidate[]): ReadonlyMap<number, readonly Group[]> {
  const sentences = new Map<number, Map<string, Group & { readonly candidates: Candidate[] }>>();
  for (const candidate of candidates) {
    const { finding, value, sentence } = candidate;
    const groups = sentences.get(sentence) ?? new Map<string, never>();
    sentences.set(sentence, groups);
    const key = value ? finding : `not ${finding}`;
    const known = groups.get(key);
    if (known) known.candidates.push(candidate);
    else groups.set(key, { finding, value, sentence, candidates: [candidate] });
  }
  return new Map([...sentences].map(([number, groups]) => [number, [...groups.values()]]));
}

/** A reading with what is known of it. */
export interface ScoredReading {
  readonly finding: FindingId;
  readonly value: boolean;
  /** The best candidate; null where only the words of the sentence tell. */
  readonly candidate: Candidate | null;
  readonly sentence: number;
  readonly span: Span;
  /** Places of the words that tell it; null where only the words of the sentence tell. */
  readonly contentWords: readonly number[] | null;
  /** Log-odds that it is right, apart from other readings of its words. */
  readonly logOdds: number;
  /** Its traits in the order of {@link FEATURE_NAMES}. */
  readonly features: () => readonly number[];
}

/** Findings that no phrase scores of but the words of the sentence do. */
function scoredByWords(
  model: WordModel,
  sentence: number,
  { likely, words }: SentenceScores,
  phrased: ReadonlySet<FindingId>,
  readingContext: ReadingContext,
): readonly Group[] {
  const groups: Group[] = [];
  // "No." by itself.
  if (words.every(({ stem }) => NEGATORS.has(stem))) return groups;
  for (const f of likely) {
    const finding = model.findings[f];
    if (finding === undefined || phrased.has(finding) || !readingContext.canTell(finding)) continue;
    groups.push({ finding, value: true, sentence, candidates: [] });
  }
  return groups;
}

/**
 * The readings of a text with log-odds of at least `leastOdds` (natural logarithm; a probability of 0.5 is 0): what
 * phrases found and what the words of a sentence suggest.
 */
export function scoreReadings(
  model: WordModel,
  sentences: ReadonlyMap<number, SentenceScores>,
  candidates: readonly Candidate[],
  readingContext: ReadingContext,
  leastOdds: number,
): readonly ScoredReading[] {
  const groups = groupsOf(candidates);
  const oddsOf = makeLogOddsOf(model.readings);
  const described: ScoredReading[] = [];
  for (const [number, scores] of sentences) {
    const own = groups.get(number) ?? [];
    const phrased = new Set(own.map(({ finding }) => finding));
    for (const group of [
      ...own,
      ...scoredByWords(model, number, scores, phrased, readingContext),
    ]) {
      const { finding } = group;
      const best = bestOf(group.candidates, readingContext);
      const said = factsOf(group, best, scores, readingContext);
      const saidOdds = oddsOf(said);
      if (saidOdds < leastOdds) continue;
      const span = best?.span ?? spanOf(model, scores, finding);
      if (!span || (best === null && !readingContext.reports(span))) continue;
      const denied = best === null && readingContext.denies(span);
      const facts = denied ? { ...said, value: false } : said;
      const logOdds = denied ? oddsOf(facts) : saidOdds;
      if (logOdds < leastOdds) continue;
      described.push({
        finding,
        value: facts.value,
        candidate: best,
        sentence: number,
        span,
        contentWords: best?.contentWords ?? null,
        logOdds,
        features: () => TRAITS.map(([, trait]) => trait(facts)),
      });
    }
  }
  return described;
}
