import { LITRES_IN_GALLON, METRES_IN_FOOT } from '../core/util/units.ts';
import type { Amount, AmountUnit, Quantity } from '../core/schema/amount.ts';

/** How a unit is written, and its US counterpart with how much of it one of the unit is. */
interface UnitWords {
  readonly one: string;
  readonly many: string;
  readonly us?: UsUnit;
}
interface UsUnit {
  readonly unit: string;
  readonly factor: number;
  readonly plus?: number;
  /** Parts of the unit that its numbers are rounded to; two digits that count where absent. */
  readonly steps?: (value: number) => number;
}

const plain = (one: string, many = `${one}s`): UnitWords => ({ one, many });
const metric = (unit: string, us: UsUnit): UnitWords => ({ one: unit, many: unit, us });

/** Inches as on a ruler: quarters below two, halves below six; hundredths of what a ruler does not show. */
function ruler(inches: number): number {
  if (inches < 0.2) return 0.01;
  if (inches < 2) return 0.25;
  return inches < 6 ? 0.5 : 1;
}
const INCH = { unit: 'in', steps: ruler };
const FOOT = { unit: 'ft', steps: (feet: number) => (feet < 4 ? 0.5 : 1) };
const GALLON_STEPS = (gallons: number): number => (gallons < 2 ? 0.25 : gallons < 6 ? 0.5 : 1);
const CUBIC_FOOT = {
  unit: 'cu ft',
  factor: 0.03531467,
  steps: (feet: number) => (feet < 4 ? 0.5 : 1),
};
/** From this many centimeters on people count in feet. */
const FEET_FROM_CM = 60;

const UNITS: Readonly<Record<AmountUnit, UnitWords>> = {
  seconds: plain('second'),
  minutes: plain('minute'),
  hours: plain('hour'),
  days: plain('day'),
  weeks: plain('week'),
  months: plain('month'),
  years: plain('year'),
  times: plain('time'),
  mm: metric('mm', { ...INCH, factor: 1 / 25.4 }),
  cm: metric('cm', { ...INCH, factor: 1 / 2.54 }),
  m: metric('m', { ...FOOT, factor: 1 / METRES_IN_FOOT }),
  C: metric('C', { unit: 'F', factor: 1.8, plus: 32, steps: () => 1 }),
  L: metric('L', { unit: 'gal', factor: 1 / LITRES_IN_GALLON, steps: GALLON_STEPS }),
  g: metric('g', { unit: 'oz', factor: 0.03527396 }),
  kg: metric('kg', { unit: 'lb', factor: 2.204623, steps: (pounds) => (pounds < 10 ? 0.5 : 1) }),
  'g/m2': metric('g to the square meter', { unit: 'lb to 1,000 sq ft', factor: 0.2048161 }),
  'kg/m2': metric('kg to the square meter', { unit: 'lb to 100 sq ft', factor: 20.48161 }),
  'L/m2': metric('L to the square meter', { unit: 'gal to 100 sq ft', factor: 2.454243 }),
  '/m2': metric('to the square meter', { unit: 'to the square foot', factor: 0.09290304 }),
  pH: { one: 'pH', many: 'pH' },
  '%': { one: '%', many: '%' },
};

/** Two digits that count: 9.1, 12, 230. */
export function twoDigits(value: number): number {
  const digits = Math.max(0, 1 - Math.floor(Math.log10(Math.max(value, 0.1))));
  return Number(value.toFixed(digits));
}

const QUARTERS = new Map([
  [0.25, '1/4'],
  [0.5, '1/2'],
  [0.75, '3/4'],
]);

/** A number as it is said: "1 1/2", "0.3", "1,200". */
function numberWords(value: number, asFraction: boolean): string {
  const whole = Math.floor(value);
  const part = asFraction ? QUARTERS.get(value - whole) : undefined;
  if (part !== undefined) return whole === 0 ? part : `${whole} ${part}`;
  return value.toLocaleString('en-US', { maximumFractionDigits: 2 });
}

function spanWords(from: number, to: number, asFraction = false): string {
  const [first, last] = [numberWords(from, asFraction), numberWords(to, asFraction)];
  return first === last ? first : `${first} to ${last}`;
}

function usWords({ from, to }: Quantity, { unit, factor, plus = 0, steps }: UsUnit): string {
  const convert = (value: number): number => {
    const exact = value * factor + plus;
    if (!steps) return twoDigits(exact);
    const step = steps(Math.abs(exact));
    return Math.max(Math.round(exact / step) * step, value > 0 ? step : -Infinity);
  };
  return `${spanWords(convert(from), convert(to), true)} ${unit}`;
}

/**
 * A quantity in metric and, where there is one, its US unit: "5 to 8 cm (2 to 3 in)", "7 to 10 days". `round` is for the
 * metric numbers alone, so that nothing is rounded twice.
 */
export function quantityText(
  quantity: Quantity,
  round: (value: number) => number = (value) => value,
): string {
  const { unit } = quantity;
  const [from, to] = [round(quantity.from), round(quantity.to)];
  if (unit === 'pH') return `pH ${spanWords(from, to)}`;
  const { one, many, us: usual } = UNITS[unit];
  const us =
    unit === 'cm' && quantity.from >= FEET_FROM_CM ? { ...FOOT, factor: 1 / 30.48 } : usual;
  const said = `${spanWords(from, to)} ${from === 1 && to === 1 ? one : many}`;
  return us ? `${said} (${usWords(quantity, us)})` : said;
}

/** Loose stuff such as mulch, by volume: "190 to 300 L (7 to 10 cu ft)". */
export function looseText(quantity: Quantity): string {
  return `${spanWords(quantity.from, quantity.to)} L (${usWords(quantity, CUBIC_FOOT)})`;
}

/** Of things that have no unit: "in 2..3 goes". */
const BARE_SPAN = /(\d)\.\.(\d)/g;

/** An amount of the library, to say aloud: "every 7 to 10 days, 4 times in all". */
export function amountInWords({ parts }: Amount): string {
  return parts
    .map((part) =>
      typeof part === 'string' ? part.replace(BARE_SPAN, '$1 to $2') : quantityText(part),
    )
    .join('');
}
