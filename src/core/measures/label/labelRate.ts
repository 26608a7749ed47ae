import { EXACT_NUMBER_PATTERN as NUMBER } from '../../language/numbers.ts';
import { readMeasure } from '../readMeasure.ts';

/** A rate that was read out from a label, with the tank it goes into. */
export interface SaidMix {
  /** Litres of the product to a litre of water. */
  readonly rate: number;
  /** Litres; null where no tank was said. */
  readonly tank: number | null;
}

const SPOON = String.raw`(tbsp|tablespoons?|tsp|teaspoons?|fl\.? ?oz|fluid ounces?|oz|ounces?|ml|millilit(?:er|re)s?|cups?)`;
const BULK = String.raw`(gal(?:lon)?s?|lit(?:er|re)s?|l|quarts?|qts?)`;
const RATE = new RegExp(
  String.raw`(${NUMBER}) ?${SPOON}\b (?:of \w+ )?(?:per|to (?:the|a|each|every|one)?|an?|for (?:each|every|a)|in (?:a|each)|each|/) ?${BULK}\b`,
  'i',
);
const TANK_HOLDS = new RegExp(
  String.raw`\b(?:sprayer|tank|bucket|can|jug|bottle)\b[^.?!]{0,25}?\b(?:holds?|is|takes|of|has)\b[^.?!\d]{0,12}(${NUMBER})[ -]?${BULK}\b`,
  'i',
);
const TANK_OF = new RegExp(
  String.raw`\b(${NUMBER})[ -]?${BULK}[ -](?:\w+ )?(?:sprayer|tank|bucket|can|jug|bottle)\b`,
  'i',
);

/** Litres of a measure that was said; "oz" on a label of a liquid is a fluid ounce. Returns null where it is none. */
export function litresSaid(amount: string, unit: string): number | null {
  const fluid = unit.replace(/^(?:oz|ounces?)$/i, 'fl oz');
  const read = readMeasure(`${amount} ${fluid}`, 'volume', true);
  return read.ok ? read.value : null;
}

/**
 * The rate of a label as it was read out, "2 tablespoons per gallon", with the tank, "my sprayer holds 3 gallons", in
 * litres. Returns null where no rate was said.
 */
export function saidMix(text: string): SaidMix | null {
  const [, amount = '', spoon = '', bulk = ''] = RATE.exec(text) ?? [];
  const product = litresSaid(amount, spoon);
  const water = litresSaid('1', bulk);
  if (product === null || water === null) return null;
  const [, size = '', unit = ''] = TANK_HOLDS.exec(text) ?? TANK_OF.exec(text) ?? [];
  return { rate: product / water, tank: litresSaid(size, unit) };
}

const STRONGER =
  /\b(?:double|twice|triple|stronger|extra strong|more than (?:the|what the) label)\b/i;
const OF_PRODUCT =
  /\b(?:dose|strength|mix|label|rate|spray|product|concentrate|killer|professional|pros?)\b/i;

/** Whether it is asked for more than the label says: "can I double it", "make it as strong as the professional one". */
export const asksForStronger = (text: string): boolean =>
  STRONGER.test(text) && OF_PRODUCT.test(text);
