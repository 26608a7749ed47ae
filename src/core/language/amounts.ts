import { addDays, civil, dayOf, type Day } from '../timing/calendar.ts';
import { litresIn } from './measures.ts';
import { NUMBER_PATTERN, numberOf } from './numbers.ts';
import type { Span } from './tokens.ts';

/** A value that was said: since when, how warm, how often watered. */
export type SaidAmount =
  | {
      /** `planted` when it was put there, sown or moved; `every-year` when it comes back. */
      readonly kind: 'since' | 'planted' | 'every-year';
      /** First and last day that can be meant; null where it hangs on an event without a date. */
      readonly from: Day | null;
      readonly to: Day | null;
      /** The event or season that was named; null where days are known. */
      readonly named: string | null;
      readonly span: Span;
    }
  | {
      readonly kind: 'watering';
      readonly timesPerWeek: number | null;
      readonly minutes: number | null;
      readonly litres: number | null;
      readonly span: Span;
    }
  | {
      readonly kind: 'temperature';
      readonly celsius: number;
      /** As it was said, when that was in degrees Fahrenheit. */
      readonly fahrenheit: number | null;
      readonly span: Span;
    };

/** What dates and degrees are read against. */
export interface SaidAt {
  readonly today: Day;
  readonly south: boolean;
  /** A bare number of degrees is Fahrenheit, as people say it there. */
  readonly fahrenheit: boolean;
}

const UNIT_DAYS: Readonly<Record<string, number>> = { day: 1, week: 7, month: 30.4, year: 365.25 };
const MONTHS =
  'january|february|march|april|may|june|july|august|september|october|november|december';
const MONTH_NAMES = MONTHS.split('|');
const EVENTS = 'freeze|frost|cold snap|storm|hail|flood|heat ?wave|hot spell|drought|rains?|snow';

const AGO = new RegExp(
  `\\b(every |in |next )?(${NUMBER_PATTERN}) (day|week|month|year)s?\\b(?!['’])( old|-old)?`,
  'gi',
);
const NAMED =
  /\b(yesterday|last night|this morning|(?:last|this|past) (?:weekend|week|month|year))\b/gi;
const SEASON = /\b(every|each|last|this|since) (year|spring|summer|fall|autumn|winter)\b/gi;
const MONTH = new RegExp(
  `\\b(since|in|early|mid|late|last|beginning of|end of) (${MONTHS})\\b`,
  'gi',
);
const AFTER = new RegExp(
  `\\b(?:since|after) (?:the |that |a |last )?(?:big |hard |late )?(${EVENTS})\\b`,
  'gi',
);
const PLANTED =
  /\b(?:planted|sowed|sown|put (?:it|them|in)|bought|moved|transplanted|repotted|installed)\b[^.!?;]{0,40}$/i;
const OTHERS_AGE = /\b(?:watered?|waters|watering|fertili[sz]ed?|feed|fed)\b[^.!?;]{0,12}$/i;

const spanOf = (match: RegExpMatchArray): Span => ({
  start: match.index ?? 0,
  end: (match.index ?? 0) + match[0].length,
});

/** First month of each season north of the equator, January = 0. */
const SEASON_START: Readonly<Record<string, number>> = {
  spring: 2,
  summer: 5,
  fall: 8,
  autumn: 8,
  winter: 11,
};

interface Range {
  readonly from: Day;
  readonly to: Day;
}

/** The last time that months `first` to `first + length` began before today; months may run past December. */
function lastMonths(first: number, length: number, today: Day): Range {
  const { year } = civil(today);
  const begins = (of: number): Day => dayOf(of, first + 1, 1);
  const own = begins(year) <= today ? year : year - 1;
  return { from: begins(own), to: addDays(dayOf(own, first + 1 + length, 1), -1) };
}

function namedRange(words: string, today: Day): Range {
  const length = /week(?!end)/.test(words)
    ? 7
    : /month/.test(words)
      ? 30
      : /year/.test(words)
        ? 365
        : 1;
  if (length === 1) {
    const day = /yesterday|night/.test(words) ? addDays(today, -1) : today;
    return /weekend/.test(words) ? { from: addDays(today, -7), to: today } : { from: day, to: day };
  }
  const last = /^last/.test(words) ? length : 0;
  return { from: addDays(today, -last - length), to: addDays(today, -last) };
}

