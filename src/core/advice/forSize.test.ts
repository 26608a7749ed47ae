import type { SaidSize } from '../language/sizes.ts';
import { readAmount, type Amount, type MeasureId } from '../schema/amount.ts';
import { forThisJob, type Job } from './forSize.ts';

const span = { start: 0, end: 1 };
const area = (squareMetres: number): SaidSize => ({ kind: 'area', squareMetres, span });
const pot = (metres: number): SaidSize => ({ kind: 'pot', metres, span });
const trunk = (metres: number): SaidSize => ({ kind: 'trunk', metres, span });
const height: SaidSize = { kind: 'height', metres: 3, span };

const amountOf = (text: string): Amount => {
  const amount = readAmount(text);
  if (!amount) throw new Error(text);
  return amount;
};

const workOut = (
  text: string | null,
  measure: MeasureId | null,
  sizes: readonly SaidSize[],
  change: Partial<Job> = {},
) =>
  forThisJob(text === null ? null : amountOf(text), measure, {
    ...{ sizes, weeksPlanted: null, winter: false, acidLoving: false },
    ...change,
  });

const NOTHING = { forSize: null, assumed: [] };

describe('what an area decides', () => {
  it.each([
    ['seed 20..35 g/m2', null, 'total', { from: 200, to: 350, unit: 'g' }],
    ['at most 250 g/m2', null, 'total', { from: 2.5, to: 2.5, unit: 'kg' }],
    ['1..2 kg/m2', null, 'total', { from: 10, to: 20, unit: 'kg' }],
    ['20..30 L/m2', null, 'total', { from: 200, to: 300, unit: 'L' }],
    ['25 mm a week', 'rain', 'water', { from: 250, to: 250, unit: 'L' }],
    ['5..8 cm deep', 'layer', 'loose', { from: 500, to: 800, unit: 'L' }],
    ['12 mm deep', 'layer', 'loose', { from: 120, to: 120, unit: 'L' }],
  ] as const)('%s over 10 square metres', (text, measure, code, quantity) => {
    const { forSize, assumed } = workOut(text, measure, [height, area(10)]);
    expect(forSize).toMatchObject({ code, area: 10, quantity });
    expect(assumed).toEqual([]);
  });
  it('names the place of the rated part', () => {
    const { forSize } = workOut('every 7 days, 5 g/m2', null, [area(10)]);
    expect(forSize).toMatchObject({ code: 'total', part: 3 });
  });
  it('is said to be wanting where it was not said', () => {
    expect(workOut('5 g/m2', null, [pot(0.2)])).toEqual({
      forSize: null,
      assumed: ['area-not-said'],
    });
  });
  it.each([
    ['mesh of 12 mm', null],
    ['holes 5..8 cm deep', null],
    ['every 7 days', 'rain'],
    ['none', null],
  ] as const)('leaves "%s" as it is', (text, measure) => {
    expect(workOut(text, measure, [area(10)])).toEqual(NOTHING);
  });
  it('has nothing to work out without an amount', () => {
    expect(workOut(null, 'rain', [area(10)])).toEqual(NOTHING);
  });
});

describe('water for a new tree', () => {
  // A gallon to a gallon and a half for each inch of trunk: University of Minnesota Extension, recalled.
  it('goes by trunk and weeks since planting', () => {
    const { forSize, assumed } = workOut('7 days', 'tree-water', [trunk(0.0508)], {
      weeksPlanted: 3,
    });
    expect(forSize).toMatchObject({
      code: 'each-time',
      quantity: { from: 7.6, to: 11, unit: 'L' },
      every: { from: 2, to: 3, unit: 'days' },
    });
    expect(assumed).toEqual([]);
  });
  it('takes an inch where no trunk was said', () => {
    const { forSize, assumed } = workOut(null, 'tree-water', [], { weeksPlanted: 0 });
    expect(forSize).toMatchObject({ quantity: { from: 3.8, to: 5.7 }, every: { from: 1, to: 1 } });
    expect(assumed).toEqual(['trunk-an-inch']);
  });
  it('is not for a tree of which no planting was said', () => {
    expect(workOut('7 days', 'tree-water', [trunk(0.05)])).toEqual(NOTHING);
  });
});

describe('what a pot decides', () => {
  it('is the next pot', () => {
    expect(workOut('3..5 cm', 'pot-wider', [pot(0.178)]).forSize).toEqual({
      code: 'pot',
      quantity: { from: 21, to: 23, unit: 'cm' },
    });
  });
  it('is how often a succulent drinks, oftener while it grows', () => {
    const every = (winter: boolean) =>
      workOut(null, 'succulent', [pot(0.1524)], { winter }).forSize?.quantity;
    expect(every(true)).toEqual({ from: 42, to: 60, unit: 'days' });
    expect(every(false)).toEqual({ from: 21, to: 30, unit: 'days' });
  });
  it('is said to be wanting where it was not said', () => {
    expect(workOut(null, 'succulent', [area(3)]).assumed).toEqual(['pot-not-said']);
  });
});

describe('what a soil test decides', () => {
  const ph = (value: number): SaidSize => ({ kind: 'ph', value, span });

  it('is the rate of lime, its total for an area and in how many goes', () => {
    // 270 g to the square metre for one unit of pH in loam: common tables.
    expect(workOut(null, 'lime', [ph(5.5), area(10)])).toEqual({
      forSize: {
        code: 'by-test',
        quantity: { from: 270, to: 270, unit: 'g/m2' },
        goes: 2,
        total: { from: 2.7, to: 2.7, unit: 'kg' },
        area: 10,
      },
      assumed: ['loam'],
    });
  });
  it('is the rate of sulfur, down to pH 5 for plants that like it', () => {
    const rate = (acidLoving: boolean) =>
      workOut(null, 'sulfur', [ph(7)], { acidLoving }).forSize?.quantity.from;
    expect(rate(false)).toBe(50);
    expect(rate(true)).toBe(200);
  });
  it('has no total where no area was said', () => {
    expect(workOut(null, 'lime', [ph(6)]).forSize).toMatchObject({ total: null, area: null });
  });
  it.each([
    ['lime', 7],
    ['sulfur', 6],
  ] as const)('may say that no %s is needed', (measure, value) => {
    expect(workOut(null, measure, [ph(value)])).toEqual({ forSize: null, assumed: ['no-need'] });
  });
  it('is said to be wanting where it was not said', () => {
    expect(workOut('5 g/m2', 'lime', [area(10)])).toEqual({
      forSize: null,
      assumed: ['ph-not-said'],
    });
  });
});

it('gives grams up to two kilograms, and kilograms from there', () => {
  const total = (rate: string) => workOut(rate, null, [area(10)]).forSize?.quantity;
  expect(total('200 g/m2')).toEqual({ from: 2000, to: 2000, unit: 'g' });
  expect(total('210 g/m2')).toEqual({ from: 2.1, to: 2.1, unit: 'kg' });
});
