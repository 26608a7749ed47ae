import type { Span } from '../../language/tokens.ts';
import {
  ELEMENTS,
  SOIL_METHODS,
  type Element,
  type ReportSort,
  type SoilMethod,
} from './elements.ts';

/** One value of a report, in the unit of its element. */
export interface Reading {
  readonly element: Element;
  readonly value: number;
  readonly span: Span;
}

/** What could be read of a report. */
export interface ReadReport {
  readonly sort: ReportSort;
  /** As it was named; null where it was not. */
  readonly method: SoilMethod | null;
  readonly readings: readonly Reading[];
  /** Values that are out of all range, or in a unit that says nothing here. */
  readonly odd: readonly OddReading[];
}
export interface OddReading {
  readonly element: Element;
  readonly said: string;
  readonly why: 'out-of-range' | 'unknown-unit';
}

const METHODS: Readonly<Record<SoilMethod, RegExp>> = {
  'mehlich-3': /mehlich/i,
  bray: /\bbray\b/i,
  olsen: /\bolsen\b|bicarbonate[- ]?p\b/i,
};

const WATER_WORDS =
  /\b(?:well|irrigation|tap|bore|pond|city|rain) ?water|\bwater (?:test|report|analysis|sample)|\bSAR\b/i;
const LEAF_WORDS = /\b(?:leaf|tissue|foliar|petiole) (?:test|report|analysis|sample)/i;
const TEST_WORDS =
  /\b(?:soil|lab|laboratory|water|leaf|tissue) ?(?:test|report|analysis|results?)|\b(?:test|report|results?|kit) (?:says?|said|came|shows?|reads?|gives?|is|are|was)|\bmehlich|\bppm\b|\bresults\b/i;

/** What may stand between a name and its number. Blanks match in one way only; with two, failing takes exponential time. */
const LINK = String.raw`(?:\([^)\n]{1,30}\)|[-,:;=|]|\b(?:is|was|are|of|at|reads?|came|back|in|as|level|levels|only|about|around|just|test(?:ed)?|value|result|says?|shows?|low|high|very|a)\b)`;
const BETWEEN = String.raw`(?=[\s(,:;=|-])(?:\s*${LINK}){0,4}\s*`;
const UNIT = String.raw`(ppm|mg\/(?:kg|l)|mg per (?:kg|l|liter|litre)|lbs?\.?(?:\/| per | an? | to the )a(?:c|cre)?|pounds (?:per|an|to the) acre|kg\/ha|%|percent|per cent|ds\/m|mmhos?(?:\/cm)?|ms\/cm|[uµ]s\/cm|meq(?:\/(?:l|100 ?g))?|me\/l|cmol(?:\/kg)?)`;
const NUMBER = String.raw`(\d{1,5}(?:,\d{3})*(?:\.\d{1,3})?|\.\d{1,3})`;

/** Pounds in the plough layer of an acre are taken as two million; kilograms in that of a hectare as 2.24 million. */
const PPM_IN: readonly (readonly [RegExp, number])[] = [
  [/^(ppm|mg)/, 1],
  [/^(lb|pound)/, 0.5],
  [/^kg\/ha/, 1 / 2.24],
];
/** Milligrams of a milliequivalent, by atomic weight and charge (IUPAC 2021). */
const MG_IN_MEQ: Readonly<Record<string, number>> = {
  sodium: 22.99,
  chloride: 35.45,
  bicarbonate: 61.02,
  calcium: 20.04,
  magnesium: 12.15,
  potassium: 39.1,
};
const MEQ = /^(?:meq|me\/l|cmol)/;
const IN_A_LITER = /\/l$/;
/** What a soil holds is told to 100 g: ten times as much to the kilogram. */
const MEQ_OF_SOIL = 10;

/** How much of the element's own unit one of what was said is. Returns null where the unit says nothing here. */
function factorOf({ id, unit }: Element, said: string, sort: ReportSort): number | null {
  const word = said.toLowerCase();
  if (word === '') return 1;
  switch (unit) {
    case 'ppm':
      if (word === '%' || word.startsWith('per')) return 10_000;
      if (MEQ.test(word)) {
        const milligrams = MG_IN_MEQ[id];
        if (milligrams === undefined) return null;
        return sort === 'soil' && !IN_A_LITER.test(word) ? MEQ_OF_SOIL * milligrams : milligrams;
      }
      return PPM_IN.find(([is]) => is.test(word))?.[1] ?? null;
    case '%':
      if (/^(%|per ?cent)/.test(word)) return 1;
      return /^(ppm|mg)/.test(word) ? 1 / 10_000 : null;
    case 'dS/m':
      if (/^(ds|mmho|ms)/.test(word)) return 1;
      return /^[uµ]s/.test(word) ? 0.001 : null;
    case 'meq':
      return MEQ.test(word) ? 1 : null;
    default:
      return null;
  }
}

