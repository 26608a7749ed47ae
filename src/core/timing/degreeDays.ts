/** How the course of a day is drawn through its extremes. */
export type DegreeDayMethod = 'simple-average' | 'single-sine' | 'double-sine';

/**
 * What happens above the upper limit: `horizontal` development goes on at the rate of the limit, `vertical` it stops,
 * `intermediate` it slows down by as much as it is too hot.
 */
export type CutOff = 'horizontal' | 'vertical' | 'intermediate';

/** Extremes of one day in Celsius, and the minimum of the night that follows. */
export interface DayExtremes {
  readonly minCelsius: number;
  readonly maxCelsius: number;
  /** Used by the double sine only; the day's own minimum when left out. */
  readonly nextMinCelsius?: number;
}

/** How an organism counts heat. */
export interface HeatModel {
  readonly method: DegreeDayMethod;
  /** Lower threshold, Celsius. */
  readonly baseCelsius: number;
  /** Upper threshold, Celsius, above the base; none when left out. */
  readonly upperCelsius?: number;
  /** Default: horizontal. */
  readonly cutOff?: CutOff;
}

/** Mean height of one sine wave above a threshold, and the share of the time that it is above. */
interface Above {
  readonly area: number;
  readonly share: number;
}

function above(min: number, max: number, threshold: number): Above {
  const mean = (min + max) / 2;
  if (min >= threshold) return { area: mean - threshold, share: 1 };
  if (max <= threshold) return { area: 0, share: 0 };
  const amplitude = (max - min) / 2;
  const crossing = Math.asin((threshold - mean) / amplitude);
  return {
    area:
      ((mean - threshold) * (Math.PI / 2 - crossing) + amplitude * Math.cos(crossing)) / Math.PI,
    share: (Math.PI / 2 - crossing) / Math.PI,
  };
}

function sineDay(
  min: number,
  max: number,
  { baseCelsius, upperCelsius, cutOff }: HeatModel,
): number {
  const heat = above(min, max, baseCelsius).area;
  if (upperCelsius === undefined) return heat;
  const over = above(min, max, upperCelsius);
  switch (cutOff ?? 'horizontal') {
    case 'horizontal':
      return heat - over.area;
    case 'intermediate':
      return Math.max(0, heat - 2 * over.area);
    case 'vertical':
      return heat - over.area - over.share * (upperCelsius - baseCelsius);
  }
}

function averageDay(mean: number, { baseCelsius, upperCelsius, cutOff }: HeatModel): number {
  const heat = Math.max(0, mean - baseCelsius);
  const over = upperCelsius === undefined ? 0 : Math.max(0, mean - upperCelsius);
  if (over === 0) return heat;
  switch (cutOff ?? 'horizontal') {
    case 'horizontal':
      return heat - over;
    case 'intermediate':
      return Math.max(0, heat - 2 * over);
    case 'vertical':
      return 0;
  }
}

/**
 * Degree-days of one day, Celsius, never below 0. Single sine after G. L. Baskerville and P. Emin (1969), "Rapid
 * estimation of heat accumulation from maximum and minimum temperatures", Ecology 50: 514-517; double sine (a wave of
 * its own for each half of the day) after J. C. Allen (1976), "A modified sine wave method for calculating degree days",
 * Environmental Entomology 5: 388-396; cut-offs as there and in F. G. Zalom and others (1983), "Degree-days: the
 * calculation and use of heat units in pest management".
 */
export function degreeDaysOf(day: DayExtremes, model: HeatModel): number {
  const { minCelsius, maxCelsius, nextMinCelsius = minCelsius } = day;
  switch (model.method) {
    case 'simple-average':
      return averageDay((minCelsius + maxCelsius) / 2, model);
    case 'single-sine':
      return sineDay(minCelsius, maxCelsius, model);
    case 'double-sine':
      return (
        (sineDay(minCelsius, maxCelsius, model) + sineDay(nextMinCelsius, maxCelsius, model)) / 2
      );
  }
}

/**
 * Degree-days of one day by the single sine method with a horizontal upper cut-off, see {@link degreeDaysOf}. Inputs
 * in degrees Celsius; the result is at least 0.
 */
export function degreeDaysSingleSine(
  minCelsius: number,
  maxCelsius: number,
  baseCelsius: number,
): number {
  return above(minCelsius, maxCelsius, baseCelsius).area;
}

/** Range in which buds count chill, Celsius (J. H. Weinberger, 1950, Proc. Am. Soc. Hort. Sci. 56: 122-128: below 45 F). */
const CHILL = { leastCelsius: 0, mostCelsius: 7.2 } as const;

/** Hours of a day between 0 and 7.2 degrees Celsius, on a sine wave through its extremes: 0 to 24. */
export function chillHoursOf({ minCelsius, maxCelsius }: DayExtremes): number {
  const shareAbove = (threshold: number): number => {
    if (minCelsius === maxCelsius) return minCelsius > threshold ? 1 : 0;
    return above(minCelsius, maxCelsius, threshold).share;
  };
  return 24 * Math.max(0, shareAbove(CHILL.leastCelsius) - shareAbove(CHILL.mostCelsius));
}

/** Number of weeks with a mean below `limitCelsius` degrees; a week is seven such days, consecutive or not. */
export function weeksBelow(days: readonly DayExtremes[], limitCelsius: number): number {
  const cold = days.filter(
    ({ minCelsius, maxCelsius }) => (minCelsius + maxCelsius) / 2 < limitCelsius,
  );
  return cold.length / 7;
}
