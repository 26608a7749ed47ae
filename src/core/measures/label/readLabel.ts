import { numberOf } from '../../language/numbers.ts';
import { KILOGRAMS_IN_POUND, METRES_IN_FOOT } from '../../util/units.ts';
import { litresSaid, saidMix } from './labelRate.ts';

/** Signal words, from the mildest. */
export const SIGNALS = ['caution', 'warning', 'danger'] as const;
export type Signal = (typeof SIGNALS)[number];

/** What a label says, as it was read out; null for what was not read. */
export interface Label {
  /** The words themselves. */
  readonly text: string;
  readonly signal: Signal | null;
  /** For licence holders only. */
  readonly restricted: boolean;
  /** Litres of product to a litre of water. */
  readonly rate: number | null;
  /** Litres of the sprayer or can. */
  readonly tank: number | null;
  /** Square metres that a litre of the mix covers. */
  readonly covers: number | null;
  /** Grams of granules to the square metre. */
  readonly spread: number | null;
  /** A rate for fields, which is none for a garden: "pints an acre". */
  readonly byAcre: boolean;
  readonly everyDays: number | null;
  readonly mostPerYear: number | null;
  readonly daysToHarvest: number | null;
  readonly reentryHours: number | null;
  readonly rainFreeHours: number | null;
  readonly maxCelsius: number | null;
  readonly minCelsius: number | null;
}

const NUMBER = String.raw`(\d{1,4}(?:\.\d+)?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|once|twice)`;
const GAP = String.raw`[^.;\n]{0,40}?`;
const pattern = (source: string): RegExp => new RegExp(source, 'i');

const EVERY = pattern(
  String.raw`\b(?:every|(?<!(?:harvest|entry) )interval\w*(?: of| is)?|repeat(?:ed)? (?:after|in|every)|wait|at least) ${NUMBER}(?: ?(?:to|-) ?\d+)?[- ](days?|weeks?)\b(?!${GAP}\b(?:harvest|pick))`,
);
const INTERVAL = pattern(
  String.raw`\b${NUMBER}(?: ?(?:to|-) ?\d+)?[- ](days?|weeks?) intervals?\b`,
);
const MOST = pattern(
  String.raw`\b(?:no more than|not more than|do not (?:apply|exceed|use) (?:more than )?|at most|maximum(?: of)?|max\.?|up to|limit of)\s*${NUMBER}\s*(?:applications?|times|sprays?|treatments?)?${GAP}\b(?:a|per|each|in a|in one)\b ?(?:year|season|calendar)`,
);
const A_YEAR = pattern(String.raw`\b(once|twice)\b (?:a|per|each|every) (?:year|season)`);
const HARVEST = [
  pattern(
    String.raw`\b(?:days? to harvest|phi|pre-?harvest interval|harvest interval)\b\D{0,12}${NUMBER}`,
  ),
  pattern(
    String.raw`\b${NUMBER}[- ]days?\b${GAP}\b(?:before|of|to|until|prior to) (?:the )?(?:harvest|picking)`,
  ),
  pattern(String.raw`\b(?:harvest|pick)\b${GAP}\b(?:within|for|until) ${NUMBER} days?`),
] as const;
const REENTRY = pattern(
  String.raw`\b(?:re-?enter|re-?entry|enter|rei|entry interval|keep (?:people|children|pets)[^.;\n]{0,20}(?:off|out|away))\b\D{0,30}${NUMBER} ?(hours?|hrs?|h|days?)\b`,
);
const RAIN = [
  pattern(
    String.raw`\b(?:rain|irrigat\w+|water\w*)\b${GAP}\b(?:within|for|in|next) (?:the next )?${NUMBER} ?(?:hours?|hrs?|h)\b`,
  ),
  pattern(String.raw`\b(?:rain-?free|rainfast)\b\D{0,20}${NUMBER} ?(?:hours?|hrs?|h)\b`),
  pattern(
    String.raw`\b${NUMBER} (?:hours?|hrs?) ${GAP}\b(?:rain-?free|without rain|before rain|dry)\b`,
  ),
] as const;
const DEGREES = String.raw`(-?\d{1,3}) ?(?:°|degrees?)? ?([cf])\b`;
const HOT = pattern(
  String.raw`\b(?:above|over|exceeds?|higher than|hotter than|more than)\b ${DEGREES}`,
);
const COLD = pattern(String.raw`\b(?:below|under|lower than|colder than|less than)\b ${DEGREES}`);
const RESTRICTED =
  /\brestricted[- ]use\b|\bonly (?:by|to) (?:certified|licen[cs]ed)|\bprofessional use only\b|\bcommercial applicators? only\b/i;
const BY_ACRE = /\b(?:per|an|a|to the) ?(?:acre|hectare|ha)\b|\/(?:acre|ac|ha)\b/i;

