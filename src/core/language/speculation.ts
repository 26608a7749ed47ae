import { stem, stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

/** Verbs that stand before their subject in a question. */
const INVERTED = stemSet(
  'did was were is are could would might will can shall should has have had am do does must may',
);
const PRONOUN = stemSet('i we it that this they these those he she you there somebody someone');
/** Before any other subject these still ask what may have happened: "did the frost", "would lime". */
const MAY_HAVE = stemSet('did could would might will can');
/** What may stand before the verb of a question within a sentence. */
const JOINS = stemSet('and or but so then also');
const INTENDS = stemSet(
  'going plan planning want wanting wanted about hope hoping intend intending tempted need needs ready',
);
const THINKING = stem('thinking');
const WONDERS = stemSet('wonder wondering');
const OF_WHAT = stemSet('if whether about why');
const GUESSES = stemSet('maybe perhaps might possibly');
const TIME = stemSet('day week month year hour ago night');
const CONTRAST = stemSet('but however although though because yet instead');
const ACTS = stemSet('i we');

const REACH = { question: 12, ofOther: 5, intention: 8, guess: 5 } as const;

const stemAt = (tokens: readonly Token[], i: number): string => tokens[i]?.stem ?? '';

function opensClause(tokens: readonly Token[], i: number): boolean {
  const [before, here] = [tokens[i - 1], tokens[i]];
  if (before === undefined || before.sentence !== here?.sentence || here.pauseBefore) return true;
  return JOINS.has(before.stem);
}

/** "Did I drown it?", "could the squirrels be digging": how many words from here on are asked; 0 for none. */
function asked(tokens: readonly Token[], i: number): number {
  const here = stemAt(tokens, i);
  if (!INVERTED.has(here) || !opensClause(tokens, i)) return 0;
  if (PRONOUN.has(stemAt(tokens, i + 1))) return REACH.question;
  return MAY_HAVE.has(here) ? REACH.ofOther : 0;
}

/** "I'm going to spray it", "thinking of moving it", "I'll feed it". */
function intended(tokens: readonly Token[], i: number): number {
  const [here, after] = [stemAt(tokens, i), stemAt(tokens, i + 1)];
  if (INTENDS.has(here) && after === 'to') return REACH.intention;
  if (here === THINKING && (after === 'of' || after === 'about')) return REACH.intention;
  const word = tokens[i]?.word.replace('’', "'");
  if (word === "i'll" || word === "we'll") return REACH.intention;
  return ACTS.has(here) && after === 'will' ? REACH.intention : 0;
}

/** "Maybe it was hail", but not "maybe a week ago". */
function guessed(tokens: readonly Token[], i: number): number {
  if (!GUESSES.has(stemAt(tokens, i))) return 0;
  for (let j = i + 1; j <= i + 3; j++)
    if (TIME.has(stemAt(tokens, j)) || /^\d/.test(stemAt(tokens, j))) return 0;
  return REACH.guess;
}

function wondered(tokens: readonly Token[], i: number): number {
  return WONDERS.has(stemAt(tokens, i)) && OF_WHAT.has(stemAt(tokens, i + 1)) ? REACH.question : 0;
}

/**
 * Marks the words of what is asked, wondered, guessed or intended: nobody says that it happened. Linear in the number
 * of words.
 */
export function readSpeculation(tokens: readonly Token[]): readonly boolean[] {
  const marks = tokens.map(() => false);
  tokens.forEach(({ sentence }, i) => {
    const reach = Math.max(
      asked(tokens, i),
      intended(tokens, i),
      wondered(tokens, i),
      guessed(tokens, i),
    );
    for (let j = i + 1; j <= i + reach && tokens[j]?.sentence === sentence; j++) {
      // "Is it because I moved it" asks of the reason; elsewhere a contrast or a pause ends the question.
      if (j > i + 2 && (CONTRAST.has(stemAt(tokens, j)) || tokens[j]?.pauseBefore === true)) return;
      marks[j] = true;
    }
  });
  return marks;
}
