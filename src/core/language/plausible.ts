import type { FindingId } from '../knowledge/schema/common.ts';
import type { Candidate } from './candidates.ts';
import type { Span } from './tokens.ts';
import type { Told, WordModel } from './wordModel.ts';

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
export interface Heed {
  /** How commonly the plant shows a finding; 0 where it never does. */
  readonly common: (id: FindingId) => number;
  readonly canTell: (id: FindingId) => boolean;
  readonly kept: ReadonlySet<Candidate>;
  readonly rarity: (position: number) => number;
  /** Whether the words at a stretch of the text report what they tell: it is not denied, guessed or planned. */
  readonly reports: (span: Span) => boolean;
}

/** Traits of a reading by name; only numbers, so that their weighted sum is its log-odds. */
export type Traits = Readonly<Record<string, number>>;

/** Words are worth a reading of their own from these log-odds. */
const LEAST_ODDS = -2.5;
const LEAST_COMMON = 0.003;
const MOST_RANKS = 5;
const RANKED = 10;

const num = (flag: boolean): number => (flag ? 1 : 0);
const least = (limit: number, value: number): number => Math.min(limit, value);

/** The candidate that says most: what was kept, then what fits, near before far, then the rarest words. */
function bestOf(candidates: readonly Candidate[], heed: Heed): Candidate | null {
  const rarity = ({ telling }: Candidate): number =>
    telling.reduce((sum, place) => sum + heed.rarity(place), 0);
  const rank = (one: Candidate): number =>
    8 * num(heed.kept.has(one)) + 4 * num(one.fits) + 2 * num(!one.far) + rarity(one) / 100;
  let [best, most]: [Candidate | null, number] = [null, -Infinity];
  for (const one of candidates) {
    const ranked = rank(one);
    if (ranked > most) [best, most] = [one, ranked];
  }
  return best;
}

interface Sentence {
  readonly told: Told;
  /** Log-odds of the likeliest findings, downwards. */
  readonly leading: readonly number[];
}

function traitsOf(
  { finding, value, candidates }: Group,
  best: Candidate | null,
  { told, leading }: Sentence,
  heed: Heed,
): Traits {
  const odds = told.oddsOf(finding);
  const kept = num(candidates.some((one) => heed.kept.has(one)));
  const phrased = num(best !== null);
  return {
    kept,
    fits: num(candidates.some((one) => one.fits)),
    phrased,
    phrases: Math.log(1 + candidates.length),
    fitting: Math.log(1 + candidates.filter((one) => one.fits).length),
    words: odds,
    wordsPhrased: odds * phrased,
    wordsKept: odds * kept,
    rank: least(MOST_RANKS, leading.filter((one) => one > odds).length),
    lead: odds - (leading[0] ?? odds),
    telling: least(4, best?.telling.length ?? 0),
    rarity: (best?.telling ?? []).reduce((sum, place) => sum + heed.rarity(place), 0) / 5,
    between: least(5, best?.between ?? 0),
    gap: least(6, best?.gap ?? 0),
    far: num(best?.far ?? false),
    offPart: num(best?.offPart ?? false),
    offMarks: num(best?.offMarks ?? false),
    thin: num(best?.thin ?? false),
    offPlant: num(best?.offPlant ?? false),
    common: Math.log(Math.max(LEAST_COMMON, heed.common(finding))),
    denied: num(!value),
    deniedKept: kept * num(!value),
    deniedWords: odds * num(!value),
    negates: num(best?.negates ?? false),
    context: num(best?.sort === 'context'),
    around: num(best?.sort === 'around'),
    length: least(25, told.words.length) / 10,
  };
}

/** The greatest numbers of a list, downwards. */
function greatest(numbers: Float64Array, count: number): readonly number[] {
  const top: number[] = [];
  for (let i = 0; i < numbers.length; i++) {
    const one = numbers[i] ?? 0;
    if (top.length === count && one <= (top[count - 1] ?? 0)) continue;
    let at = top.length;
    while (at > 0 && one > (top[at - 1] ?? 0)) at--;
    top.splice(at, 0, one);
    if (top.length > count) top.pop();
  }
  return top;
}

/** The stretch of a sentence whose words tell most of a finding. */
function spanOf({ words, adds: addsOf }: Told, finding: number): Span | null {
  const adds = words.map(({ stem }) => addsOf(stem, finding));
  const most = Math.max(...adds);
  if (!(most > 0)) return null;
  const at = adds.indexOf(most);
  const tells = (i: number): boolean => (adds[i] ?? 0) > 0.4 * most;
  let [from, to] = [at, at];
  for (let i = at - 1; i >= at - 3; i--) if (tells(i)) from = i;
  for (let i = at + 1; i <= at + 3; i++) if (tells(i)) to = i;
  return { start: words[from]?.start ?? 0, end: words[to]?.end ?? 0 };
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
export interface Described {
  readonly finding: FindingId;
  readonly value: boolean;
  /** The best candidate; null where only the words of the sentence tell. */
  readonly candidate: Candidate | null;
  readonly span: Span;
  readonly traits: Traits;
}

/** Findings that no phrase told of but the words of the sentence do. */
function toldByWords(
  model: WordModel,
  sentence: number,
  { odds }: Told,
  phrased: ReadonlySet<FindingId>,
  heed: Heed,
): readonly Group[] {
  const groups: Group[] = [];
  for (let f = 0; f < odds.length; f++) {
    const finding = (odds[f] ?? 0) > LEAST_ODDS ? model.findings[f] : undefined;
    if (finding === undefined || phrased.has(finding) || !heed.canTell(finding)) continue;
    groups.push({ finding, value: true, sentence, candidates: [] });
  }
  return groups;
}

/** The readings of a text whose traits are worth it: what a phrase heard, well or badly, and what the words of a sentence tell. */
export function describeReadings(
  model: WordModel,
  sentences: ReadonlyMap<number, Told>,
  candidates: readonly Candidate[],
  heed: Heed,
  isWorth: (traits: Traits) => boolean,
): readonly Described[] {
  const groups = groupsOf(candidates);
  return [...sentences].flatMap(([number, told]) => {
    const leading = greatest(told.odds, RANKED);
    const own = groups.get(number) ?? [];
    const phrased = new Set(own.map(({ finding }) => finding));
    const all = [...own, ...toldByWords(model, number, told, phrased, heed)];
    return all.flatMap((group): Described[] => {
      const { finding, value } = group;
      const best = bestOf(group.candidates, heed);
      const traits = traitsOf(group, best, { told, leading }, heed);
      if (!isWorth(traits)) return [];
      const span = best?.span ?? spanOf(told, model.numberOf.get(finding) ?? -1);
      if (!span || (best === null && !heed.reports(span))) return [];
      return [{ finding, value, candidate: best, span, traits }];
    });
  });
}

/** Chance that a reading with these traits is right. */
export function chanceOf({ readings }: Pick<WordModel, 'readings'>, traits: Traits): number {
  let odds = 0;
  // What is no trait, as `always`, counts for all readings.
  for (const [name, weight] of readings) odds += weight * (traits[name] ?? 1);
  return 1 / (1 + Math.exp(-odds));
}
