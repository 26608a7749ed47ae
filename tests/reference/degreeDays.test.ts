import fc from 'fast-check';
import { degreeDaysOf, degreeDaysSingleSine } from '../../src/core/timing/degreeDays.ts';

/** Mean of the part of one sine wave above a threshold, by the midpoint rule: the slow plain version. */
function integrate(min: number, max: number, base: number, upper: number): number {
  const { sin, min: least, max: most, PI } = Math;
  const steps = 20_000;
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const celsius = (min + max) / 2 + ((max - min) / 2) * sin((2 * PI * (i + 0.5)) / steps);
    sum += most(0, least(celsius, upper) - base);
  }
  return sum / steps;
}

it('agrees with numerical integration of the same curve to 1e-6', () => {
  const celsius = fc.double({ min: -20, max: 45, noNaN: true });
  fc.assert(
    fc.property(celsius, celsius, fc.double({ min: 0, max: 15, noNaN: true }), (a, b, base) => {
      const [min, max] = a < b ? [a, b] : [b, a];
      const exact = degreeDaysOf(
        { minCelsius: min, maxCelsius: max },
        { method: 'single-sine', baseCelsius: base, upperCelsius: 30 },
      );
      return Math.abs(exact - integrate(min, max, base, 30)) < 1e-6;
    }),
    { numRuns: 60, seed: 20260613 },
  );
});

// D. A. Herms (2004), "Using degree-days and plant phenology to predict pest activity", in V. Krischik and
// J. Davidson (editors), IPM of Midwest Landscapes, University of Minnesota: a day of 70 F and 50 F gives 10
// degree-days above 50 F. Where the minimum is not below the base the sine method equals that average.
it('gives the worked example of Herms (2004): 70 F and 50 F over a base of 50 F are 10 degree-days', () => {
  const celsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
  const fahrenheitDegreeDays = degreeDaysSingleSine(celsius(50), celsius(70), celsius(50)) * 1.8;
  expect(fahrenheitDegreeDays).toBeCloseTo(10, 9);
});

it('counts heat on a day whose mean is below the base', () => {
  expect(degreeDaysSingleSine(2, 16, 10)).toBeGreaterThan(0);
  expect(degreeDaysSingleSine(2, 9, 10)).toBe(0);
});
