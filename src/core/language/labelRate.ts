import { EXACT_NUMBER_PATTERN as NUMBER, numberOf } from './numbers.ts';

/** A rate that was read out from a label, with the tank it goes into. */
export interface SaidMix {
  /** Litres of the product to a litre of water. */
  readonly rate: number;
  /** Litres; null where no tank was said. */
  readonly tank: number | null;
}

const GALLON = 3.785411784;
/** US measures, in litres. */
const LITRES: readonly (readonly [RegExp, number])[] = [
  [/^(tbsp|tablespoon)/i, GALLON / 256],
  [/^(tsp|teaspoon)/i, GALLON / 768],
  [/^(fl\.? ?oz|fluid|oz|ounce)/i, GALLON / 128],
  [/^(ml|milli)/i, 0.001],
  [/^cup/i, GALLON / 16],
  [/^gal/i, GALLON],
  [/^(qt|quart)/i, GALLON / 4],
  [/^(l$|lit)/i, 1],
];

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

const litresOf = (word: string): number | null => LITRES.find(([is]) => is.test(word))?.[1] ?? null;

function litresSaid(match: RegExpExecArray | null): number | null {
  const unit = litresOf(match?.[2] ?? '');
  const amount = numberOf(match?.[1] ?? '');
  return unit === null || !Number.isFinite(amount) ? null : amount * unit;
}

/**
 * The rate of a label as it was read out, "2 tablespoons per gallon", with the tank, "my sprayer holds 3 gallons", in
 * litres. Returns null where no rate was said.
 */
export function saidMix(text: string): SaidMix | null {
  const match = RATE.exec(text);
  const product = litresSaid(match);
  const water = litresOf(match?.[3] ?? '');
  if (product === null || water === null) return null;
  return { rate: product / water, tank: litresSaid(TANK_HOLDS.exec(text) ?? TANK_OF.exec(text)) };
}

const STRONGER =
  /\b(?:double|twice|triple|stronger|extra strong|more than (?:the|what the) label)\b/i;
const OF_PRODUCT =
  /\b(?:dose|strength|mix|label|rate|spray|product|concentrate|killer|professional|pros?)\b/i;

/** Whether it is asked for more than the label says: "can I double it", "make it as strong as the professional one". */
export const asksForStronger = (text: string): boolean =>
  STRONGER.test(text) && OF_PRODUCT.test(text);
