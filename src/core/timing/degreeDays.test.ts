import fc from 'fast-check';
import {
  chillHoursOf,
  degreeDaysOf,
  weeksBelow,
  type CutOff,
  type DayExtremes,
  type HeatModel,
} from './degreeDays.ts';

const CUT_OFFS: readonly CutOff[] = ['horizontal', 'vertical', 'intermediate'];

function rate(
  celsius: number,
  { baseCelsius, upperCelsius = Infinity, cutOff }: HeatModel,
): number {
  if (celsius <= baseCelsius) return 0;
  if (celsius <= upperCelsius) return celsius - baseCelsius;
  const over = celsius - upperCelsius;
  if (cutOff === 'vertical') return 0;
  return upperCelsius - baseCelsius - (cutOff === 'intermediate' ? over : 0);
}

/** Simpson's rule on the same curve, cut where it crosses a limit so that each piece is smooth. */
function integrated(
  { minCelsius, maxCelsius, nextMinCelsius }: DayExtremes,
  model: HeatModel,
): number {
  const half = (from: number, to: number): number => {
    const at = (turn: number): number => (from + to) / 2 + ((from - to) / 2) * Math.cos(turn);
    const cuts = [model.baseCelsius, model.upperCelsius ?? Infinity]
      .map((limit) => Math.acos(((from + to) / 2 - limit) / ((to - from) / 2)))
      .filter((turn) => !Number.isNaN(turn));
    const edges = [0, ...cuts.sort((a, b) => a - b), Math.PI];
    return edges.slice(1).reduce((total, end, i) => {
      const start = edges[i] ?? 0;
      const inside = (turn: number): number =>
        rate(at(Math.min(end - 1e-12, Math.max(start + 1e-12, turn))), model);
      const steps = 2000;
      const h = (end - start) / steps;
      let sum = inside(start) + inside(end);
      for (let k = 1; k < steps; k++) sum += (k % 2 === 1 ? 4 : 2) * inside(start + k * h);
      return total + (sum * h) / 3 / Math.PI;
    }, 0);
  };
  const end = model.method === 'double-sine' ? (nextMinCelsius ?? minCelsius) : minCelsius;
  return (half(minCelsius, maxCelsius) + half(end, maxCelsius)) / 2;
}

describe.each(['single-sine', 'double-sine'] as const)('%s', (method) => {
  it.each(
    CUT_OFFS.flatMap((cutOff) =>
      [
        [4, 30, 8],
        [-5, 12, 3],
        [12, 35, 18],
        [14, 22, 10],
        [-8, 2, -9],
        [22, 38, 25],
      ].map(([min = 0, max = 0, next = 0]) => [cutOff, min, max, next] as const),
    ),
  )('%s: from %d to %d and %d agrees with the integral', (cutOff, min, max, next) => {
    const model: HeatModel = { method, baseCelsius: 10, upperCelsius: 30, cutOff };
    const day = { minCelsius: min, maxCelsius: max, nextMinCelsius: next };
    expect(degreeDaysOf(day, model)).toBeCloseTo(integrated(day, model), 6);
  });
});

// The textbook example of the average method: (80 F + 50 F) / 2 - 50 F = 15 degree-days F (common practice).
it('averages the extremes', () => {
  const celsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
  const day = { minCelsius: celsius(50), maxCelsius: celsius(80) };
  const model: HeatModel = { method: 'simple-average', baseCelsius: celsius(50) };
  expect((degreeDaysOf(day, model) * 9) / 5).toBeCloseTo(15, 9);
});

it.each([
  ['horizontal', 20],
  ['intermediate', 15],
  ['vertical', 0],
] as const)('the average method with a %s cut-off', (cutOff, wanted) => {
  const model: HeatModel = { method: 'simple-average', baseCelsius: 10, upperCelsius: 30, cutOff };
  expect(degreeDaysOf({ minCelsius: 25, maxCelsius: 45 }, model)).toBeCloseTo(wanted, 9);
});

const celsius = fc.double({ min: -30, max: 45, noNaN: true });
const anyDay = fc.tuple(celsius, celsius, celsius).map(([a, b, next]) => ({
  minCelsius: Math.min(a, b),
  maxCelsius: Math.max(a, b),
  nextMinCelsius: Math.min(next, Math.max(a, b)),
}));
const anyModel = fc.record({
  method: fc.constantFrom('simple-average', 'single-sine', 'double-sine'),
  baseCelsius: fc.double({ min: 0, max: 15, noNaN: true }),
});

it('never counts less on a warmer day without an upper limit', () => {
  fc.assert(
    fc.property(
      anyDay,
      anyModel,
      fc.double({ min: 0, max: 10, noNaN: true }),
      (day, model, warmer) => {
        const hot = {
          minCelsius: day.minCelsius + warmer,
          maxCelsius: day.maxCelsius + warmer,
          nextMinCelsius: day.nextMinCelsius + warmer,
        };
        return degreeDaysOf(hot, model) >= degreeDaysOf(day, model) - 1e-9;
      },
    ),
  );
});

it('never counts less than nothing, nor more with a cut-off than without', () => {
  fc.assert(
    fc.property(anyDay, anyModel, fc.constantFrom(...CUT_OFFS), (day, model, cutOff) => {
      const free = degreeDaysOf(day, model);
      const cut = degreeDaysOf(day, { ...model, upperCelsius: 28, cutOff });
      return cut >= -1e-9 && cut <= free + 1e-9;
    }),
  );
});

it.each([
  [-10, -2, 0],
  [1, 6, 24],
  [3.6, 10.8, 12],
  [8, 20, 0],
  [5, 5, 24],
])('from %d to %d C counts %d hours of chill', (minCelsius, maxCelsius, hours) => {
  expect(chillHoursOf({ minCelsius, maxCelsius })).toBeCloseTo(hours, 6);
});

it('counts weeks below a limit', () => {
  const days = Array.from({ length: 28 }, (_, i) => ({
    minCelsius: i < 14 ? 0 : 12,
    maxCelsius: i < 14 ? 8 : 20,
  }));
  expect(weeksBelow(days, 10)).toBe(2);
});