function monthRange(how: string, month: number, today: Day): Range {
  const { from, to } = lastMonths(month, 1, today);
  if (how === 'early' || how === 'beginning of') return { from, to: addDays(from, 10) };
  if (how === 'mid') return { from: addDays(from, 10), to: addDays(from, 20) };
  if (how === 'late' || how === 'end of') return { from: addDays(from, 20), to };
  return { from, to };
}

/** "Twice a week" is how often; "a week ago" and "for a week" are since when. */
function isRate({ 2: number = '', index = 0, 0: whole }: RegExpMatchArray, text: string): boolean {
  if (!/^an?$/i.test(number)) return false;
  const ago = /^ (?:ago|now)\b/i.test(text.slice(index + whole.length));
  return !ago && !/\b(?:for|past|last|about|nearly|over)(?: the)? $/i.test(text.slice(0, index));
}

function* ranges(text: string, { today, south }: SaidAt): Generator<[RegExpMatchArray, Range]> {
  for (const match of text.matchAll(AGO)) {
    const [, before, number = '', unit = '', age] = match;
    if (before !== undefined || age !== undefined || isRate(match, text)) continue;
    const days = numberOf(number) * (UNIT_DAYS[unit.toLowerCase()] ?? 1);
    // A number of months or years is never meant to the day.
    const give = unit.toLowerCase() === 'day' ? 0 : days * 0.15;
    yield [match, { from: addDays(today, -days - give), to: addDays(today, -days + give) }];
  }
  for (const match of text.matchAll(NAMED))
    yield [match, namedRange(match[0].toLowerCase(), today)];
  for (const match of text.matchAll(MONTH)) {
    const month = MONTH_NAMES.indexOf((match[2] ?? '').toLowerCase());
    yield [match, monthRange((match[1] ?? '').toLowerCase(), month, today)];
  }
  for (const match of text.matchAll(SEASON)) {
    const [, how = '', name = ''] = match;
    const start = SEASON_START[name.toLowerCase()];
    if (start === undefined || /every|each/i.test(how)) continue;
    const first = (start + (south ? 6 : 0)) % 12;
    const range = lastMonths(first, 3, today);
    const before = /last/i.test(how) && range.to >= today;
    yield [match, before ? lastMonths(first, 3, addDays(range.from, -1)) : range];
  }
}

function sinceWhen(text: string, said: SaidAt): readonly SaidAmount[] {
  const dated = [...ranges(text, said)].flatMap(([match, range]): SaidAmount[] => {
    const span = spanOf(match);
    const before = text.slice(Math.max(0, span.start - 60), span.start);
    if (OTHERS_AGE.test(before)) return [];
    const kind = PLANTED.test(before) ? 'planted' : 'since';
    return [{ kind, ...range, named: null, span }];
  });
  const after = [...text.matchAll(AFTER)].map((match): SaidAmount => ({
    kind: 'since',
    from: null,
    to: null,
    named: (match[1] ?? '').toLowerCase(),
    span: spanOf(match),
  }));
  const again = [...text.matchAll(SEASON)]
    .filter(([, how = '']) => /every|each/i.test(how))
    .map((match): SaidAmount => ({
      kind: 'every-year',
      from: null,
      to: null,
      named: (match[2] ?? '').toLowerCase(),
      span: spanOf(match),
    }));
  return [...dated, ...after, ...again];
}

const WATER = /\b(?:water(?:s|ed|ing)?|irrigat\w*|sprinklers?|drip|soak(?:s|ed|er)?)\b/i;
const OFTEN: readonly (readonly [RegExp, (number: number) => number])[] = [
  [/\b(?:every other|every second) day\b/i, () => 3.5],
  [/\b(?:daily|every ?day|each day|every (?:morning|evening|night))\b/i, () => 7],
  [/\btwice (?:a|per|each|every) day\b/i, () => 14],
  [/\btwice (?:a|per|each|every) week\b|\btwice weekly\b/i, () => 2],
  [/\b(?:once (?:a|per|each|every) week|weekly|every week)\b/i, () => 1],
  [/\b(?:once (?:a|per|each|every) month|monthly|every month)\b/i, () => 0.25],
  [new RegExp(`\\b(${NUMBER_PATTERN}) (?:times|days) (?:a|per|each|every) week\\b`, 'i'), (n) => n],
  [new RegExp(`\\b(${NUMBER_PATTERN}) times (?:a|per|each|every) day\\b`, 'i'), (n) => 7 * n],
  [new RegExp(`\\bevery (${NUMBER_PATTERN})(?: or [a-z]+)? days\\b`, 'i'), (n) => 7 / n],
  [new RegExp(`\\bevery (${NUMBER_PATTERN})(?: or [a-z]+)? weeks\\b`, 'i'), (n) => 1 / n],
];
const LONG = new RegExp(`\\b(${NUMBER_PATTERN}|half an)[ -](minute|hour)s?\\b`, 'i');
const MUCH = new RegExp(`\\b(${NUMBER_PATTERN}) (gallon|litre|liter|quart|cup)s?\\b`, 'i');
const SENTENCE = /[^.!?;\n]{1,400}/g;

