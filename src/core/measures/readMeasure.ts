import { EXACT_NUMBER_PATTERN, numberOf } from '../language/numbers.ts';
import { fail, ok, type Result } from '../util/result.ts';
import {
  KILOGRAMS_IN_POUND,
  LITRES_IN_GALLON,
  METRES_IN_FOOT,
  METRES_IN_INCH,
} from '../util/units.ts';
import type { Dimension } from './calculator.ts';

/** Why a typed measure is not understood. */
export type ReadFault =
  | { readonly code: 'no-number' }
  | { readonly code: 'unknown-unit'; readonly unit: string; readonly dimension: Dimension };

interface Unit {
  readonly is: RegExp;
  /** How much of the core's unit one of it is. */
  readonly factor: number;
}

const SQUARE_FOOT = METRES_IN_FOOT ** 2;
const TABLESPOON = LITRES_IN_GALLON / 256;
const ML = 1000;

const unit = (is: RegExp, factor: number): Unit => ({ is, factor });

const VOLUMES: readonly Unit[] = [
  unit(/^(ml|millilit\w+)$/, 1 / ML),
  unit(/^(l|lit(er|re)s?)$/, 1),
  unit(/^(m3|m³|cubic met\w+)$/, 1000),
  unit(/^(gals?|gallons?)$/, LITRES_IN_GALLON),
  unit(/^(qts?|quarts?)$/, LITRES_IN_GALLON / 4),
  unit(/^(pt|pints?)$/, LITRES_IN_GALLON / 8),
  unit(/^cups?$/, LITRES_IN_GALLON / 16),
  unit(/^(fl\.? ?oz|fluid ounces?)$/, LITRES_IN_GALLON / 128),
  unit(/^(tbsp|tbs|tablespoons?)$/, TABLESPOON),
  unit(/^(tsp|teaspoons?)$/, TABLESPOON / 3),
  unit(/^(ft3|ft³|cu\.? ?ft|cubic (feet|foot))$/, 1000 * METRES_IN_FOOT ** 3),
  unit(/^(yd3|cu\.? ?yds?|cubic yards?)$/, 27000 * METRES_IN_FOOT ** 3),
];

