import { z } from 'zod';
import { fieldIssue } from './fieldFault.ts';

/** Units of the amounts in the library; what has a US unit is shown in both. */
export const AMOUNT_UNITS = [
  'seconds',
  'minutes',
  'hours',
  'days',
  'weeks',
  'months',
  'years',
  'times',
  'mm',
  'cm',
  'm',
  'C',
  'L',
  'g',
  'kg',
  'g/m2',
  'kg/m2',
  'L/m2',
  '/m2',
  'pH',
  '%',
] as const;
export type AmountUnit = (typeof AMOUNT_UNITS)[number];

/**
 * How an amount is worked out for the enquirer's own size, where its unit does not say it: a layer of a depth, rain or
 * water in millimetres, water for a tree by trunk and weeks since planting, a pot one step wider, a succulent by its pot,
 * lime and sulfur by a soil test.
 */
export const MEASURES = [
  'layer',
  'rain',
  'tree-water',
  'pot-wider',
  'succulent',
  'lime',
  'sulfur',
] as const;
export type MeasureId = (typeof MEASURES)[number];

/** A number, or a span of numbers, with its unit. */
export interface Quantity {
  readonly from: number;
  readonly to: number;
  readonly unit: AmountUnit;
}

/** Words of the library with quantities in their places: "every 7..10 days, 4 times in all". */
export interface Amount {
  readonly parts: readonly (string | Quantity)[];
}

/** Says that a step has no amount to name. */
const NONE = 'none';

const QUANTITY = new RegExp(
  String.raw`(?<![\w.-])(-?\d+(?:\.\d+)?)(?:\.\.(-?\d+(?:\.\d+)?))? (${AMOUNT_UNITS.join('|')})(?![\w/])`,
  'g',
);

/** Counts that need no number. */
const COUNTED = /\b(once|twice|every day|every morning)\b/;

function quantityIn([, from = '', to = from, word]: RegExpMatchArray): Quantity | null {
  const unit = AMOUNT_UNITS.find((one) => one === word);
  const quantity = unit && { from: Number(from), to: Number(to), unit };
  return quantity && quantity.from <= quantity.to ? quantity : null;
}

/** Reads an amount as it is written in the library. Returns null where it counts nothing, or a span falls. */
export function readAmount(text: string): Amount | null {
  if (text === NONE) return { parts: [] };
  const parts: (string | Quantity)[] = [];
  let at = 0;
  for (const match of text.matchAll(QUANTITY)) {
    const quantity = quantityIn(match);
    if (!quantity) return null;
    if (match.index > at) parts.push(text.slice(at, match.index));
    parts.push(quantity);
    at = match.index + match[0].length;
  }
  if (at === 0) return COUNTED.test(text) ? { parts: [text] } : null;
  if (at < text.length) parts.push(text.slice(at));
  return { parts };
}

/** How much, how often, how deep or for how long: "5..8 cm deep", or "none". */
export const amountSchema = z.string().transform((text, context): Amount => {
  const amount = readAmount(text);
  if (amount) return amount;
  context.addIssue(fieldIssue({ code: 'no-amount', text, units: [...AMOUNT_UNITS] }));
  return z.NEVER;
});

/** The first quantity of an amount. Returns null where it has none, as in "once a year at most". */
export const firstQuantity = ({ parts }: Amount): Quantity | null =>
  parts.find((part) => typeof part !== 'string') ?? null;

/** Words that say how often without a number. */
const OFTEN = /\b(?:once|twice|every|again|each)\b/;

/** True for an amount that says how often: by an interval, by a number of times, or "once". */
export const saysHowOften = ({ parts }: Amount): boolean =>
  parts.some((part) => (typeof part === 'string' ? OFTEN.test(part) : part.unit === 'times'));

const DAYS: Partial<Readonly<Record<AmountUnit, number>>> = { days: 1, weeks: 7 };
const EVERY = /\b(?:every|again every) $/;
const FOR = /\bfor $/;
/** More repeats than this are a habit, not dates of a plan. */
const MOST_REPEATS = 12;

/**
 * How often an amount says that a step is done, in days and times: "every 10..12 days, 4 times", "every 7 days, for 4..5
 * weeks"; the sooner and the fewer where a span is given. Returns null where it names no interval, or no end.
 */
export function repeatIn({
  parts,
}: Amount): { readonly everyDays: number; readonly times: number } | null {
  const after = (before: RegExp): Quantity | null => {
    const at = parts.findIndex((part) => typeof part === 'string' && before.test(part));
    const next = at === -1 ? undefined : parts[at + 1];
    return next === undefined || typeof next === 'string' ? null : next;
  };
  const every = after(EVERY);
  const everyDays = every === null ? null : every.from * (DAYS[every.unit] ?? NaN);
  if (everyDays === null || !(everyDays >= 1)) return null;
  const counted = parts.find((part) => typeof part !== 'string' && part.unit === 'times');
  const lasting = after(FOR);
  const days = lasting === null ? NaN : lasting.from * (DAYS[lasting.unit] ?? NaN);
  const times =
    counted !== undefined && typeof counted !== 'string'
      ? counted.from
      : Math.floor(days / everyDays) + 1;
  return times >= 2 && times <= MOST_REPEATS ? { everyDays, times } : null;
}