function pattern(one: Element): RegExp {
  return new RegExp(
    String.raw`(?<![\w-])(${one.is.source})(?![\w])${BETWEEN}${NUMBER}[\s,;|\t]{0,3}${UNIT}?(?![\w.]*\d|[-/]\d)`,
    'gi',
  );
}

const PATTERNS: Readonly<Record<ReportSort, readonly (readonly [Element, RegExp])[]>> = {
  soil: ELEMENTS.soil.map((one) => [one, pattern(one)]),
  water: ELEMENTS.water.map((one) => [one, pattern(one)]),
  leaf: ELEMENTS.leaf.map((one) => [one, pattern(one)]),
};

/** "p" in running words is a letter; an abbreviation of an element begins with a capital letter. */
const isWritten = (name: string): boolean =>
  name.length > 2 || /^[A-Z]/.test(name) || /^(?:ph|om|ec)$/i.test(name);

const numberIn = (said: string): number => Number(said.replaceAll(',', ''));

interface ReadAs {
  readonly sort: ReportSort;
  readonly isFree: (span: Span) => boolean;
}

function readElement(text: string, one: Element, is: RegExp, { sort, isFree }: ReadAs) {
  for (const match of text.matchAll(is)) {
    const [whole, name = '', digits = '', unit = ''] = match;
    const span = { start: match.index, end: match.index + whole.trimEnd().length };
    if (!isWritten(name) || !isFree(span)) continue;
    const factor = factorOf(one, unit, sort);
    const value = factor === null ? NaN : numberIn(digits) * factor;
    return { element: one, value, span, said: `${digits} ${unit}`.trim(), factor };
  }
  return null;
}

/** Values of a report of one sort in a text, each part of the text read once. */
function readAs(text: string, sort: ReportSort): Pick<ReadReport, 'readings' | 'odd'> {
  const readings: Reading[] = [];
  const odd: OddReading[] = [];
  const taken: Span[] = [];
  // Most enquiries have no number, and their words need not be tried against each element.
  if (!/\d/.test(text)) return { readings, odd };
  const isFree = ({ start, end }: Span): boolean =>
    !taken.some((one) => start < one.end && end > one.start);
  for (const [element, is] of PATTERNS[sort]) {
    const found = readElement(text, element, is, { sort, isFree });
    if (!found) continue;
    taken.push(found.span);
    const [least, most] = element.range;
    if (found.factor === null) odd.push({ element, said: found.said, why: 'unknown-unit' });
    else if (found.value < least || found.value > most)
      odd.push({ element, said: found.said, why: 'out-of-range' });
    else readings.push({ element, value: found.value, span: found.span });
  }
  return { readings, odd };
}

function sortOf(text: string): ReportSort {
  if (LEAF_WORDS.test(text)) return 'leaf';
  return WATER_WORDS.test(text) ? 'water' : 'soil';
}

/**
 * Reads a test report that was typed, pasted or separated by commas: "pH 5.2, phosphorus 8", "K,145,lb/acre". Values are
 * turned into the unit of each element; a bare number is in that unit already. The sort is taken from the words where it
 * is not given.
 */
export function readReport(text: string, sort: ReportSort = sortOf(text)): ReadReport {
  const method = SOIL_METHODS.find((one) => METHODS[one].test(text)) ?? null;
  return { sort, method, ...readAs(text, sort) };
}

const LEAST_VALUES = 2;

/**
 * The report that is read out in an enquiry's words. Returns null where there is none: a report gives two values at
 * least, or one besides pH where a test is spoken of.
 */
export function reportIn(words: string): ReadReport | null {
  const report = readReport(words);
  const others = report.readings.filter(({ element }) => element.unit !== 'pH');
  const isOne =
    others.length >= LEAST_VALUES ||
    (others.length === 1 && report.readings.length >= LEAST_VALUES);
  return isOne || (others.length === 1 && TEST_WORDS.test(words)) ? report : null;
}
