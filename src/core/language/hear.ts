import type { FindingId, PlantId } from '../knowledge/schema/common.ts';
import type { Finding } from '../knowledge/schema/finding.ts';
import { askingSentences, asksOnly } from './asking.ts';
import { withoutFillers } from './fillers.ts';
import {
  findPlants,
  rankPlants,
  type PlantMention,
  type PlantNames,
  type RankedPlant,
} from './plantNames.ts';
import { readNaming, withoutNames, withoutOwners, type Named, type Naming } from './named.ts';
import { withoutClaimedWords, type Reading, type Weights } from './compete.ts';
import { fitsMarks } from './marksFit.ts';
import { fitsPart, namesPart } from './partFit.ts';
import { NEGATORS } from './phrase.ts';
import type { PhraseIndex, PhraseMatch } from './phraseIndex.ts';
import { readStance, type Stance } from './stance.ts';
import { stem, stemSet } from './stem.ts';
import { unheardSpans } from './unheard.ts';
import { LONGEST_TEXT, tokenize, type Span, type Token } from './tokens.ts';

/** A finding understood from the text. */
export interface HeardFinding {
  readonly finding: FindingId;
  readonly value: boolean;
  /** How sure the speaker is, 0 to 1. */
  readonly sure: number;
  readonly span: Span;
}

/** What was understood from a text. */
export interface Heard {
  readonly plants: readonly RankedPlant[];
  readonly mentions: readonly PlantMention[];
  readonly findings: readonly HeardFinding[];
  /** Words that tell of the trouble itself: what is denied, guessed at or names the plant is left out. */
  readonly telling: readonly Token[];
  /** Asks how or when a thing is done, and tells of nothing seen. */
  readonly asks: boolean;
}

/** What the ear needs from the library. */
export interface Ear extends Named {
  readonly plantNames: PlantNames;
  readonly phrases: PhraseIndex<Finding>;
  readonly phraseUses: ReadonlyMap<string, number>;
  readonly lineage: (id: PlantId) => readonly PlantId[];
  readonly implied: (id: FindingId) => readonly FindingId[];
  /** Findings that can be told of a plant, shown by some cause of it or of a kind of it, and how commonly. */
  readonly shownOn: (plant: PlantId) => ReadonlyMap<FindingId, number>;
  /** Stems that go without saying once the plant is known: that its fruit is meant, or the grass of a lawn. */
  readonly understood: (plant: PlantId) => ReadonlySet<string>;
}

/** Telling words that a phrase needs when they stand far apart. */
const TELLS_FROM_AFAR = 2;

const LIKE = stem('like');
const FRUIT = stem('fruit');
/** How sure a report is by the number of words that its phrase found: one word alone is often about something else. */
const SURE_BY_WORDS = [0.7, 0.7, 0.9, 0.95] as const;
const DOUBTFUL = 0.6;

const sureOf = (words: number): number =>
  SURE_BY_WORDS[Math.min(words, SURE_BY_WORDS.length - 1)] ?? DOUBTFUL;

interface Candidate extends HeardFinding, Reading {
  readonly target: Finding;
  readonly group: string | undefined;
}

/** Words for sizes and amounts, common verbs and small words tell little by themselves. */
const GENERAL = stemSet(
  'all big large huge giant enormous small tiny little some many every one turn go get come came look start keep stay become be is are was were have has had do in on at of to from with by for and or the a an it they them then that up off out down plant tree bush shrub',
);

function tellingOf(tokens: readonly Token[], positions: readonly number[]): readonly number[] {
  return positions.filter((i) => {
    const token = tokens[i];
    return token && !namesPart(token) && !NEGATORS.has(token.stem) && !GENERAL.has(token.stem);
  });
}

/** Asked about for its own sake, never as a sign: see careTopics.ts. */
const isQuestionOfCare = ({ kind, askable }: Finding): boolean => kind === 'context' && !askable;

/** "Like coffee grounds" says how something looks, and asks nothing about coffee. */
function isSimile(tokens: readonly Token[], i: number): boolean {
  return [1, 2, 3].some(
    (step) => tokens[i - step]?.stem === LIKE && tokens[i - step]?.sentence === tokens[i]?.sentence,
  );
}

const WHEN = stem('when');
const TELLERS = stemSet('i we they it he she the my you this that these');
const ASKERS = stemSet('know tell sure wonder wondering ask asking say');