const SQUARE = String.raw`(sq(?:uare)?\.? ?(?:feet|ft|foot)|ft2|sq(?:uare)?\.? ?met(?:er|re)s?|m2|m²|sq ?m)\b`;
const AREA = String.raw`(\d[\d,]*)\s*${SQUARE}`;
const VOLUME = String.raw`(\d+(?:\.\d+)?|a|one) ?(gal(?:lon)?s?|lit(?:er|re)s?|l|quarts?)\b`;
const COVERS = pattern(
  String.raw`${VOLUME}${GAP}\b(?:covers?|treats?|for|over|per|is enough for)\b[^.;\n\d]{0,20}${AREA}`,
);
const SPREAD = pattern(
  String.raw`(\d+(?:\.\d+)?) ?(lbs?|pounds?|oz|ounces?|kg|g|grams?)(?:\b${GAP}\b(?:covers?|treats?|for|over|per|to)\b|/)[^.;\n\d]{0,20}?(?:(\d[\d,]*)\s*)?${SQUARE}`,
);

const GRAMS: readonly (readonly [RegExp, number])[] = [
  [/^(lb|pound)/i, 1000 * KILOGRAMS_IN_POUND],
  [/^(oz|ounce)/i, (1000 * KILOGRAMS_IN_POUND) / 16],
  [/^kg/i, 1000],
  [/^g/i, 1],
];

const WORDS: Readonly<Record<string, number>> = { once: 1, twice: 2 };
const valueOf = (said: string): number => WORDS[said.toLowerCase()] ?? numberOf(said);

function firstNumber(text: string, patterns: readonly RegExp[]): number | null {
  for (const one of patterns) {
    const said = one.exec(text)?.[1];
    if (said !== undefined) return valueOf(said);
  }
  return null;
}

function celsius(text: string, is: RegExp): number | null {
  const [, degrees, scale = ''] = is.exec(text) ?? [];
  if (degrees === undefined) return null;
  const value = Number(degrees);
  return scale.toLowerCase() === 'f' ? Math.round((value - 32) / 1.8) : value;
}

function days(text: string): number | null {
  const [, number, unit = ''] = EVERY.exec(text) ?? INTERVAL.exec(text) ?? [];
  if (number === undefined) return null;
  return valueOf(number) * (/week/i.test(unit) ? 7 : 1);
}

function hours(text: string): number | null {
  const [, number, unit = ''] = REENTRY.exec(text) ?? [];
  if (number === undefined) return null;
  return valueOf(number) * (/day/i.test(unit) ? 24 : 1);
}

const squareMetres = (number: string, unit: string): number =>
  Number(number.replaceAll(',', '')) * (/f(?:ee|oo)?t/i.test(unit) ? METRES_IN_FOOT ** 2 : 1);

function coverage(text: string): number | null {
  const [, amount = '', unit = '', number, area = ''] = COVERS.exec(text) ?? [];
  const litres = litresSaid(amount, unit);
  return number === undefined || litres === null ? null : squareMetres(number, area) / litres;
}

function spreadRate(text: string): number | null {
  const [, amount = '', unit = '', number = '1', area = ''] = SPREAD.exec(text) ?? [];
  const grams = GRAMS.find(([is]) => is.test(unit))?.[1];
  if (grams === undefined) return null;
  return (Number(amount) * grams) / squareMetres(number, area);
}

/** A signal word stands alone: in capitals, or before a pause; "use with caution" is none. */
const signalPattern = (word: Signal): RegExp => {
  const small = `[${word.charAt(0).toUpperCase()}${word.charAt(0)}]${word.slice(1)}`;
  return new RegExp(
    String.raw`\b${word.toUpperCase()}\b|\b[Ss]ignal word:? (?:is )?${small}\b|(?<!with )(?<!no )\b${small}(?=\s*(?:[:.!,;\n]|$))`,
  );
};
const SIGNAL_PATTERNS = SIGNALS.map((word) => [word, signalPattern(word)] as const);

/** The gravest signal word of a label; null without one. */
const signalIn = (text: string): Signal | null =>
  SIGNAL_PATTERNS.findLast(([, is]) => is.test(text))?.[0] ?? null;

/** A line that goes on in the next one. */
const WRAPPED = /\n(?=[a-z])/g;

/**
 * Reads what a label says from the words in which it was read out or typed. What is not found is null; nothing is taken as
 * given. Days, hours, degrees Celsius, litres to the litre, square metres.
 */
export function readLabel(words: string): Label {
  const text = words.replace(WRAPPED, ' ');
  const mix = saidMix(text);
  return {
    text: words,
    signal: signalIn(text),
    restricted: RESTRICTED.test(text),
    rate: mix?.rate ?? null,
    tank: mix?.tank ?? null,
    covers: coverage(text),
    spread: mix === null ? spreadRate(text) : null,
    byAcre: BY_ACRE.test(text),
    everyDays: days(text),
    mostPerYear: firstNumber(text, [MOST, A_YEAR]),
    daysToHarvest: firstNumber(text, HARVEST),
    reentryHours: hours(text),
    rainFreeHours: firstNumber(text, RAIN),
    maxCelsius: celsius(text, HOT),
    minCelsius: celsius(text, COLD),
  };
}