/** Units that people type, by what they measure. */
const UNITS: Readonly<Record<Dimension, readonly Unit[]>> = {
  length: [
    unit(/^(mm|millimet\w+)$/, 0.001),
    unit(/^(cm|centimet\w+)$/, 0.01),
    unit(/^(m|met(er|re)s?)$/, 1),
    unit(/^("|''|in|inch|inches)$/, METRES_IN_INCH),
    unit(/^('|ft|foot|feet)$/, METRES_IN_FOOT),
    unit(/^(yd|yards?)$/, 3 * METRES_IN_FOOT),
  ],
  area: [
    unit(/^(m2|m²|sq ?m|square met\w+)$/, 1),
    unit(/^(ft2|ft²|sq ?ft|square (feet|foot))$/, SQUARE_FOOT),
    unit(/^(sq ?yds?|square yards?)$/, 9 * SQUARE_FOOT),
    unit(/^(sq ?in|square inch(es)?)$/, METRES_IN_INCH ** 2),
    unit(/^acres?$/, 43560 * SQUARE_FOOT),
    unit(/^(ha|hectares?)$/, 10000),
  ],
  volume: VOLUMES,
  loose: VOLUMES,
  mass: [
    unit(/^(g|grams?)$/, 0.001),
    unit(/^(kg|kilos?|kilograms?)$/, 1),
    unit(/^(oz|ounces?)$/, KILOGRAMS_IN_POUND / 16),
    unit(/^(lbs?|pounds?)$/, KILOGRAMS_IN_POUND),
  ],
  water: [
    unit(/^(mm|millimet\w+)$/, 1),
    unit(/^(cm|centimet\w+)$/, 10),
    unit(/^("|in|inch|inches)$/, 25.4),
  ],
  minutes: [unit(/^(min|mins|minutes?)$/, 1), unit(/^(h|hrs?|hours?)$/, 60)],
  days: [unit(/^days?$/, 1), unit(/^weeks?$/, 7)],
  weeks: [
    unit(/^days?$/, 1 / 7),
    unit(/^weeks?$/, 1),
    unit(/^months?$/, 365.25 / 12 / 7),
    unit(/^years?$/, 365.25 / 7),
  ],
  percent: [unit(/^(%|percent|per cent)$/, 1)],
  count: [],
  flow: [
    unit(/^(l\/h|l ?ph|lit(er|re)s? an hour)$/, 1),
    unit(/^(gph|gal\/h|gallons? an hour)$/, LITRES_IN_GALLON),
  ],
  salinity: [unit(/^(ds\/m|ms\/cm|mmhos?(\/cm)?)$/, 1), unit(/^(us\/cm|µs\/cm)$/, 0.001)],
  pH: [unit(/^ph$/, 1)],
  money: [],
  spread: [
    unit(/^(g\/m2|g\/m²)$/, 1),
    unit(/^(kg\/m2|kg\/m²)$/, 1000),
    unit(/^(lbs?\/1,?000 ?(sq ?ft|ft2))$/, (1000 * KILOGRAMS_IN_POUND) / (1000 * SQUARE_FOOT)),
    unit(/^(lbs?\/100 ?(sq ?ft|ft2))$/, (1000 * KILOGRAMS_IN_POUND) / (100 * SQUARE_FOOT)),
    unit(/^(oz\/(sq ?yd|yd2))$/, (1000 * KILOGRAMS_IN_POUND) / 16 / (9 * SQUARE_FOOT)),
  ],
  dilution: [
    unit(/^(ml\/l)$/, 1),
    unit(/^(%|percent)$/, 10),
    unit(/^((tbsp|tablespoons?)\/gal(lon)?)$/, (ML * TABLESPOON) / LITRES_IN_GALLON),
    unit(/^((tsp|teaspoons?)\/gal(lon)?)$/, (ML * TABLESPOON) / 3 / LITRES_IN_GALLON),
    unit(/^(fl\.? ?oz\/gal(lon)?)$/, ML / 128),
  ],
};

/** The unit of a number that was typed alone, as people say it where feet are used, and elsewhere. */
export const BARE: Readonly<Record<Dimension, { readonly us: string; readonly metric: string }>> = {
  length: { us: 'in', metric: 'cm' },
  area: { us: 'sq ft', metric: 'm2' },
  volume: { us: 'gal', metric: 'L' },
  loose: { us: 'cu ft', metric: 'L' },
  mass: { us: 'lb', metric: 'kg' },
  water: { us: 'in', metric: 'mm' },
  minutes: { us: 'min', metric: 'min' },
  days: { us: 'days', metric: 'days' },
  weeks: { us: 'weeks', metric: 'weeks' },
  percent: { us: '%', metric: '%' },
  count: { us: '', metric: '' },
  flow: { us: 'gal/h', metric: 'L/h' },
  salinity: { us: 'dS/m', metric: 'dS/m' },
  pH: { us: 'pH', metric: 'pH' },
  money: { us: '', metric: '' },
  spread: { us: 'lb/1000 sq ft', metric: 'g/m2' },
  dilution: { us: 'tbsp/gal', metric: 'mL/L' },
};

const MEASURE = new RegExp(String.raw`^(-?)(?:ph )?(${EXACT_NUMBER_PATTERN})\s*-?\s*(.*)$`, 'i');
const SIDES = new RegExp(
  String.raw`^(${EXACT_NUMBER_PATTERN})\s*([a-z'"]*)\s*(?:by|x|×)\s*(${EXACT_NUMBER_PATTERN})\s*([a-z'"]*)$`,
  'i',
);
/** "1 to 100". */
const RATIO = /^1\s*(?::|to)\s*(\d{1,4})$/i;
/** "per", "to the", "a" between the units of a rate. */
const PER = /\s*(?:\bper\b|\bto (?:the|a)?\b|\/)\s*/i;

const plainUnit = (word: string): string =>
  word.trim().toLowerCase().replace(/\.$/, '').replace(PER, '/').replace(/\s+/g, ' ');

function factorOf(dimension: Dimension, word: string): number | null {
  if (dimension === 'count' || dimension === 'money') return word === '' ? 1 : null;
  return UNITS[dimension].find(({ is }) => is.test(plainUnit(word)))?.factor ?? null;
}

function areaOfSides(text: string, bare: string): number | null {
  const match = SIDES.exec(text);
  if (!match) return null;
  const [, a = '', unitA = '', b = '', unitB = ''] = match;
  const last = factorOf('length', unitB || unitA || bare);
  const first = factorOf('length', unitA || unitB || bare);
  return first === null || last === null ? null : numberOf(a) * first * numberOf(b) * last;
}

/**
 * Reads what was typed for a dimension: "1 1/2 cups", "3 by 5 feet", "2 lb/1000 sq ft", "1:100". A bare number has the
 * unit of {@link BARE}. Returns the value in the unit of the dimension; fails where there is no number, or a unit of
 * something else.
 */
export function readMeasure(
  typed: string,
  dimension: Dimension,
  isUs: boolean,
): Result<number, ReadFault> {
  const text = typed.trim();
  const bare = BARE[dimension][isUs ? 'us' : 'metric'];
  if (dimension === 'area') {
    const area = areaOfSides(text, isUs ? 'ft' : 'm');
    if (area !== null) return ok(area);
  }
  const ratio = dimension === 'dilution' ? RATIO.exec(text) : null;
  if (ratio) return ok(ML / Number(ratio[1]));
  const [, sign = '', digits = '', word = ''] = MEASURE.exec(text) ?? [];
  const value = numberOf(digits);
  if (digits === '' || !Number.isFinite(value)) return fail({ code: 'no-number' });
  const factor = factorOf(dimension, word.trim() === '' ? bare : word);
  if (factor === null) return fail({ code: 'unknown-unit', unit: word.trim(), dimension });
  return ok((sign === '-' ? -1 : 1) * value * factor);
}