/** "When I dug them up" tells of a time; "when do I dig" and "know when I can" ask for one. */
function tellsOfTime(tokens: readonly Token[], i: number): boolean {
  return (
    tokens[i]?.stem === WHEN &&
    TELLERS.has(tokens[i + 1]?.stem ?? '') &&
    !ASKERS.has(tokens[i - 1]?.stem ?? '')
  );
}

function sortOf({ kind, part }: Finding, negates: boolean, value: boolean): Candidate['sort'] {
  if (!value) return 'denied';
  if (kind === 'context') return 'context';
  if (part === 'around' || part === 'history') return 'around';
  return negates ? 'lacking' : 'seen';
}

function toCandidate(
  tokens: readonly Token[],
  stance: Stance,
  { wholes, fruits }: Naming,
  match: PhraseMatch<Finding>,
): Candidate | null {
  const { phrase, positions } = match;
  const any = (flags: readonly boolean[]): boolean =>
    positions.some((position) => flags[position] === true);
  const finding = phrase.target;
  if (finding.kind === 'sign' && any(stance.theory)) return null;
  if (!isQuestionOfCare(finding) && any(stance.planned)) return null;
  if (
    isQuestionOfCare(finding) &&
    positions.some((i) => isSimile(tokens, i) || tellsOfTime(tokens, i))
  )
    return null;
  if (finding.kind !== 'context' && positions.some((i) => wholes[i] === true)) return null;
  const telling = tellingOf(tokens, positions);
  if (match.far && telling.length < Math.min(TELLS_FROM_AFAR, positions.length)) return null;
  const told = { needsPart: phrase.needsPart, namesFruit: any(fruits) };
  if (!fitsPart(finding, tokens, positions, told)) return null;
  if (finding.kind !== 'context' && !fitsMarks(tokens, positions, telling)) return null;
  const first = tokens[Math.min(...positions)];
  const last = tokens[Math.max(...positions)];
  if (!first || !last) return null;
  const value = phrase.negates || stance.denied[Math.max(...positions)] !== true;
  return {
    finding: finding.id,
    target: finding,
    value,
    sure: any(stance.doubted) || match.far ? DOUBTFUL : sureOf(positions.length),
    span: { start: first.start, end: last.end },
    sort: sortOf(finding, phrase.negates, value),
    positions,
    telling,
    group: finding.group,
    far: match.far,
  };
}

/** A longer phrase says more than a shorter one; what was affirmed says more than what was denied elsewhere. */
function stronger(a: Candidate, b: Candidate): Candidate {
  if (a.value !== b.value) return a.value ? a : b;
  if (a.sure !== b.sure) return a.sure > b.sure ? a : b;
  return b.positions.length > a.positions.length ? b : a;
}

function oneForEach(candidates: readonly Candidate[]): readonly Candidate[] {
  const best = new Map<FindingId, Candidate>();
  for (const candidate of candidates) {
    const known = best.get(candidate.finding);
    best.set(candidate.finding, known ? stronger(known, candidate) : candidate);
  }
  return [...best.values()];
}

/** Of an exclusive group only one finding can hold: the longest phrase, the earlier one of equals. */
function oneForEachGroup(candidates: readonly Candidate[]): readonly Candidate[] {
  const chosen = new Map<string, Candidate>();
  for (const candidate of candidates) {
    if (candidate.group === undefined || !candidate.value) continue;
    const known = chosen.get(candidate.group);
    if (!known || candidate.positions.length > known.positions.length)
      chosen.set(candidate.group, candidate);
  }
  return candidates.filter(
    (one) =>
      one.group === undefined || !one.value || chosen.get(one.group)?.finding === one.finding,
  );
}

/** Words of a text without quotations, signatures, names and addresses. */
export function heardTokens(text: string): readonly Token[] {
  const unheard = unheardSpans(text);
  const tokens = tokenize(text);
  if (unheard.length === 0) return tokens;
  let next = 0;
  return tokens.filter(({ start, end }) => {
    while ((unheard[next]?.end ?? Infinity) <= start) next++;
    const span = unheard[next];
    return !span || end <= span.start;
  });
}

/** A plant that is meant with less confidence does not decide what can be told. */
const LEAST_CONFIDENCE = 0.3;

/** So many telling words are heard even of a plant on which the library knows no cause for it; lawn and needles, which not all plants have, must be named. */
const TELLS_PLAINLY = 3;

