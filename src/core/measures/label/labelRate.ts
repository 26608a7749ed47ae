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
  String.raw`(${NUMBER}) ?${SPOON}\b\.? ?(?:of (?:\w+ ){1,2})?(?:per|to(?: the| a| each| every| one)?|an?|for (?:each|every|a)|in(?:to)?(?: a| each)?|each|/) ?(?:(${NUMBER}) ?)?${BULK}\b`,
  'i',
);
const RATIO =
  /\b(?:dilut\w+|mix|ratio|concentrat\w+|solution)\b[^.;\n\d]{0,20}1 ?(?:part )?(?::|to|in) ?(\d{1,4})\b/i;
/** A percent alone is what the product holds. */
const PERCENT =
  /(\d{1,2}(?:\.\d+)?) ?(?:%|per ?cent) (?:by volume|v\/v|solution|dilution|mix(?:ture)?)\b/i;
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

/** Litres of product to a litre of water: measures to a measure, one part to so many, or a percent. Null where none was said. */
function rateSaid(text: string): number | null {
  const [, amount = '', spoon = '', many = '1', bulk = ''] = RATE.exec(text) ?? [];
  const product = litresSaid(amount, spoon);
  const water = litresSaid(many, bulk);
  if (product !== null && water !== null && water > 0) return product / water;
  const parts = Number(RATIO.exec(text)?.[1] ?? 0);
  if (parts > 0) return 1 / parts;
  const percent = PERCENT.exec(text)?.[1];
  return percent === undefined ? null : Number(percent) / 100;
}

/**
 * The rate of a label as it was read out, "2 tablespoons per gallon", "20 ml in 5 litres", "1:50", "a 2 % solution", with
 * the tank, "my sprayer holds 3 gallons", in litres. Of a range the upper end counts. Returns null where no rate was said.
 */
export function saidMix(text: string): SaidMix | null {
  const rate = rateSaid(text);
  if (rate === null) return null;
  const [, size = '', unit = ''] = TANK_HOLDS.exec(text) ?? TANK_OF.exec(text) ?? [];
  return { rate, tank: litresSaid(size, unit) };
}

const STRONGER =
  /\b(?:double|twice|triple|stronger|extra strong|more than (?:the|what the) label)\b/i;
const OF_PRODUCT =
  /\b(?:dose|strength|mix|label|rate|spray|product|concentrate|killer|professional|pros?)\b/i;

/** Whether it is asked for more than the label says: "can I double it", "make it as strong as the professional one". */
export const asksForStronger = (text: string): boolean =>
  STRONGER.test(text) && OF_PRODUCT.test(text);
