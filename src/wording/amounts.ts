import { civil, type Day } from '../core/timing/calendar.ts';
import type { MeasureDoubt } from '../core/consult/doubts.ts';
import type { SaidAmount } from '../core/language/amounts.ts';
import type { SaidSize } from '../core/language/sizes.ts';
import { dayInWords } from './days.ts';
import { twoDigits } from './quantities.ts';

const shortNumber = (value: number): string => String(Math.round(10 * value) / 10);

const OFTEN_WORDS = new Map([
  [14, 'twice a day'],
  [7, 'every day'],
  [3.5, 'every other day'],
  [2, 'twice a week'],
  [1, 'once a week'],
]);

function oftenInWords(timesPerWeek: number): string {
  const words = OFTEN_WORDS.get(timesPerWeek);
  if (words !== undefined) return words;
  return timesPerWeek < 1
    ? `every ${shortNumber(7 / timesPerWeek)} days`
    : `${shortNumber(timesPerWeek)} times a week`;
}

function rangeInWords(from: Day, to: Day, today: Day): string {
  const [first, last] = [dayInWords(from, today), dayInWords(to, today)];
  if (first === last) return first;
  const [start, end] = [civil(from), civil(to)];
  const sameMonth = start.month === end.month && start.year === end.year;
  return sameMonth ? `${start.dayOfMonth} to ${last}` : `${first} to ${last}`;
}

/** An amount that was said: "Since about 3 June", "Water: twice a week", "90 F (32 C)". */
export function amountText(amount: SaidAmount, today: Day): string {
  switch (amount.kind) {
    case 'every-year':
      return `Comes back every ${amount.named ?? 'year'}`;
    case 'since':
    case 'planted': {
      const { from, to, named } = amount;
      if (from === null || to === null) return `Since the ${named ?? ''}`;
      const days = rangeInWords(from, to, today);
      return amount.kind === 'planted' ? `Planted about ${days}` : `Since about ${days}`;
    }
    case 'watering': {
      const { timesPerWeek, minutes, litres } = amount;
      const parts = [
        ...(timesPerWeek === null ? [] : [oftenInWords(timesPerWeek)]),
        ...(minutes === null ? [] : [`${shortNumber(minutes)} minutes`]),
        ...(litres === null ? [] : [`${shortNumber(litres)} litres`]),
      ];
      return `Water: ${parts.join(', ')}`;
    }
    case 'temperature':
      return amount.fahrenheit === null
        ? `${amount.celsius} C`
        : `${amount.fahrenheit} F (${Math.round(amount.celsius)} C)`;
  }
}

const FEET_IN_METRE = 3.2808;
const INCHES_IN_METRE = 39.37;
const SQUARE_FEET_IN_METRE = 10.764;
const GALLONS_IN_LITRE = 0.2642;

const rounded = (value: number): string => String(twoDigits(value));

/** Square metres in both units: "56 m² (600 sq ft)". */
export const areaText = (squareMetres: number): string =>
  `${Math.round(squareMetres)} m² (${Math.round(SQUARE_FEET_IN_METRE * squareMetres)} sq ft)`;

/** A size that was said, in metric and US units: "9.1 m (30 ft) tall". */
export function sizeText(size: SaidSize): string {
  switch (size.kind) {
    case 'height':
      return size.metres < 1
        ? `${rounded(100 * size.metres)} cm (${rounded(INCHES_IN_METRE * size.metres)} in) tall`
        : `${rounded(size.metres)} m (${rounded(FEET_IN_METRE * size.metres)} ft) tall`;
    case 'trunk':
    case 'pot': {
      const wide = `${rounded(100 * size.metres)} cm (${rounded(INCHES_IN_METRE * size.metres)} in)`;
      return size.kind === 'pot' ? `Pot ${wide} wide` : `Trunk ${wide} thick`;
    }
    case 'pot-volume':
      return `Pot of ${rounded(size.litres)} L (${rounded(GALLONS_IN_LITRE * size.litres)} gal)`;
    case 'area':
      return areaText(size.squareMetres);
    case 'ph':
      return `Soil pH ${size.value}`;
    case 'count':
      return `${size.number} plants`;
  }
}

/** What to ask back about a measure that cannot be meant so. */
export function measureDoubtText(doubt: MeasureDoubt): string {
  switch (doubt.code) {
    case 'mixed-units':
      return `"${doubt.said[0]}" and "${doubt.said[1]}" were both said. Which is it?`;
    case 'odd-length':
      return `"${doubt.said}" is odd for ${doubt.thing}. Was it another unit?`;
    case 'odd-temperature':
      return `"${doubt.said}" is odd for the weather. Was it another unit?`;
    case 'odd-watering':
      return `Watering ${shortNumber(doubt.timesPerWeek)} times a week is odd. How often is it?`;
  }
}