function isToldPlainly(
  tokens: readonly Token[],
  { telling, positions, target }: Candidate,
): boolean {
  // A question of care is about the plant it is asked of.
  if (isQuestionOfCare(target)) return false;
  const needsPart = target.part === 'turf' || target.part === 'needle';
  return telling.length >= TELLS_PLAINLY && fitsPart(target, tokens, positions, { needsPart });
}

/** How commonly each finding is shown on the plants spoken of, where it can be told of them; null when none is known. */
function tellable(ear: Ear, plants: readonly PlantId[]): ReadonlyMap<FindingId, number> | null {
  const [only] = plants;
  if (only === undefined) return null;
  if (plants.length === 1) return ear.shownOn(only);
  return new Map(plants.flatMap((plant) => [...ear.shownOn(plant)]));
}

/** Questions of care are heard in sentences that ask alone: who tells of a trouble says of others what was done ("we put wood ash on them"). */
function withoutUnasked(
  candidates: readonly Candidate[],
  text: string,
  tokens: readonly Token[],
  stance: Stance,
): readonly Candidate[] {
  const asking = askingSentences(text, tokens, stance);
  const asks = (i: number): boolean => asking.has(tokens[i]?.sentence ?? -1);
  return candidates.filter(
    ({ target, positions }) => !isQuestionOfCare(target) || positions.some(asks),
  );
}

/** A word of so many phrases tells about nothing; each e times fewer add 1. */
const TELLS_NOTHING = 3000;
const LEAST_RARITY = 0.5;

function rarityOf({ phraseUses }: Ear, token: Token | undefined): number {
  const uses = phraseUses.get(token?.stem ?? '') ?? 1;
  return Math.max(LEAST_RARITY, Math.log(TELLS_NOTHING / uses));
}

/**
 * Understands a text: the plants it names and the findings it reports, each with its place in the text. The
 * plant, when it is known otherwise, decides what can be told of it. Deterministic; text beyond
 * {@link LONGEST_TEXT} characters is not read.
 */
export function hear(ear: Ear, text: string, plant: PlantId | null = null): Heard {
  const tokens = withoutFillers(heardTokens(text.slice(0, LONGEST_TEXT)));
  const mentions = findPlants(ear.plantNames, tokens, (one) => ear.phraseUses.has(one));
  const plants = rankPlants(mentions, ear.lineage);
  const meant = plants.filter(({ confidence }) => confidence >= LEAST_CONFIDENCE);
  const told = tellable(ear, plant === null ? meant.map((one) => one.plant) : [plant]);
  const spoken = withoutNames(ear, withoutOwners(ear, tokens, mentions), mentions);
  const stance = readStance(spoken);
  const weights: Weights = {
    implied: ear.implied,
    rarity: (position) => rarityOf(ear, spoken[position]),
    common: (id) => (told === null ? 1 : (told.get(id) ?? 0)),
  };
  const naming = readNaming(spoken, mentions, (one) => ear.understood(one).has(FRUIT));
  const about = plant ?? (meant.length === 1 ? meant[0]?.plant : undefined);
  const understood = about === undefined ? undefined : ear.understood(about);
  const canTell = (id: FindingId): boolean => told?.has(id) ?? true;
  const read = ear
    .phrases(spoken, understood)
    // What can be told of the plant is asked first, as most matches are of other plants.
    .filter(
      ({ phrase, positions }) => positions.length >= TELLS_PLAINLY || canTell(phrase.target.id),
    )
    .map((match) => toCandidate(spoken, stance, naming, match))
    .filter((candidate) => candidate !== null)
    .filter((one) => canTell(one.finding) || isToldPlainly(spoken, one));
  const seen = read.some(({ target, value }) => value && target.kind !== 'context');
  const candidates = seen ? withoutUnasked(read, text, spoken, stance) : read;
  const findings = oneForEachGroup(oneForEach(withoutClaimedWords(candidates, weights)))
    .map(({ finding, value, sure, span }) => ({ finding, value, sure, span }))
    .sort((a, b) => a.span.start - b.span.start || a.span.end - b.span.end);
  const telling = spoken.filter(
    (_, i) => stance.denied[i] !== true && stance.theory[i] !== true && !naming.named[i],
  );
  const asks = !seen && asksOnly(text, spoken, stance);
  return { plants, mentions, findings, telling, asks };
}
