import { METRES_IN_FOOT, METRES_IN_INCH } from '../util/units.ts';
import { EXACT_NUMBER_PATTERN, numberOf } from './numbers.ts';
import { overlaps, type Span } from './tokens.ts';

/** A length as it was said. */
export interface SaidLength {
  readonly amount: number;
  readonly unit: LengthUnit;
  readonly metres: number;
  readonly span: Span;
}

const METRES_IN = {
  millimetre: 0.001,
  centimetre: 0.01,
  metre: 1,
  inch: METRES_IN_INCH,
  foot: METRES_IN_FOOT,
  yard: 3 * METRES_IN_FOOT,
} as const;
/** Litres in a unit of volume by the start of its name. */
const LITRES_IN: readonly (readonly [RegExp, number])[] = [
  [/^gal/i, 3.785],
  [/^(l$|lit)/i, 1],
  [/^qua/i, 0.946],
  [/^cup/i, 0.237],
];

/** Litres in a unit of volume by its name, US gallons and quarts. Returns null for any other word. */
export const litresIn = (word: string): number | null =>
  LITRES_IN.find(([pattern]) => pattern.test(word))?.[1] ?? null;

export type LengthUnit = keyof typeof METRES_IN;

const UNITS: readonly (readonly [RegExp, LengthUnit])[] = [
  [/^(mm|millimet)/i, 'millimetre'],
  [/^(cm|centimet)/i, 'centimetre'],
  [/^(inch|in$|")/i, 'inch'],
  [/^(foot|feet|ft|')/i, 'foot'],
  [/^(yard|yd)/i, 'yard'],
  [/^(m$|met)/i, 'metre'],
];
const LENGTH = new RegExp(
  `(\\b(?:${EXACT_NUMBER_PATTERN}))[ -]?(millimet(?:re|er)s?|mm\\b|centimet(?:re|er)s?|cm\\b|inch(?:es)?|in\\b|"|foot\\b|feet\\b|ft\\b|'|yards?\\b|yds?\\b|met(?:re|er)s?|m\\b)`,
  'gi',
);

/** Metres in a unit of length by its name. Returns null for any other word. */
export function metresIn(word: string): number | null {
  const unit = UNITS.find(([pattern]) => pattern.test(word))?.[1];
  return unit === undefined ? null : METRES_IN[unit];
}

/** "An inch and a half". */
const AND_A_HALF = /\b(?:an? )?(inch|foot|met(?:re|er)|yard) and a half\b/gi;

function lengthsAndAHalf(text: string): readonly SaidLength[] {
  return [...text.matchAll(AND_A_HALF)].flatMap((match) => {
    const unit = UNITS.find(([pattern]) => pattern.test(match[1] ?? ''))?.[1];
    const span = { start: match.index, end: match.index + match[0].length };
    return unit ? [{ amount: 1.5, unit, metres: 1.5 * METRES_IN[unit], span }] : [];
  });
}

/** Lengths in a text, in the order said. */
export function findLengths(text: string): readonly SaidLength[] {
  const halves = lengthsAndAHalf(text);
  const plain = plainLengths(text).filter(
    ({ span }) => !halves.some((half) => overlaps(half.span, span)),
  );
  return [...plain, ...halves].sort((a, b) => a.span.start - b.span.start);
}

function plainLengths(text: string): readonly SaidLength[] {
  return [...text.matchAll(LENGTH)].flatMap((match) => {
    const [whole, number = '', word = ''] = match;
    const amount = numberOf(number);
    const unit = UNITS.find(([pattern]) => pattern.test(word))?.[1];
    if (unit === undefined || !Number.isFinite(amount)) return [];
    const span = { start: match.index, end: match.index + whole.length };
    return [{ amount, unit, metres: amount * METRES_IN[unit], span }];
  });
}

/** Words between two lengths that still can be one slip of the tongue. */
const NEAR_CHARACTERS = 160;

/** Two lengths of the same number in different units, near each other: "five inches ... five feet". */
export function mixedUpLengths(text: string): readonly (readonly [SaidLength, SaidLength])[] {
  const lengths = findLengths(text);
  return lengths.flatMap((first, i) => {
    for (let next = i + 1; next < lengths.length; next++) {
      const other = lengths[next];
      if (!other || other.span.start - first.span.end >= NEAR_CHARACTERS) break;
      if (other.amount === first.amount && other.unit !== first.unit) return [[first, other]];
    }
    return [];
  });
}

/** Lengths in metres beyond which a thing is out of proportion; our own estimate, wide on purpose. */
const PROPORTIONS: readonly (readonly [
  RegExp,
  { readonly least: number; readonly most: number },
])[] = [
  [/^(spots?|specks?|dots?)$/, { least: 0.0002, most: 0.1 }],
  [/^(bumps?|eggs?|maggots?)$/, { least: 0.0002, most: 0.06 }],
  [/^(caterpillars?|beetles?|grubs?|bugs?|worms?)$/, { least: 0.001, most: 0.3 }],
  [/^needles?$/, { least: 0.003, most: 0.5 }],
  [/^(leaf|leaves)$/, { least: 0.002, most: 3 }],
  [/^(berry|berries|buds?|blossoms?|flowers?)$/, { least: 0.002, most: 0.5 }],
  [/^(tomato|tomatoes|apples?|pears?|lemons?|peppers?)$/, { least: 0.005, most: 0.4 }],
  [/^spears?$/, { least: 0.02, most: 0.4 }],
  [/^(trees?|hedges?)$/, { least: 0.15, most: 100 }],
];
/** Words between a length and what it measures. */
const NEAR_WORDS = 4;
/** Characters in which those words are looked for, so that long texts take no longer a word. */
const WORDS_WITHIN = 240;

/** A length with the word for what it seems to measure. */
export interface OddLength {
  readonly length: SaidLength;
  readonly thing: string;
}

/**
 * Lengths out of proportion for what they stand beside ("spots five feet wide"), in metres. Spans count in
 * characters. Empty when all are plausible.
 */
export function oddLengths(text: string): readonly OddLength[] {
  return findLengths(text).flatMap((length): readonly OddLength[] => {
    const before =
      text
        .slice(Math.max(0, length.span.start - WORDS_WITHIN), length.span.start)
        .toLowerCase()
        .match(/[a-z]+/g) ?? [];
    const after =
      text
        .slice(length.span.end, length.span.end + WORDS_WITHIN)
        .toLowerCase()
        .match(/[a-z]+|[.!?;]/g) ?? [];
    const stop = after.findIndex((word) => /[.!?;]/.test(word));
    const near = [
      ...before.slice(-NEAR_WORDS).reverse(),
      ...after.slice(0, stop === -1 ? NEAR_WORDS : Math.min(stop, NEAR_WORDS)),
    ];
    for (const thing of near) {
      const range = PROPORTIONS.find(([pattern]) => pattern.test(thing))?.[1];
      if (!range) continue;
      return length.metres < range.least || length.metres > range.most ? [{ length, thing }] : [];
    }
    return [];
  });
}
