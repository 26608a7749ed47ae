import type { Dimension, MeasureFault, Worked } from '../core/measures/calculator.ts';
import type { ReadFault } from '../core/measures/readMeasure.ts';
import type { AmountUnit } from '../core/schema/amount.ts';
import { LITRES_IN_GALLON } from '../core/util/units.ts';
import { areaText } from './amounts.ts';
import { MEASURE_WORDS } from './measureWords.ts';
import { looseText, quantityText } from './quantities.ts';

const UNIT_OF: Partial<Readonly<Record<Dimension, AmountUnit>>> = {
  mass: 'kg',
  volume: 'L',
  water: 'mm',
  days: 'days',
  weeks: 'weeks',
  percent: '%',
  spread: 'g/m2',
  pH: 'pH',
};

/** Two digits that count above ten, one decimal below. */
const rounded = (value: number): number => Number(value.toPrecision(value >= 100 ? 3 : 2));
const span = (from: number, to: number): string =>
  from === to ? rounded(from).toLocaleString('en-US') : `${rounded(from)} to ${rounded(to)}`;

const SMALL_LITRES = 0.5;
/** Under a pound people weigh in grams and ounces. */
const SMALL_KILOGRAMS = 0.45;
const TABLESPOON_LITRES = LITRES_IN_GALLON / 256;
const HOUR = 60;

const TEASPOONS_A_TABLESPOON = 3;

/** Under half a liter people measure in milliliters and spoons; teaspoons under a tablespoon. */
function spoons(litres: number): string {
  const tablespoons = litres / TABLESPOON_LITRES;
  const said =
    tablespoons < 1
      ? `${rounded(TEASPOONS_A_TABLESPOON * tablespoons)} teaspoons`
      : `${rounded(tablespoons)} tablespoons`;
  return `${rounded(1000 * litres)} mL (${said})`;
}

/** A tablespoon in a gallon, in milliliters to the liter. */
const TABLESPOON_A_GALLON = 1000 / 256;

/** A label's rate, in milliliters to the liter and tablespoons to the gallon. */
const dilutionText = (rate: number): string =>
  `${rounded(rate)} mL to the liter (${rounded(rate / TABLESPOON_A_GALLON)} tablespoons to the gallon)`;

function minutesText(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < HOUR) return `${whole} minutes`;
  const rest = whole % HOUR;
  const hours = `${Math.floor(whole / HOUR)} h`;
  return rest === 0 ? hours : `${hours} ${rest} min`;
}

/** One thing that was worked out, in metric and US units. */
export function workedText({ from, to, dimension }: Worked): string {
  const unit = UNIT_OF[dimension];
  switch (dimension) {
    case 'length':
      return to < 1.5
        ? quantityText({ from: 100 * from, to: 100 * to, unit: 'cm' }, rounded)
        : quantityText({ from, to, unit: 'm' }, rounded);
    case 'area':
      return areaText(from);
    case 'dilution':
      return dilutionText(from);
    case 'loose':
      return looseText({ from: rounded(from), to: rounded(to), unit: 'L' });
    case 'minutes':
      return minutesText(from);
    case 'volume':
      if (to > 0 && to < SMALL_LITRES) return spoons(to);
      break;
    case 'mass':
      if (to > 0 && to < SMALL_KILOGRAMS)
        return quantityText({ from: 1000 * from, to: 1000 * to, unit: 'g' }, rounded);
      break;
    default:
  }
  return unit === undefined ? span(from, to) : quantityText({ from, to, unit }, rounded);
}

/** What a sum comes to, in the words of its calculator. */
export function sumText(calculator: string, results: readonly Worked[]): string {
  const gives = MEASURE_WORDS[calculator]?.gives ?? '';
  return gives.replace(/\{([^}]+)\}/g, (_blank, id: string) => {
    const one = results.find((each) => each.id === id);
    return one ? workedText(one) : '';
  });
}

/** What a blank of a dimension may hold, as examples. */
const EXAMPLES: Readonly<Record<Dimension, string>> = {
  length: '2 in, 30 cm or 4 ft',
  area: '100 sq ft, 10 m2 or 3 by 5 ft',
  volume: '2 gal, 10 L or 1 1/2 cups',
  loose: '2 cu ft, 50 L or 1 cu yd',
  mass: '10 lb or 500 g',
  water: '1 in or 25 mm',
  minutes: '15 min or 1 h',
  days: '10 days or 2 weeks',
  weeks: '3 weeks or 2 months',
  percent: '20 %',
  count: '12',
  flow: '1 gph or 4 L/h',
  salinity: '1.5 dS/m',
  pH: '6.5',
  money: '12.50',
  spread: '1 lb/1000 sq ft or 5 g/m2',
  dilution: '2 tbsp/gal, 8 mL/L, 2 % or 1:100',
};

/** Why a blank is not understood, and what to write. */
export function readFaultText(fault: ReadFault, dimension: Dimension): string {
  const write = `Write ${EXAMPLES[dimension]}.`;
  return fault.code === 'no-number'
    ? `There is no number. ${write}`
    : `"${fault.unit}" is no unit for this. ${write}`;
}

/** Why nothing was worked out, and what would help; null for a blank that is empty. */
export function measureFaultText(fault: MeasureFault): string | null {
  switch (fault.code) {
    case 'missing':
      return null;
    case 'out-of-range': {
      const { dimension, least, most } = fault;
      const edge = (value: number): string =>
        workedText({ id: '', from: value, to: value, dimension });
      return `That is not likely: between ${edge(least)} and ${edge(most)} makes sense.`;
    }
    case 'no-choice':
      return `Choose one of ${fault.choices.join(', ')}.`;
    case 'not-less':
      return 'One of the two must be less than the other: look at both once more.';
  }
}