function timesPerWeek(sentence: string): number | null {
  for (const [pattern, value] of OFTEN) {
    const match = pattern.exec(sentence);
    if (match) return value(numberOf(match[1] ?? '1'));
  }
  return null;
}

function minutesIn(sentence: string): number | null {
  const match = LONG.exec(sentence);
  if (!match) return null;
  const number = /half/i.test(match[1] ?? '') ? 0.5 : numberOf(match[1] ?? '');
  return number * (/hour/i.test(match[2] ?? '') ? 60 : 1);
}

function litresSaid(sentence: string): number | null {
  const match = MUCH.exec(sentence);
  const litres = litresIn(match?.[2] ?? '');
  return litres === null ? null : numberOf(match?.[1] ?? '') * litres;
}

function wateringSaid(text: string): readonly SaidAmount[] {
  return [...text.matchAll(SENTENCE)].flatMap((match): SaidAmount[] => {
    const [sentence] = match;
    const water = WATER.exec(sentence);
    if (!water) return [];
    const [times, minutes, litres] = [
      timesPerWeek(sentence),
      minutesIn(sentence),
      litresSaid(sentence),
    ];
    if (times === null && minutes === null && litres === null) return [];
    const start = match.index + water.index;
    return [
      {
        kind: 'watering',
        timesPerWeek: times,
        minutes,
        litres,
        span: { start, end: start + water[0].length },
      },
    ];
  });
}

const DEGREES =
  /(?<![\w.])(-?\d{1,3}) ?(?:degrees?|deg\b|°)(?: ?(fahrenheit|celsius|centigrade|[fc])\b)?/gi;

function temperaturesSaid(text: string, { fahrenheit }: SaidAt): readonly SaidAmount[] {
  return [...text.matchAll(DEGREES)].map((match): SaidAmount => {
    const [, number = '', unit] = match;
    const value = Number(number);
    const isFahrenheit = unit === undefined ? fahrenheit : /^f/i.test(unit);
    const celsius = isFahrenheit ? ((value - 32) * 5) / 9 : value;
    return {
      kind: 'temperature',
      celsius,
      fahrenheit: isFahrenheit ? value : null,
      span: spanOf(match),
    };
  });
}

/**
 * Values that were said, in text order: dates, temperatures in degrees Celsius, waterings a week, minutes and litres.
 * Dates are days of the calendar in the past of `said.today`.
 */
export function saidAmounts(text: string, said: SaidAt): readonly SaidAmount[] {
  return [...sinceWhen(text, said), ...wateringSaid(text), ...temperaturesSaid(text, said)].sort(
    (a, b) => a.span.start - b.span.start,
  );
}

/** Air between these was measured where people garden, Celsius: wide on purpose, our own estimate. */
const LIKELY_AIR = { least: -50, most: 52 } as const;
/** Water more often than this is hardly meant, times a week: our own estimate. */
const MAX_WATERINGS = 21;

/** An amount that is out of proportion. */
export type OddAmount =
  | { readonly code: 'odd-temperature'; readonly said: string }
  | { readonly code: 'odd-watering'; readonly timesPerWeek: number };

/**
 * Amounts out of proportion, to be asked back: air below -50 or above 52 degrees Celsius, more than 21 waterings a
 * week. Empty when all are plausible.
 */
export function oddAmounts(amounts: readonly SaidAmount[], text: string): readonly OddAmount[] {
  return amounts.flatMap((one): OddAmount[] => {
    if (one.kind === 'temperature')
      return one.celsius < LIKELY_AIR.least || one.celsius > LIKELY_AIR.most
        ? [{ code: 'odd-temperature', said: text.slice(one.span.start, one.span.end) }]
        : [];
    if (one.kind === 'watering')
      return one.timesPerWeek !== null && one.timesPerWeek > MAX_WATERINGS
        ? [{ code: 'odd-watering', timesPerWeek: one.timesPerWeek }]
        : [];
    return [];
  });
}
