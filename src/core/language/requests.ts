import { stem, stemSet } from './stem.ts';
import type { Span, Token } from './tokens.ts';

/** What an enquirer asks for, as against what they report. */
export const REQUEST_KINDS = [
  'identify',
  'is-problem',
  'may-do',
  'how',
  'what-product',
  'how-much',
  'when',
  'eat',
  'safe',
  'replace',
  'theory',
  /** Values of a test that are read out. */
  'numbers',
] as const;
export type RequestKind = (typeof REQUEST_KINDS)[number];

/** Kinds of work that are asked about by name. */
export const ACTS = ['spray', 'cut', 'feed', 'water', 'move', 'remove', 'lime', 'compost'] as const;
export type Act = (typeof ACTS)[number];

/** One thing that is asked for, with the words that ask it. */
export interface Request {
  readonly kind: RequestKind;
  readonly span: Span;
  /** The work that is asked about; null where none is named. */
  readonly act: Act | null;
}

const ACT_WORDS: Readonly<Record<Act, ReadonlySet<string>>> = {
  spray: stemSet('spray treat dust neem insecticide fungicide pesticide weedkiller'),
  cut: stemSet('prune cut trim shear deadhead pinch clip'),
  feed: stemSet('feed fertilize fertilise fertilizer'),
  water: stemSet('water irrigate soak'),
  move: stemSet('move transplant repot divide replant'),
  remove: stemSet(
    'remove dig pull destroy throw scrape rip kill fell burn toss wash rub squash squish crush',
  ),
  lime: stemSet('lime sulfur sulphur'),
  compost: stemSet('compost'),
};

/** A clause of a sentence, by the places of its words. */
interface Clause {
  readonly from: number;
  /** Not included. */
  readonly to: number;
}

