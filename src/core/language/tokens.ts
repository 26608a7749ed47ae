import { stem } from './stem.ts';

/** A stretch of the text, as UTF-16 positions: from `start` up to, not including, `end`. */
export interface Span {
  readonly start: number;
  readonly end: number;
}

/** Whether two stretches of one text have a character in common. */
export const overlaps = (a: Span, b: Span): boolean => a.start < b.end && b.start < a.end;

/** One word of the text. */
export interface Token extends Span {
  readonly word: string;
  readonly stem: string;
  /** Number of the sentence, from 0. */
  readonly sentence: number;
  /** A comma, dash or bracket stands before it. */
  readonly pauseBefore: boolean;
  /** A question ended before it. */
  readonly answers: boolean;
}

const WORD = /[\p{L}\p{N}]+(?:['’][\p{L}]+)*/gu;
const WORD_HERE = new RegExp(WORD, 'uy');
const NO_WORD_HERE = /[^\p{L}\p{N}]*/uy;
const SENTENCE_END = /[.!?;\n:]/;
const PAUSE = /[,()[\]–—]|\s-\s/;

/** Longest text that is read, in characters: far beyond any letter, short of what would stall a worker. */
export const MAX_TEXT = 100_000;

/**
 * Splits a text into words with their 0-indexed places in characters, stems and sentence numbers. Time is linear in
 * the number of characters; any string is accepted, invalid Unicode included.
 */
export function tokenize(text: string): readonly Token[] {
  const tokens: Token[] = [];
  let sentence = 0;
  let end = 0;
  for (;;) {
    const start = endOf(NO_WORD_HERE, text, end);
    const next = endOf(WORD_HERE, text, start);
    if (next === start) return tokens;
    // Most words have but a blank between them.
    const apart = start - end > 1 || text[end] !== ' ';
    const between = apart ? text.slice(end, start) : ' ';
    if (apart && tokens.length > 0 && endsSentence(between, text, start)) sentence++;
    const word = text.slice(start, next).toLowerCase();
    end = next;
    const pauseBefore = apart && PAUSE.test(between);
    const answers = apart && between.includes('?');
    tokens.push({ start, end, word, stem: stem(word), sentence, pauseBefore, answers });
  }
}

/** Where a sticky pattern ends that starts at a place; the place itself where it is not there. No match is built, of which a long text has thousands. */
function endOf(sticky: RegExp, text: string, start: number): number {
  sticky.lastIndex = start;
  return sticky.test(text) ? sticky.lastIndex : start;
}

/** The words of a text in lower case, where their places do not matter. */
export function wordsIn(text: string): readonly string[] {
  return text.toLowerCase().match(WORD) ?? [];
}

/** Words that are written with a point: "St. Augustine" is one name. */
const SHORTENED = /\b(st|mt|mr|mrs|ms|dr|jr|vs|approx)$/i;

/** A point between digits (2.5) or after a shortened word ends no sentence. */
function endsSentence(between: string, text: string, next: number): boolean {
  if (!SENTENCE_END.test(between)) return false;
  if (between === '. ' && SHORTENED.test(text.slice(Math.max(0, next - 9), next - 2))) return false;
  const decimal = between === '.' && /\d/.test(text[next] ?? '') && /\d/.test(text[next - 2] ?? '');
  return !decimal;
}
