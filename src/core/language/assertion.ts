import { readSpeculation } from './speculation.ts';
import { NEGATORS } from './phrase.ts';
import { stem, stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

/** How the speaker stands to each word: denied, doubted, somebody's theory rather than an observation, or something to be done. */
export interface AssertionStatus {
  readonly denied: readonly boolean[];
  readonly doubted: readonly boolean[];
  readonly theory: readonly boolean[];
  readonly planned: readonly boolean[];
  /** Asked, guessed or intended: nobody says that it happened, see {@link readSpeculation}. */
  readonly speculated: readonly boolean[];
}

const CONTRAST = stemSet('but however although though just only except yet still instead');
/** "Hasn't bloomed since we pruned it": what comes after these happened. */
export const FROM_THEN_ON = stemSet('since after because');
/** Words that begin a new statement after "and" or a comma, where a denial no longer reaches. */
const NEW_SUBJECT = stemSet(
  'it they there the we i my our its a an this that these some now then have has is are was were you he she and',
);
const DOUBT = stemSet(
  'maybe perhaps might possibly guess seem seemingly apparently suppose probably',
);
const THEORY = stemSet(
  'think thought told says said reckon reckons convince wonder suspect blame claim assume figured',
);
/** After "she says", these begin a name for the trouble ("it's mites"); other words begin what was seen. */
const NAMES_CULPRIT = stemSet("it its it's this that that's thats mean they they're theyre them");
const ACCUSES = stemSet('blame blaming accuse accusing');
const PLACE = stemSet('under underneath beneath near beside behind');
const SEARCH = stemSet('looking hunting searching digging');
const MAY = stemSet('should can could do may shall must would');
const WHO_ACTS = stemSet('i we you');
const ASKED = stemSet('how when where what whether best better time late early ok okay safe way');
/** Words that stand between who acts and what is done. */
const PASSED_OVER = stemSet(
  'just still now even also then not to please safely best ever really already',
);
const DENIAL_REACH = 7;
const PLAN_REACH = 9;
const DOUBT_REACH = 6;
const THEORY_REACH = 9;

const stemAt = (tokens: readonly Token[], i: number): string => tokens[i]?.stem ?? '';

/** "Holes? No they're blisters": after "no" these begin what is so. */
const ANSWERS = stemSet("it it's they they're that that's there there's i i'm we he she this");

/** "not just", "not only" and "no doubt" deny nothing; "don't know if" doubts. */
function deniesFrom(tokens: readonly Token[], i: number): boolean {
  if (!NEGATORS.has(stemAt(tokens, i))) return false;
  if (stemAt(tokens, i) === 'no' && ANSWERS.has(stemAt(tokens, i + 1))) return false;
  return ![
    'just',
    'only',
    'doubt',
    'matter',
    'idea',
    stem('sure'),
    'know',
    'tell',
    'all',
    'problem',
    stem('wait'),
  ].includes(stemAt(tokens, i + 1));
}

/** Whether a word is the last of its clause: a pause, another sentence or nothing follows. */
function endsClause(tokens: readonly Token[], i: number): boolean {
  const next = tokens[i + 1];
  return next === undefined || next.sentence !== tokens[i]?.sentence || next.pauseBefore;
}

/** "Webs none, spots many": a note that denies what stands before. */
function endsInNone(tokens: readonly Token[], i: number): boolean {
  const here = tokens[i];
  if (here?.stem !== stem('none') || tokens[i - 1]?.sentence !== here.sentence) return false;
  return endsClause(tokens, i) && !here.pauseBefore;
}

/** A list goes on after a comma when "or" or "nor" follows before a new statement. */
function listGoesOn(tokens: readonly Token[], i: number): boolean {
  const { sentence } = tokens[i] ?? { sentence: -1 };
  for (let j = i; j < Math.min(tokens.length, i + 5) && tokens[j]?.sentence === sentence; j++) {
    if (['or', 'nor'].includes(stemAt(tokens, j))) return true;
    if (NEW_SUBJECT.has(stemAt(tokens, j)) || CONTRAST.has(stemAt(tokens, j))) return false;
  }
  return false;
}

function stopsDenial(tokens: readonly Token[], i: number): boolean {
  const token = tokens[i];
  if (token === undefined || CONTRAST.has(token.stem) || FROM_THEN_ON.has(token.stem)) return true;
  if (token.stem === 'and') return NEW_SUBJECT.has(stemAt(tokens, i + 1));
  return token.pauseBefore && !['or', 'nor'].includes(token.stem) && !listGoesOn(tokens, i);
}

/** Where something is not is no less a place: "won't grow under the oak", but "not under the oak". */
const isPlace = (tokens: readonly Token[], denial: number, i: number): boolean =>
  i > denial + 1 && PLACE.has(stemAt(tokens, i));

/** Marks the words after `start` up to `reach`, until `stops` or the end of the sentence. */
function mark(
  flags: boolean[],
  tokens: readonly Token[],
  start: number,
  reach: number,
  stops: (i: number) => boolean,
): void {
  const sentence = tokens[start]?.sentence;
  for (let i = start + 1; i <= start + reach && tokens[i]?.sentence === sentence; i++) {
    if (stops(i)) return;
    flags[i] = true;
  }
}

function opensDoubt(tokens: readonly Token[], i: number): boolean {
  const [before, here, after] = [stemAt(tokens, i - 1), stemAt(tokens, i), stemAt(tokens, i + 1)];
  if (DOUBT.has(here)) return true;
  if (here === stem('sure') && NEGATORS.has(before)) return true;
  if (here === stem('think') && before === 'i') return true;
  if (here === 'know' && NEGATORS.has(before) && ['if', 'whether'].includes(after)) return true;
  return here === 'could' && after === 'be';
}

const namesCulprit = (tokens: readonly Token[], i: number): boolean =>
  [1, 2, 3].some((step) => NAMES_CULPRIT.has(stemAt(tokens, i + step)));

const OPEN_QUESTION = stemSet('what why when how where which who');
const SAYS_NO = stemSet('no nope nah not none');

/** "Webs underneath? No.", "dog spots? no dog": what is asked there is denied, but not by "what is it? No webs". */
function answersNo(denied: boolean[], tokens: readonly Token[], i: number): void {
  if (tokens[i]?.answers !== true || !SAYS_NO.has(stemAt(tokens, i))) return;
  let from = i;
  while (from > 0 && tokens[from - 1]?.sentence === tokens[i - 1]?.sentence) from--;
  const asked = tokens.slice(from, i).map(({ stem: one }) => one);
  if (asked.some((one) => OPEN_QUESTION.has(one))) return;
  const next = stemAt(tokens, i + 1);
  if (endsClause(tokens, i) || ANSWERS.has(next) || asked.includes(next))
    denied.fill(true, from, i);
}

const HAVE = stem('have');

const CONVINCED = stemSet('think reckon suspect figure guess bet figured suspects');
const SURE = stemSet('sure certain positive');
const SPEAKER = stemSet("i i'm we we're you");

/** "My husband thinks slugs", "my wife is sure it's the water": what somebody else takes it for. */
function takenByOthers(tokens: readonly Token[], i: number): boolean {
  const here = stemAt(tokens, i);
  if ([1, 2].some((step) => SPEAKER.has(stemAt(tokens, i - step)))) return false;
  if (NEGATORS.has(stemAt(tokens, i - 1))) return false;
  if (SURE.has(here)) return NAMES_CULPRIT.has(stemAt(tokens, i + 1).replace(/['’]s$/, ''));
  return CONVINCED.has(here) && [1, 2, 3].some((step) => endsClause(tokens, i + step));
}

function opensTheory(tokens: readonly Token[], i: number): boolean {
  const [before, here, after] = [stemAt(tokens, i - 1), stemAt(tokens, i), stemAt(tokens, i + 1)];
  if (ACCUSES.has(here)) return !NEGATORS.has(before);
  if (THEORY.has(here)) return !NEGATORS.has(before) && namesCulprit(tokens, i);
  // What somebody or something looks for was not seen.
  if (SEARCH.has(here) && (after === 'for' || after === 'after')) return true;
  if (here === 'is' && (after === 'it' || after === 'this' || after === 'that')) return true;
  return here === 'must' && (after === 'be' || after === HAVE);
}

/** Marks the words before `end` back to `reach` of them, a pause or the start of the sentence. */
function markBefore(flags: boolean[], tokens: readonly Token[], end: number, reach: number): void {
  for (let j = end - 1; j >= Math.max(0, end - reach); j--) {
    if (tokens[j]?.sentence !== tokens[end]?.sentence) return;
    flags[j] = true;
    if (tokens[j]?.pauseBefore) return;
  }
}

const IS_NOW = stemSet('is are look seem stay');
const WELL = stemSet(
  'fine healthy good great okay ok right alright perfect normal unaffected clean beautiful',
);
const HARMED = stemSet('affected touched harmed hurt bothered damaged');
/** Words that may stand between "is" and "fine". */
const STRESSES = stemSet('perfectly just still all completely quite very really pretty');
const WELL_REACH = 5;

/** The verb by which a clause that ends here says that something is well, or null: "looks just fine", "look white and healthy", "aren't affected". */
function verbOfWell(tokens: readonly Token[], i: number): number | null {
  let verb = i - 1;
  if (HARMED.has(stemAt(tokens, i)) && NEGATORS.has(stemAt(tokens, verb)))
    return IS_NOW.has(stemAt(tokens, verb - 1)) ? verb - 1 : verb;
  if (!WELL.has(stemAt(tokens, i))) return null;
  if (stemAt(tokens, verb) === 'and') verb -= 2;
  while (STRESSES.has(stemAt(tokens, verb))) verb--;
  return IS_NOW.has(stemAt(tokens, verb)) ? verb : null;
}

/** "The new growth looks fine": what stands before it in the clause has nothing. */
function saysWell(denied: boolean[], tokens: readonly Token[], i: number): void {
  const verb = endsClause(tokens, i) ? verbOfWell(tokens, i) : null;
  if (verb === null) return;
  for (let j = verb - 1; j >= verb - WELL_REACH; j--) {
    if (tokens[j]?.sentence !== tokens[i]?.sentence || stopsWell(tokens, j)) return;
    denied[j] = true;
    if (tokens[j]?.pauseBefore === true) return;
  }
}

/** Where what is well begins; of others nothing is denied. */
const NOT_OF_IT = stemSet('and while whereas other rest neighbor');

const stopsWell = (tokens: readonly Token[], j: number): boolean =>
  CONTRAST.has(stemAt(tokens, j)) ||
  NEGATORS.has(stemAt(tokens, j)) ||
  NOT_OF_IT.has(stemAt(tokens, j));

/** "It was planted too deep, I think": what stands before it in the clause is doubted. */
function doubtsBefore(doubted: boolean[], tokens: readonly Token[], i: number): void {
  if (stemAt(tokens, i) !== stem('think') || stemAt(tokens, i - 1) !== 'i') return;
  if (!endsClause(tokens, i)) return;
  markBefore(doubted, tokens, i - 1, DOUBT_REACH);
}

/** "When should I cut", "how to prune": the place of the word for what is done, or null where nothing is asked. */
function plannedFrom(tokens: readonly Token[], i: number): number | null {
  const [before, here] = [stemAt(tokens, i - 1), stemAt(tokens, i)];
  const asks = (MAY.has(before) && WHO_ACTS.has(here)) || (ASKED.has(before) && here === 'to');
  if (!asks) return null;
  let at = i + 1;
  while (PASSED_OVER.has(stemAt(tokens, at))) at++;
  return tokens[at]?.sentence === tokens[i]?.sentence ? at : null;
}

/** "Prune it in spring or wait?": what stands before it is not done yet. */
const leavesOpen = (tokens: readonly Token[], i: number): boolean =>
  stemAt(tokens, i - 1) === 'or' && ['wait', stem('leave')].includes(stemAt(tokens, i));

/** All words that any of these rules begins at; most words are none of them. */
const OPENERS: ReadonlySet<string> = new Set([
  ...NEGATORS,
  ...DOUBT,
  ...ACCUSES,
  ...THEORY,
  ...CONVINCED,
  ...SURE,
  ...SEARCH,
  ...WHO_ACTS,
  ...WELL,
  ...HARMED,
  ...SAYS_NO,
  ...stemSet('none sure think know could is must to wait leave'),
]);

/** Works out the stance to every word; linear in the number of words. */
export function readAssertion(tokens: readonly Token[]): AssertionStatus {
  const flags = (): boolean[] => tokens.map(() => false);
  const [denied, doubted, theory, planned] = [flags(), flags(), flags(), flags()];
  const stopsClause = (i: number): boolean =>
    CONTRAST.has(stemAt(tokens, i)) || tokens[i]?.pauseBefore === true;
  tokens.forEach(({ stem: word }, i) => {
    if (!OPENERS.has(word)) return;
    if (deniesFrom(tokens, i))
      mark(denied, tokens, i, DENIAL_REACH, (j) => stopsDenial(tokens, j) || isPlace(tokens, i, j));
    if (endsInNone(tokens, i)) denied[i - 1] = true;
    saysWell(denied, tokens, i);
    answersNo(denied, tokens, i);
    if (opensDoubt(tokens, i)) mark(doubted, tokens, i, DOUBT_REACH, stopsClause);
    doubtsBefore(doubted, tokens, i);
    if (opensTheory(tokens, i) || takenByOthers(tokens, i))
      mark(theory, tokens, i, THEORY_REACH, stopsClause);
    const act = plannedFrom(tokens, i);
    if (act !== null) planned[act] = true;
    if (leavesOpen(tokens, i)) markBefore(planned, tokens, i, PLAN_REACH);
  });
  return { denied, doubted, theory, planned, speculated: readSpeculation(tokens) };
}