const stemAt = (tokens: readonly Token[], i: number): string => tokens[i]?.stem ?? '';
const bare = (word: string): string => word.replace(/['’]s$/, '');

const JOINS = stemSet('and but or so then also well please now');
const ASKS = stemSet('when how what which who why where');
const ME = stemSet('i we you one');
const IT = stemSet('it this that they these those there');
const MAY = stemSet('should can could may must shall');
const DO = stemSet('do does did');
const IS = stemSet('is are');
const WILL = stemSet('will would could can might does do is are');
const WAS = stemSet('was were');
const MY = stemSet('my our the his her your');

const WORRY = stemSet(
  'worry worried concerned serious bad harmful problem normal dangerous fatal survive die recover dying live alarm alarmed okay ok alright back dead kill',
);
const WORRIED = stemSet('worry worried concerned alarmed');
/** "Is it ok now" asks how it is, "is it ok to prune" what to do. */
const WELL = stemSet('normal looking getting');
const EAT = stemSet('eat edible eating');
const WHO_IS_SAFE = stemSet(
  'dog dogs cat cats pet pets kid kids child children chicken chickens hen hens horse baby toddler bee bees fish rabbit goat',
);
const SAFE = stemSet('safe poisonous toxic hurt harm sick bother poison');
const HOW_MUCH = stemSet('much often many big wide deep far long tall high thick');
const TIME_WORDS = stemSet('time soon late early');
const TOO = stemSet('late early');
const GROW = stemSet('plant grow put');
const INSTEAD = stemSet('instead replace replacement better else');
const PRODUCT = stemSet('spray use put apply kill treat');
const ANYTHING = stemSet('anything something');
const GOOD = stemSet('ok okay safe fine alright right wise good better best worth done need');
const HELP = stemSet('help hurt work');

function some(tokens: readonly Token[], { from, to }: Clause, of: ReadonlySet<string>): boolean {
  for (let i = from; i < to; i++) if (of.has(bare(stemAt(tokens, i)))) return true;
  return false;
}

/** Clauses: a sentence is cut before a word that asks after "and", "or", "but" or a pause. */
function clausesOf(tokens: readonly Token[]): readonly Clause[] {
  const starts = tokens.flatMap((token, i) => {
    const before = tokens[i - 1];
    if (before?.sentence !== token.sentence) return [i];
    const here = bare(token.stem);
    const asks = [ASKS, MAY, DO, IS, WAS, WILL].some((words) => words.has(here));
    const follows = token.pauseBefore || JOINS.has(before.stem);
    return asks && follows ? [i] : [];
  });
  return starts.map((from, k) => {
    return { from, to: starts[k + 1] ?? tokens.length };
  });
}

/** Reads a clause from its first word that is no "and", "so" or "well". */
function openingOf(tokens: readonly Token[], { from, to }: Clause): number {
  let i = from;
  while (i < to - 1 && JOINS.has(stemAt(tokens, i))) i++;
  return i;
}

/** The last word of a clause that joins nothing. */
function lastOf(tokens: readonly Token[], { from, to }: Clause): number {
  let i = to - 1;
  while (i > from && JOINS.has(stemAt(tokens, i))) i--;
  return i;
}

/** Words of a question about something that has no name yet; other questions with "what" ask how a thing is done. */
const NAMELESS = stemSet(
  'this that these those it them wrong cause causing caused eating ate doing making makes killing killed bug insect pest disease worm caterpillar called happened happening matter up',
);
const MOMENT = stemSet('time month week day season');

const TELLS_ME = stemSet('tell know idea wonder wondering identify');

/** "Can you tell me what's eating it", "any idea what": what is asked stands behind. */
function askedBehind(tokens: readonly Token[], { from, to }: Clause): number | null {
  if (!some(tokens, { from, to: Math.min(to, from + 6) }, TELLS_ME)) return null;
  for (let i = from + 1; i < to; i++) if (bare(stemAt(tokens, i)) === 'what') return i;
  return null;
}

const MINE = stemSet('i we');

/** "Which way up do I plant it": what I do stands behind what is asked about. */
function asksMine(tokens: readonly Token[], { from, to }: Clause): boolean {
  for (let i = from; i < to - 1; i++)
    if (
      (MAY.has(stemAt(tokens, i)) || DO.has(stemAt(tokens, i))) &&
      MINE.has(stemAt(tokens, i + 1))
    )
      return true;
  return false;
}

function ofWhat(tokens: readonly Token[], clause: Clause, i: number): RequestKind {
  const rest = { from: i + 1, to: clause.to };
  const [next, after] = [stemAt(tokens, i + 1), stemAt(tokens, i + 2)];
  if (some(tokens, rest, INSTEAD) && some(tokens, rest, GROW)) return 'replace';
  if (some(tokens, { from: i + 1, to: Math.min(clause.to, i + 5) }, MOMENT)) return 'when';
  const acts = MAY.has(next) || DO.has(next);
  if (asksMine(tokens, rest)) return some(tokens, rest, PRODUCT) ? 'what-product' : 'how';
  if (acts && ME.has(after)) {
    if (some(tokens, rest, PRODUCT)) return 'what-product';
    return 'how';
  }
  if (bare(stemAt(tokens, i)) === 'what' && next === stem('kills')) return 'what-product';
  return some(tokens, rest, NAMELESS) ? 'identify' : 'how';
}

function ofHow(tokens: readonly Token[], i: number): RequestKind | null {
  const next = stemAt(tokens, i + 1);
  if (next === 'soon') return 'when';
  if (HOW_MUCH.has(next)) return 'how-much';
  if (next === 'to' || MAY.has(next) || DO.has(next) || next === stem('would')) return 'how';
  return null;
}

/** "Is it serious", "can I prune it", "will it hurt the dog". */
function ofVerb(tokens: readonly Token[], clause: Clause, i: number): RequestKind | null {
  const rest = { from: i + 1, to: clause.to };
  const [here, next] = [bare(stemAt(tokens, i)), stemAt(tokens, i + 1)];
  const subject = IT.has(next) || MY.has(next) || ME.has(next);
  // "Does spray help", "will a feed work".
  if (!subject) {
    const asks = (DO.has(here) || WILL.has(here)) && some(tokens, rest, HELP);
    return asks && actIn(tokens, rest) !== null ? 'may-do' : null;
  }
  if (some(tokens, rest, WHO_IS_SAFE) && some(tokens, rest, SAFE)) return 'safe';
  if (some(tokens, rest, EAT)) return 'eat';
  if (some(tokens, rest, TOO) && IS.has(here)) return 'when';
  const work = actIn(tokens, rest) !== null;
  if (ME.has(next)) {
    if (some(tokens, rest, WORRIED) && !work) return 'is-problem';
    // "Did I water it too much" asks what has happened, not what to do.
    if (here === 'did') return 'theory';
    if (!MAY.has(here) && !DO.has(here)) return null;
    return next === 'you' ? 'how' : 'may-do';
  }
  if (next === stem('there')) {
    if (some(tokens, rest, PRODUCT)) return 'what-product';
    if (some(tokens, rest, ANYTHING)) return 'how';
  }
  if (some(tokens, rest, GOOD) && !some(tokens, rest, WELL)) return 'may-do';
  if (work && some(tokens, rest, HELP)) return 'may-do';
  if (WILL.has(here) && some(tokens, rest, WORRY)) return 'is-problem';
  return IT.has(next) ? 'theory' : null;
}

function actIn(tokens: readonly Token[], { from, to }: Clause): Act | null {
  for (let i = from; i < to; i++) {
    // "Take a cutting" cuts nothing back.
    if (['a', 'take'].includes(stemAt(tokens, i - 1))) continue;
    const act = ACTS.find((one) => ACT_WORDS[one].has(stemAt(tokens, i)));
    if (act) return act;
  }
  return null;
}

function kindOf(tokens: readonly Token[], clause: Clause): RequestKind | null {
  const i = openingOf(tokens, clause);
  if (clause.to - i < 2) return null;
  const behind = askedBehind(tokens, clause);
  if (behind !== null) return ofWhat(tokens, clause, behind);
  const here = bare(stemAt(tokens, i));
  const rest = { from: i + 1, to: clause.to };
  if (here === 'what' || here === 'which' || here === 'who') return ofWhat(tokens, clause, i);
  if (here === 'when') {
    const next = stemAt(tokens, i + 1);
    return MAY.has(next) || DO.has(next) || IS.has(next) || WILL.has(next) || next === 'to'
      ? 'when'
      : null;
  }
  if (here === 'how') return ofHow(tokens, i);
  if (GOOD.has(here) && TIME_WORDS.has(stemAt(tokens, i + 1))) return 'when';
  if (GOOD.has(here) && stemAt(tokens, i + 1) === 'to')
    return some(tokens, rest, EAT) ? 'eat' : 'may-do';
  if (MAY.has(here) || DO.has(here) || IS.has(here) || WILL.has(here) || WAS.has(here))
    return ofVerb(tokens, clause, i);
  return null;
}

/**
 * What is asked for, in the order of the text, each with the clause that asks it. Spans are in UTF-16 characters,
 * 0-indexed. Linear in the number of words; empty where nothing is asked.
 */
export function readRequests(tokens: readonly Token[]): readonly Request[] {
  return clausesOf(tokens).flatMap((clause) => {
    const kind = kindOf(tokens, clause);
    const [first, last] = [tokens[openingOf(tokens, clause)], tokens[lastOf(tokens, clause)]];
    if (kind === null || !first || !last) return [];
    return [{ kind, span: { start: first.start, end: last.end }, act: actIn(tokens, clause) }];
  });
}
