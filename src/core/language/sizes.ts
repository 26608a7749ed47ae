import { findLengths, litresIn, metresIn, type SaidLength } from './measures.ts';
import { EXACT_NUMBER_PATTERN as NUMBER, numberOf } from './numbers.ts';
import type { Span } from './tokens.ts';

/** A size of the plant, its pot or its bed, as it was said. */
export type SaidSize = { readonly span: Span } & (
  | { readonly kind: 'height' | 'trunk' | 'pot'; readonly metres: number }
  | { readonly kind: 'pot-volume'; readonly litres: number }
  | { readonly kind: 'area'; readonly squareMetres: number }
  | { readonly kind: 'count'; readonly number: number }
  /** Of the soil, by a test. */
  | { readonly kind: 'ph'; readonly value: number }
);

/** Before a number that takes the place of the one said last. */
const CORRECTS = String.raw`(?:,|\.|-)?\s*(?:no,? wait|no,? sorry|sorry|wait|i mean|i meant|make that|scratch that|rather|no),?\s+(?:(?:its|it's|about|more like|is)\s+)*`;
const CORRECTION = new RegExp(
  String.raw`^[^.!?;\d]{0,24}?${CORRECTS}(${NUMBER})(?:[ -]?(inch(?:es)?|feet|foot|ft|cm|m|met(?:re|er)s?|yards?|mm)\b)?`,
  'i',
);

/** What a length was corrected to at once, "3 feet tall no wait 30", with the span of the new number; null where it stands. */
function correctionOf(text: string, { span, metres, amount }: SaidLength): SaidLength | null {
  const match = CORRECTION.exec(text.slice(span.end));
  const number = numberOf(match?.[1] ?? '');
  if (!match || !Number.isFinite(number)) return null;
  const unit = metresIn(match[2] ?? '') ?? metres / amount;
  const end = span.end + match[0].length;
  return {
    amount: number,
    unit: 'metre',
    metres: number * unit,
    span: { start: end, end },
  };
}

/** Behind a number or a unit, before the number that corrects it. */
const AFTER_CORRECTED = new RegExp(
  String.raw`(?:\d|foot|feet|inch|inches|cm|m)[^.!?;]{0,24}?${CORRECTS}$`,
  'i',
);

/** A length that corrects another one is not said by itself. */
const isCorrection = (text: string, { span }: SaidLength): boolean =>
  AFTER_CORRECTED.test(text.slice(Math.max(0, span.start - 60), span.start));

const UP = /^[^.!?;,]{0,12}\b(?:tall|high|in height)\b/i;
const STANDS = /\b(?:stands?|height(?: of| is)?|grown to|reach(?:es|ed)?)(?: is| about| at)? $/i;
/** What has a height of its own, said behind a length: "a 12 m birch". */
const TALL_THING =
  /^[ -](?:[a-z]+ ){0,2}?(?:trees?|hedges?|shrubs?|bush(?:es)?|palms?|oaks?|maples?|birch(?:es)?|pines?|spruces?|firs?|elms?|ash(?:es)?|willows?|poplars?|beech(?:es)?|lindens?|cypress(?:es)?|cedars?|sycamores?|magnolias?|cherr(?:y|ies)|apples?|pears?|plums?|walnuts?|pecans?|eucalyptus|conifers?)\b/i;
