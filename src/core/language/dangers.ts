import { LIST, type Danger } from '../schema/danger.ts';
import type { Span } from './tokens.ts';

/** One danger with its patterns. */
interface CompiledDanger {
  readonly danger: Danger;
  readonly signs: readonly (readonly RegExp[])[];
  readonly unless: RegExp | null;
}

/** The dangers of a library in the order in which they come first. */
export type Dangers = readonly CompiledDanger[];

/** A danger that the words report, and the sentence that reports it. */
export interface FoundDanger {
  readonly danger: Danger;
  readonly span: Span;
}

type Words = Readonly<Record<string, readonly string[]>>;

/** The pattern with the words of its lists put in; a list that does not exist matches nothing. */
function withWords(pattern: string, words: Words): RegExp {
  const listed = pattern.replace(LIST, (_, name: string) =>
    words[name] === undefined ? '(?!)' : `(?:${words[name].join('|')})`,
  );
  return new RegExp(listed, 'u');
}

/** Compiles the dangers of a library. Throws on a pattern that is no regular expression, which the schema refuses. */
export const compileDangers = (dangers: readonly Danger[], words: Words): Dangers =>
  [...dangers]
    .sort((a, b) => a.order - b.order)
    .map((danger) => ({
      danger,
      signs: danger.signs.map((sign) => sign.map((one) => withWords(one, words))),
      unless: danger.unless === undefined ? null : withWords(danger.unless, words),
    }));

/** What asks, supposes, wishes or denies, before the verb that would report the danger; what may have happened is none. */
const NOT_SO =
  /\b(?:could|should|might|may)\b(?! (?:well )?(?:have|'ve))|\bcan\b(?! (?:of|smell|hear|see|feel|taste)\b)|\b(if|would|will|shall|does|do|how|what|which|when|keep|keeps|prevent|avoid|in case|want to|wants to|wanted to|afraid|worried|not|never|without)\b|\b(are|is) (the|there|this|that|it)\b|n't\b/;

/** What supposes or denies, also behind the subject. */
const NOT_INSIDE =
  /\b(if|not|never|without|would)\b|\b(?:could|might)\b(?! (?:well )?(?:have|'ve))|n't\b/;

/** Words without a full stop are read in windows of this length, which overlap by half; no report is longer. */
const WINDOW = 400;

/** A sentence, or a window of a long one, in small letters with plain apostrophes, as long as the text it stands for. */
interface Sentence {
  readonly text: string;
  readonly start: number;
}

function windowsOf(text: string, start: number): readonly Sentence[] {
  const windows: Sentence[] = [];
  for (let at = 0; at === 0 || at + WINDOW / 2 < text.length; at += WINDOW / 2)
    windows.push({ text: text.slice(at, at + WINDOW), start: start + at });
  return windows;
}

function sentencesOf(words: string): readonly Sentence[] {
  // Only letters of the patterns are made small: others could change their length and shift every span.
  const text = words.replace(/[A-Z]/g, (letter) => letter.toLowerCase()).replace(/[’‘`]/g, "'");
  return [...text.matchAll(/[^.!?;\n]+/g)].flatMap(({ 0: sentence, index }) =>
    sentence.trim() === '' ? [] : windowsOf(sentence, index),
  );
}

/** Whether the clause in which something begins asks or supposes it. */
function isOnlyAsked(sentence: string, at: number, inside: string): boolean {
  const before = sentence.slice(0, at);
  const clause = Math.max(
    before.lastIndexOf(','),
    before.lastIndexOf(' but '),
    before.lastIndexOf(' and '),
    before.lastIndexOf(' so '),
    before.lastIndexOf(' that '),
  );
  return NOT_SO.test(before.slice(clause + 1)) || NOT_INSIDE.test(inside);
}

function shows({ danger, signs, unless }: CompiledDanger, sentence: string): boolean {
  if (unless?.test(sentence) === true) return false;
  return signs.some(([act, ...others]) => {
    const found = act?.exec(sentence);
    if (!found || !others.every((one) => one.test(sentence))) return false;
    // In a negation that belongs to the sign, as in "can't breathe", the sign itself says so.
    const inside = /n't|cannot|\bnot\b/.test(act?.source ?? '') ? '' : found[0];
    return danger.anySense || !isOnlyAsked(sentence, found.index, inside);
  });
}

/**
 * The dangers that words report, each once, the most urgent first, with the span of the sentence in characters (UTF-16). What
 * is asked, supposed or denied is none. Empty for words without any.
 */
export function findDangers(dangers: Dangers, words: string): readonly FoundDanger[] {
  const sentences = sentencesOf(words);
  return dangers.flatMap((one) => {
    const sentence = sentences.find(({ text }) => shows(one, text));
    if (!sentence) return [];
    const { start, text } = sentence;
    return [{ danger: one.danger, span: { start, end: start + text.length } }];
  });
}
