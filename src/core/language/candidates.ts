import type { Finding } from '../schema/finding.ts';
import type { Reading } from './spanConflicts.ts';
import { fitsMarks } from './marksFit.ts';
import type { Naming } from './named.ts';
import { fitsPart, namesPart } from './partFit.ts';
import { NEGATORS } from './phrase.ts';
import type { PhraseMatch } from './phraseIndex.ts';
import { FROM_THEN_ON, type AssertionStatus } from './assertion.ts';
import { stem, stemSet } from './stem.ts';
import type { Span, Token } from './tokens.ts';

/** Telling words that a phrase needs when they stand far apart. */
const TELLS_FROM_AFAR = 2;

const LIKE = stem('like');
/** How sure a report is by the number of words that its phrase found: one word alone is often about something else. */
const SURE_BY_WORDS = [0.7, 0.7, 0.9, 0.95] as const;
export const DOUBTFUL = 0.6;

const sureOf = (words: number): number =>
  SURE_BY_WORDS[Math.min(words, SURE_BY_WORDS.length - 1)] ?? DOUBTFUL;

/** A phrase of the library found in a text: one way to read its words. */
export interface Candidate extends Reading {
  readonly target: Finding;
  readonly value: boolean;
  readonly sure: number;
  /** Said with doubt. */
  readonly doubted: boolean;
  readonly span: Span;
  readonly group: string | undefined;
  /** The phrase itself describes a lack. */
  readonly negates: boolean;
  /** Words between its own, and those of them that are more than small words. */
  readonly gap: number;
  readonly between: number;
  /** Said of another part, colours or marks of something else, two far words of which one tells little, and not a thing of this plant. */
  readonly offPart: boolean;
  readonly offMarks: boolean;
  readonly thin: boolean;
  readonly offPlant: boolean;
  /** None of these. */
  readonly fits: boolean;
}

/** Words for sizes and amounts, common verbs and small words tell little by themselves. */
const GENERAL = stemSet(
  'all big large huge giant enormous small tiny little some many every one turn go get come came look start keep stay become be is are was were have has had do in on at of to from with by for and or the a an it they them then that up off out down plant tree bush shrub',
);

/** Works out {@link Spoken.contentWords}. */
export const readTelling = (tokens: readonly Token[]): readonly boolean[] =>
  tokens.map((token) => !namesPart(token) && !NEGATORS.has(token.stem) && !GENERAL.has(token.stem));

/** Asked about for its own sake, never as a sign: see careTopics.ts. */
export const isQuestionOfCare = ({ kind, askable }: Finding): boolean =>
  kind === 'context' && !askable;

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
function isAboutTime(tokens: readonly Token[], i: number): boolean {
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

/** Words that stand between those of a phrase. */
function betweenOf(
  tokens: readonly Token[],
  { positions, first, last }: PhraseMatch<Finding>,
): number {
  let between = 0;
  for (let i = first + 1; i < last; i++) {
    const stemHere = tokens[i]?.stem ?? '';
    if (!positions.includes(i) && !GENERAL.has(stemHere) && !NEGATORS.has(stemHere)) between++;
  }
  return between;
}

function anyOf(flags: readonly boolean[], positions: readonly number[]): boolean {
  for (const position of positions) if (flags[position] === true) return true;
  return false;
}

function allOf(flags: readonly boolean[], positions: readonly number[]): boolean {
  for (const position of positions) if (flags[position] !== true) return false;
  return true;
}

/** Words whose report does not count, whatever is read in them. */
function isNoReport(
  finding: Finding,
  tokens: readonly Token[],
  positions: readonly number[],
  stance: AssertionStatus,
): boolean {
  if (finding.kind === 'sign' && anyOf(stance.theory, positions)) return true;
  if (!isQuestionOfCare(finding)) return anyOf(stance.planned, positions);
  return positions.some((i) => isSimile(tokens, i) || isAboutTime(tokens, i));
}

/** "It isn't chewed, the leaves are just yellow" denies that they are chewed, and "no rain since May" that it rained: the last word decides that tells what was seen. */
function lastTold(tokens: readonly Token[], said: readonly number[]): number {
  const last = Math.max(...said.filter((i) => !FROM_THEN_ON.has(tokens[i]?.stem ?? '')));
  return Number.isFinite(last) ? last : Math.max(...said);
}

/** What is known of the words of a text, one by one. */
export interface Spoken {
  readonly tokens: readonly Token[];
  readonly assertion: AssertionStatus;
  readonly naming: Naming;
  /** Words that tell more than which part is meant, and are no small ones. */
  readonly hasContent: readonly boolean[];
}

/**
 * Turns a phrase match into a reading of its finding. `canTell` says whether the plant can show the finding. Returns
 * null when the words do not report it.
 */
export function toCandidate(
  { tokens, assertion, naming: { wholes, fruits }, hasContent }: Spoken,
  match: PhraseMatch<Finding>,
  canTell: boolean,
): Candidate | null {
  const { phrase, positions, first, last, far } = match;
  const finding = phrase.target;
  if (isNoReport(finding, tokens, positions, assertion)) return null;
  if (finding.kind !== 'context' && anyOf(wholes, positions)) return null;
  const [opens, closes] = [tokens[first], tokens[last]];
  if (!opens || !closes) return null;
  const contentWords = allOf(hasContent, positions)
    ? positions
    : positions.filter((i) => hasContent[i]);
  const phraseFacts = { needsPart: phrase.needsPart, namesFruit: anyOf(fruits, positions) };
  const doubted = anyOf(assertion.doubted, positions);
  const said = contentWords.length > 0 ? contentWords : positions;
  const denies = !phrase.negates && anyOf(assertion.denied, said);
  const value = !denies || assertion.denied[lastTold(tokens, said)] !== true;
  // "The veins aren't green, the whole leaf is yellow" tells nothing of green veins and yellow leaves.
  if (far && value && denies) return null;
  const thin = far && contentWords.length < Math.min(TELLS_FROM_AFAR, positions.length);
  const offPart = !fitsPart(finding, tokens, positions, phraseFacts);
  const offMarks = finding.kind !== 'context' && !fitsMarks(tokens, positions, contentWords);
  const offPlant = !canTell && !isToldPlainly(tokens, finding, positions, contentWords);
  return {
    finding: finding.id,
    target: finding,
    value,
    doubted,
    sure: doubted || far ? DOUBTFUL : sureOf(positions.length),
    span: { start: opens.start, end: closes.end },
    sentence: opens.sentence,
    sort: sortOf(finding, phrase.negates, value),
    positions,
    first,
    last,
    contentWords,
    group: finding.group,
    far,
    negates: phrase.negates,
    gap: last - first + 1 - positions.length,
    between: betweenOf(tokens, match),
    thin,
    offPart,
    offMarks,
    offPlant,
    fits: !thin && !offPart && !offMarks && !offPlant,
  };
}

/** So many telling words are heard even of a plant on which the library knows no cause for it; lawn and needles, which not all plants have, must be named. */
export const TELLS_PLAINLY = 3;

function isToldPlainly(
  tokens: readonly Token[],
  target: Finding,
  positions: readonly number[],
  telling: readonly number[],
): boolean {
  // A question of care is about the plant it is asked of.
  if (isQuestionOfCare(target)) return false;
  const needsPart = target.part === 'turf' || target.part === 'needle';
  return telling.length >= TELLS_PLAINLY && fitsPart(target, tokens, positions, { needsPart });
}
