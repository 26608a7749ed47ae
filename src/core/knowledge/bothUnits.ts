const DIGITS = String.raw`\d[\d.,/]*[ -]?`;
const SAID = String.raw`\b(?:half a|a|one|two|three|four|five|six) `;
const quantity = (short: string, long: string): RegExp =>
  new RegExp(String.raw`${DIGITS}(?:${short}|${long})\b|${SAID}(?:${long})\b`);

/** The same kind of quantity in the units of each system; the library writes no degree sign. */
const PAIRS: readonly (readonly [metric: RegExp, us: RegExp])[] = [
  [quantity('cm|mm|m|km', 'meters?'), quantity('in|ft|inch|inches', 'foot|feet|yards?|miles?')],
  [quantity('L|mL', 'liters?'), quantity('gal', 'gallons?|quarts?|pints?|tablespoons?|teaspoons?')],
  [quantity('kg', 'kilos?'), quantity('lb|oz', 'pounds?|ounces?')],
  [/\d C\b/, /\d F\b/],
];

/**
 * Whether a text names a length, volume, weight or temperature in the units of one system alone, so that whoever thinks
 * in the other has to reckon.
 */
export const isInOneSystem = (text: string): boolean =>
  PAIRS.some(([metric, us]) => metric.test(text) !== us.test(text));
