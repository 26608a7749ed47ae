import fc from 'fast-check';
import {
  columnMaker,
  decibans,
  entropyNats,
  multiplyInto,
  percentile,
  sum,
  sumColumn,
  tabulate,
} from './maths.ts';

it('counts ten decibans for each ten times as likely', () => {
  expect(decibans(1)).toBe(0);
  expect(decibans(100)).toBeCloseTo(20, 12);
  expect(decibans(1 / 2)).toBeCloseTo(-3.0103, 4);
});

describe('entropy', () => {
  it('is ln n of n equal parts and 0 of one', () => {
    expect(entropyNats(Float64Array.of(1))).toBeCloseTo(0, 12);
    expect(entropyNats(new Float64Array(8).fill(1 / 8))).toBeCloseTo(Math.log(8), 12);
    expect(entropyNats(Float64Array.of(0.5, 0, 0.5))).toBeCloseTo(Math.log(2), 12);
  });
});

describe('percentile', () => {
  it('is the nearest rank', () => {
    const ordered = [15, 20, 35, 40, 50];
    expect([0.05, 0.3, 0.4, 0.5, 1].map((share) => percentile(ordered, share))).toEqual([
      15, 20, 20, 35, 50,
    ]);
  });

  it('of none is undefined', () => {
    const none: readonly number[] = [];
    expect(percentile(none, 0.5)).toBeUndefined();
  });

  it('has at least its share of values at or below it, and no smaller value has (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer(), { minLength: 1 }),
        fc.integer({ min: 1, max: 100 }),
        (values, hundredths) => {
          const ordered = [...values].sort((a, b) => a - b);
          const found = percentile(ordered, hundredths / 100) ?? NaN;
          const atOrBelow = (limit: number): number =>
            values.filter((one) => one <= limit).length / values.length;
          const smaller = ordered.filter((one) => one < found);
          return (
            atOrBelow(found) >= hundredths / 100 - 1e-9 &&
            smaller.every((one) => atOrBelow(one) < hundredths / 100 + 1e-9)
          );
        },
      ),
    );
  });
});

it('tabulates and sums', () => {
  expect([...tabulate(4, (i) => i * i)]).toEqual([0, 1, 4, 9]);
  expect(sum([1, 2, 3.5])).toBe(6.5);
  expect(sum([])).toBe(0);
  expect(sumColumn(Float64Array.of(1, 2, 3.5))).toBe(6.5);
});

it('makes columns that share nothing, however many', () => {
  const column = columnMaker(3, 2);
  const made = Array.from({ length: 5 }, () => column());
  made.forEach((one, n) => one.fill(n + 1));
  expect(made.map((one) => [...one])).toEqual([1, 2, 3, 4, 5].map((n) => [n, n, n]));
});

it('multiplies columns and sums the products', () => {
  const products = new Float64Array(3);
  expect(multiplyInto(products, Float64Array.of(1, 2, 3), Float64Array.of(4, 0, 0.5))).toBe(5.5);
  expect([...products]).toEqual([4, 0, 1.5]);
});