const SUBJECT =
  /\b(?:trees?|hedges?|oaks?|maples?|birch|pines?|spruces?|firs?|elms?|palms?|cypress|cedars?|bush|shrub|it)(?:'s| is| was| are)(?: about| maybe| around| roughly)? $/i;
const NOT_UP =
  /^ (?:up |to )?(?:from|away|apart|wide|across|deep|long|of|off|thick|spacing|through|around)\b/i;
const NOT_SIZED =
  /\b(?:space[ds]?|spaced at|apart|every|mow(?:n|ed)?(?: it)? (?:at|to)|within|planted|cut(?: it)? to|hole) ?(?:at |about )?$/i;
const OF_TRUNK = /^[ -]?(?:[a-z]+ )?(?:trunks?|caliper|calliper)\b/i;
const TRUNK_IS = /\btrunks?(?: is| are|'s|,)?(?: about| around| maybe)? $/i;
const OF_POT = /^[ -]?(?:[a-z]+ )?(?:pots?|planters?|containers?|tubs?)\b/i;
const POT_IS = /\b(?:pot|planter|container|tub)(?: is|'s)(?: about)? $/i;
/** Nothing that stands in a garden is taller, and no pot or trunk wider, in metres. */
const MOST = { height: 60, trunk: 3, pot: 1.5 } as const;

function kindOf(text: string, { span, metres }: SaidLength): 'height' | 'trunk' | 'pot' | null {
  const before = text.slice(Math.max(0, span.start - 40), span.start);
  const after = text.slice(span.end, span.end + 40);
  if (OF_TRUNK.test(after) || TRUNK_IS.test(before)) return 'trunk';
  if (OF_POT.test(after) || POT_IS.test(before)) return 'pot';
  if (UP.test(after)) return 'height';
  if (NOT_SIZED.test(before) || NOT_UP.test(after)) return null;
  if (STANDS.test(before) || SUBJECT.test(before)) return 'height';
  return metres >= 1 && TALL_THING.test(after) ? 'height' : null;
}

function lengthsSaid(text: string): readonly SaidSize[] {
  return findLengths(text).flatMap((length): SaidSize[] => {
    if (isCorrection(text, length)) return [];
    const correction = correctionOf(text, length);
    const right = correction ?? length;
    const kind = kindOf(text, length) ?? (correction && kindOf(text, correction));
    if (kind === null || right.metres > MOST[kind]) return [];
    return [{ kind, metres: right.metres, span: length.span }];
  });
}

const POT_VOLUME = new RegExp(
  String.raw`\b(${NUMBER})[ -]?(gal(?:lon)?|lit(?:re|er)|l|quart)s?\b[ -](?:[a-z]+ )?(?:pots?|buckets?|containers?|tubs?|planters?|bags?)\b`,
  'gi',
);

function potVolumes(text: string): readonly SaidSize[] {
  return [...text.matchAll(POT_VOLUME)].flatMap((match): SaidSize[] => {
    const litres = litresIn(match[2] ?? '');
    const number = numberOf(match[1] ?? '');
    if (litres === null || !Number.isFinite(number)) return [];
    return [{ kind: 'pot-volume', litres: number * litres, span: spanOf(match) }];
  });
}

const spanOf = ({ index = 0, 0: whole }: RegExpMatchArray): Span => ({
  start: index,
  end: index + whole.length,
});

const SIDE = String.raw`(feet|foot|ft|'|inches|met(?:re|er)s?|m|yards?|yd)?`;
const SIDES = new RegExp(
  String.raw`\b(${NUMBER})[ -]?${SIDE} ?(?:by|x|×) ?(${NUMBER})[ -]?${SIDE}(?![\w])`,
  'gi',
);
const SQUARE = new RegExp(
  String.raw`(${NUMBER})[ -]?(?:(?:square|sq\.?) ?(feet|foot|ft|met(?:re|er)s?|m|yards?|yd)|(m)(?:²|2\b))`,
  'gi',
);
const ACRES =
  /\b(half an|a half|a quarter|quarter|half|an|one|two|\d{1,2}(?:\.\d)?)[ -]?(?:of an )?acres?\b/gi;
const SQUARE_METRES_IN_ACRE = 4046.86;
const PART: Readonly<Record<string, number>> = {
  'half an': 0.5,
  'a half': 0.5,
  half: 0.5,
  'a quarter': 0.25,
  quarter: 0.25,
};

/** "One by one" and "two by two" say how, not how large. */
const isOneByOne = (a: string, b: string): boolean => /^[a-z]/i.test(a) && a === b;

function areas(text: string, unitOfPlace: string): readonly SaidSize[] {
  const sides = [...text.matchAll(SIDES)].flatMap((match): SaidSize[] => {
    const [, a = '', unitA, b = '', unitB] = match;
    if ((unitA ?? unitB) === undefined && isOneByOne(a, b)) return [];
    const last = metresIn(unitB ?? unitA ?? unitOfPlace);
    const first = metresIn(unitA ?? unitB ?? unitOfPlace);
    const square = numberOf(a) * numberOf(b) * (first ?? NaN) * (last ?? NaN);
    return Number.isFinite(square)
      ? [{ kind: 'area', squareMetres: square, span: spanOf(match) }]
      : [];
  });
  const squares = [...text.matchAll(SQUARE)].flatMap((match): SaidSize[] => {
    const metres = metresIn(match[2] ?? match[3] ?? '');
    const number = numberOf(match[1] ?? '');
    if (metres === null || !Number.isFinite(number)) return [];
    return [{ kind: 'area', squareMetres: number * metres ** 2, span: spanOf(match) }];
  });
  const acres = [...text.matchAll(ACRES)].flatMap((match): SaidSize[] => {
    const said = (match[1] ?? '').toLowerCase();
    const number = PART[said] ?? numberOf(said);
    if (!Number.isFinite(number)) return [];
    const squareMetres = number * SQUARE_METRES_IN_ACRE;
    return [{ kind: 'area', squareMetres, span: spanOf(match) }];
  });
  return [...sides, ...squares, ...acres];
}

const COUNT = new RegExp(
  String.raw`\b(${NUMBER})(?: of (?:my|our|the))?((?: [a-z]+){0,2}?) (plants?|trees?|bushes|shrubs?|roses|tomatoes|peppers|hostas|blueberries|raspberries|arborvitaes?|boxwoods?|hydrangeas|maples|oaks|pines|spruces|apples|palms|azaleas|dahlias|pots)\b`,
  'gi',
);
const NO_COUNT =
  /\b(?:days?|weeks?|months?|years?|feet|foot|ft|inch(?:es)?|cm|m|mm|leaves|times|gallons?|degrees|litres?|liters?|old|square|by|x|on|under|from|kinds?)\b/i;

function counts(text: string): readonly SaidSize[] {
  return [...text.matchAll(COUNT)].flatMap((match): SaidSize[] => {
    const number = numberOf(match[1] ?? '');
    if (!Number.isInteger(number) || number < 1 || NO_COUNT.test(match[2] ?? '')) return [];
    return [{ kind: 'count', number, span: spanOf(match) }];
  });
}

const PH =
  /\bph\b(?:[ ,:=]+(?:level|of|in|the|my|soil|is|was|at|came|back|as|about|around|test(?:ed)?|says?|said|reads?|a)\b){0,5}[ ,:=]*(\d{1,2}(?:\.\d{1,2})?)(?![\d.]*\s?(?:%|percent|feet|ft|inch))/gi;
/** Soils lie between these. */
const SOIL_PH = { least: 3, most: 10 } as const;

function soilTests(text: string): readonly SaidSize[] {
  return [...text.matchAll(PH)].flatMap((match): SaidSize[] => {
    const value = Number(match[1]);
    const isSoil = value >= SOIL_PH.least && value <= SOIL_PH.most;
    return isSoil ? [{ kind: 'ph', value, span: spanOf(match) }] : [];
  });
}

/** Thicknesses by what people have at hand, in metres; our own estimates. */
const THICK_AS: Readonly<Record<string, number>> = {
  pencil: 0.007,
  finger: 0.015,
  thumb: 0.02,
  broom: 0.025,
  wrist: 0.055,
  arm: 0.08,
  leg: 0.15,
};
const TRUNK_LIKE =
  /\b(?:trunk|stem|it|tree)(?:'s| is| was|,)?(?: only| just| about)? (?:as|about as) (?:thick|big|fat|wide)(?: round)? as (?:my|your|a|an|the) (pencil|finger|thumb|broom|wrist|arm|leg)\b/gi;

function trunksLike(text: string): readonly SaidSize[] {
  return [...text.matchAll(TRUNK_LIKE)].flatMap((match): SaidSize[] => {
    const metres = THICK_AS[(match[1] ?? '').toLowerCase()];
    return metres === undefined ? [] : [{ kind: 'trunk', metres, span: spanOf(match) }];
  });
}

/**
 * Sizes in a text, in its order: heights, trunks and pots in metres, pots in litres, areas in square metres, counts. A
 * number that was corrected at once stands for the first. Sides without a unit are feet where `inFeet`, else metres.
 */
export function saidSizes(text: string, inFeet: boolean): readonly SaidSize[] {
  const found = [
    ...areas(text, inFeet ? 'feet' : 'm'),
    ...lengthsSaid(text),
    ...potVolumes(text),
    ...counts(text),
    ...trunksLike(text),
    ...soilTests(text),
  ];
  return found.sort((a, b) => a.span.start - b.span.start);
}
