import { NEGATORS } from './phrase.ts';
import type { Request } from './requests.ts';
import { stem, stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

/** Verbs and adverbs behind which people say what they take a trouble for. */
const TAKES_FOR = stemSet(
  'think thinks thought reckon guess suppose suspect bet figure figured say says said told convinced swear swears blame',
);
const SURE = stemSet('sure certain positive convinced');
const MAYBE = stemSet('probably maybe perhaps likely');
const MUST = stem('must');
const BE = stemSet('be have');
/** What may stand between the verb and the name: "it is some kind of", "me it was the". */
const PASSED_OVER = stemSet(
  "it it's its is was are were this that that's these those they they're a an the some kind sort of type just from too much me us because our my",
);
/** Of what is to be done, said or asked, and not of what it is. */
const NO_NAME = stemSet(
  "i i'm we you should could would can to about what hello hi thanks so not if whether how when where why there he she on in at",
);
const OPENS_QUESTION = stemSet(
  'what which who how when where why is are was were do does did can could should would will may',
);
const NUMBER = /^\d/;
const DONE = /(ed|en)$/;
/** Longest name of a trouble, and of a question that is nothing but a name, in words. */
const MAX_NAME = 4;
const MAX_BARE = 3;

const stemAt = (tokens: readonly Token[], i: number): string => tokens[i]?.stem ?? '';
const sameSentence = (tokens: readonly Token[], a: number, b: number): boolean =>
  tokens[a] !== undefined && tokens[a].sentence === tokens[b]?.sentence;

/** The place where the name begins that may be said from `i` on; null where something else is said. */
function nameFrom(tokens: readonly Token[], i: number, opener: number): number | null {
  let at = i;
  while (sameSentence(tokens, at, opener) && PASSED_OVER.has(stemAt(tokens, at))) at++;
  const word = stemAt(tokens, at);
  if (!sameSentence(tokens, at, opener) || NO_NAME.has(word) || NEGATORS.has(word)) return null;
  return NUMBER.test(word) ? null : at;
}

/** The end of a name, not included: at a pause, the end of the sentence, or after some words. */
function endOfName(tokens: readonly Token[], from: number): number {
  let end = from + 1;
  while (end < from + MAX_NAME && sameSentence(tokens, end, from) && !tokens[end]?.pauseBefore)
    end++;
  return end;
}

/** "Aphids I guess", "some sort of rust i think": the place of the first word of the name; null where it is not so said. */
function nameBefore(tokens: readonly Token[], i: number): number | null {
  const subject = stemAt(tokens, i - 1);
  const ends = !sameSentence(tokens, i + 1, i) || tokens[i + 1]?.pauseBefore === true;
  if (!ends || (subject !== 'i' && subject !== 'we')) return null;
  let from = i - 2;
  if (!sameSentence(tokens, from, i)) return null;
  while (from > 0 && sameSentence(tokens, from - 1, i) && !tokens[from]?.pauseBefore) from--;
  const name = nameFrom(tokens, from, i);
  return name !== null && i - 1 - name <= MAX_BARE ? name : null;
}

const isNegated = (tokens: readonly Token[], i: number): boolean =>
  [1, 2].some((back) => NEGATORS.has(stemAt(tokens, i - back)));

/** First word of a theory that the word at `i` opens or closes, and the place behind its last one. */
function theoryAt(tokens: readonly Token[], i: number): { from: number; to: number } | null {
  const here = stemAt(tokens, i);
  if (isNegated(tokens, i)) return null;
  const opens =
    TAKES_FOR.has(here) ||
    SURE.has(here) ||
    MAYBE.has(here) ||
    (BE.has(here) && stemAt(tokens, i - 1) === MUST);
  if (!opens) return null;
  const before = TAKES_FOR.has(here) ? nameBefore(tokens, i) : null;
  if (before !== null) return { from: before, to: i - 1 };
  const from = nameFrom(tokens, i + 1, i);
  // "Must be picked" says what is to be done.
  if (from === null || (BE.has(here) && DONE.test(tokens[from]?.word ?? ''))) return null;
  return { from, to: endOfName(tokens, from) };
}

/** "Holes in everything. Rabbits?": sentences of a few words that end in a question mark and open no question. */
function bareQuestions(text: string, tokens: readonly Token[]): { from: number; to: number }[] {
  return tokens.flatMap((token, i) => {
    const isFirst = tokens[i - 1]?.sentence !== token.sentence;
    if (!isFirst || OPENS_QUESTION.has(token.stem)) return [];
    let to = i + 1;
    while (sameSentence(tokens, to, i)) to++;
    const from = nameFrom(tokens, i, i);
    const asks = /^\s*\?/.test(text.slice(tokens[to - 1]?.end));
    return asks && from !== null && to - from <= MAX_BARE ? [{ from, to }] : [];
  });
}

/**
 * What the speaker or somebody else takes the trouble for, said and not asked: "I reckon it's the frost", "aphids I
 * guess", "Rabbits?". Spans are in UTF-16 characters, 0-indexed; empty where nothing is supposed. Linear in the number
 * of words.
 */
export function readTheories(text: string, tokens: readonly Token[]): readonly Request[] {
  const said = tokens.flatMap((_, i) => theoryAt(tokens, i) ?? []);
  return [...said, ...bareQuestions(text, tokens)].flatMap(({ from, to }): Request[] => {
    const [first, last] = [tokens[from], tokens[to - 1]];
    if (!first || !last) return [];
    return [{ kind: 'theory', span: { start: first.start, end: last.end }, act: null }];
  });
}
