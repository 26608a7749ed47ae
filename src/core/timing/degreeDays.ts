/**
 * Degree-days of one day by the single-sine method with a lower base and an optional upper limit
 * (horizontal cut-off), after G. L. Baskerville and P. Emin (1969), "Rapid estimation of heat
 * accumulation from maximum and minimum temperatures", Ecology 50: 514-517. The daily course is one
 * sine wave through the minimum and the maximum. Celsius in, Celsius degree-days out, never below 0.
 */
export function degreeDaysSingleSine(
  minCelsius: number,
  maxCelsius: number,
  baseCelsius: number,
  upperCelsius: number = Infinity,
): number {
  const above = areaAbove(minCelsius, maxCelsius, baseCelsius);
  return upperCelsius === Infinity
    ? above
    : above - areaAbove(minCelsius, maxCelsius, upperCelsius);
}

/** Mean height of the sine wave above a threshold over one day. */
function areaAbove(min: number, max: number, threshold: number): number {
  const mean = (min + max) / 2;
  if (min >= threshold) return mean - threshold;
  if (max <= threshold) return 0;
  const amplitude = (max - min) / 2;
  const crossing = Math.asin((threshold - mean) / amplitude);
  return ((mean - threshold) * (Math.PI / 2 - crossing) + amplitude * Math.cos(crossing)) / Math.PI;
}
