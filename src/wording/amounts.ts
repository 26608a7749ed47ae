import { civil, type Day } from '../core/timing/calendar.ts';
import type { MeasureDoubt } from '../core/consult/doubts.ts';
import type { SaidAmount } from '../core/language/amounts.ts';
import { dayInWords } from './days.ts';

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
