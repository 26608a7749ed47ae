import Qty from 'js-quantities';
import fc from 'fast-check';
import { readMeasure } from './readMeasure.ts';

const value = (text: string, dimension: Parameters<typeof readMeasure>[1], isUs = true) => {
  const read = readMeasure(text, dimension, isUs);
  return read.ok ? read.value : read.error;
};

describe('what people type', () => {
  it.each([
    ['1 1/2 cups', 'volume', 0.354882],
    ['2-inch', 'length', 0.0508],
    ['3 by 5 feet', 'area', 1.393546],
    ['3 x 5', 'area', 1.393546],
    ['3 m by 150 cm', 'area', 4.5],
    ['half', 'length', null],
    ['two and a half gallons', 'volume', 9.463529],
    ['1:100', 'dilution', 10],
    ['1 to 50', 'dilution', 20],
    ['2 %', 'dilution', 20],
    ['2 tablespoons per gallon', 'dilution', 7.8125],
    ['1 lb per 1000 sq ft', 'spread', 4.882428],
    ['5 g/m2', 'spread', 5],
    ['3 weeks', 'weeks', 3],
    ['2 months', 'weeks', 8.696429],
    ['pH 5.5', 'pH', 5.5],
    ['1,000 sq ft', 'area', 92.90304],
    ['-3 in', 'length', -0.0762],
    ['12', 'count', 12],
  ] as const)('%s of %s', (text, dimension, expected) => {
    if (expected === null) expect(value(text, dimension)).toEqual({ code: 'no-number' });
    else expect(value(text, dimension)).toBeCloseTo(expected, 5);
  });

  it('takes a bare number in the unit of the place', () => {
    expect(value('2', 'length', true)).toBeCloseTo(0.0508, 9);
    expect(value('2', 'length', false)).toBeCloseTo(0.02, 9);
    expect(value('3 x 5', 'area', false)).toBe(15);
  });

  it.each([
    ['3 gal', 'mass', { code: 'unknown-unit', unit: 'gal', dimension: 'mass' }],
    ['12 apples', 'count', { code: 'unknown-unit', unit: 'apples', dimension: 'count' }],
    ['much', 'water', { code: 'no-number' }],
    ['', 'water', { code: 'no-number' }],
  ] as const)('does not take "%s" for %s', (text, dimension, fault) => {
    expect(value(text, dimension)).toEqual(fault);
  });
});

// An independent library of units.
it.each([
  ['length', 'm', ['mm', 'cm', 'm', 'in', 'ft', 'yd']],
  ['volume', 'l', ['ml', 'l', 'gal', 'qt', 'cup', 'floz', 'tbs', 'tsp']],
  ['mass', 'kg', ['g', 'kg', 'oz', 'lb']],
  ['area', 'm^2', ['acre', 'hectare']],
] as const)('agrees on units of %s', (dimension, base, units) => {
  const typed: Record<string, string> = { floz: 'fl oz' };
  fc.assert(
    fc.property(fc.constantFrom(...units), fc.integer({ min: 1, max: 9999 }), (unit, amount) => {
      const expected = Qty(`${amount} ${unit}`).to(base).scalar;
      const read = readMeasure(`${amount} ${typed[unit] ?? unit}`, dimension, true);
      return read.ok && Math.abs(read.value / expected - 1) < 1e-5;
    }),
    { seed: 5, numRuns: 60 },
  );
});

it('never throws, whatever is typed', () => {
  fc.assert(
    fc.property(
      fc.string(),
      fc.constantFrom('area', 'dilution', 'spread' as const),
      (text, dimension) => {
        const read = readMeasure(text, dimension, false);
        return read.ok ? Number.isFinite(read.value) : true;
      },
    ),
    { seed: 9 },
  );
});
