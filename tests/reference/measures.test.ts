import Qty from 'js-quantities';
import fc from 'fast-check';
import { CALCULATORS } from '../../src/core/measures/all.ts';
import type { Calculator, Dimension } from '../../src/core/measures/calculator.ts';

const all = Object.values(CALCULATORS).flat();

/** The unit of each dimension, for the independent unit library. */
const UNIT: Partial<Record<Dimension, string>> = {
  length: 'm',
  area: 'm^2',
  volume: 'l',
  loose: 'l',
  mass: 'kg',
  water: 'mm',
  minutes: 'min',
  spread: 'g/m^2',
};

/** A quantity such as "1000 ft^2" in the unit of a dimension. */
const si = (text: string, dimension: Dimension): number =>
  Qty(text).to(UNIT[dimension] ?? '').scalar;

function calculatorOf(id: string): Calculator {
  const found = all.find((one) => one.id === id);
  if (!found) throw new Error(`no calculator ${id}`);
  return found;
}

/** What was worked out, in another unit. */
function worked(
  id: string,
  values: Record<string, number | string>,
  result: string,
  unit?: string,
): { from: number; to: number } {
  const run = calculatorOf(id).run(values);
  if (!run.ok) throw new Error(JSON.stringify(run.error));
  const one = run.value.find((each) => each.id === result);
  if (!one) throw new Error(`no result ${result}`);
  const in_ = (value: number): number =>
    unit === undefined ? value : Qty(value, UNIT[one.dimension] ?? '').to(unit).scalar;
  return { from: in_(one.from), to: in_(one.to) };
}

describe('worked examples', () => {
  it('new tree: 1 to 1.5 gallons an inch of trunk, every 2 to 3 days in weeks 3 to 12 (University of Minnesota Extension, recalled)', () => {
    const values = { trunk: si('2 in', 'length'), since: 3 };
    const litres = worked('new-tree', values, 'each-time', 'gal');
    expect(litres.from).toBeCloseTo(2, 6);
    expect(litres.to).toBeCloseTo(3, 6);
    expect(worked('new-tree', values, 'every')).toEqual({ from: 2, to: 3 });
    expect(worked('new-tree', { ...values, since: 1 }, 'every')).toEqual({ from: 1, to: 1 });
    expect(worked('new-tree', { ...values, since: 20 }, 'every')).toEqual({ from: 7, to: 7 });
    // As thick as a thumb: a gallon at least.
    const thumb = worked('new-tree', { trunk: 0.015, since: 3 }, 'each-time', 'gal');
    expect(thumb.from).toBeCloseTo(1, 6);
  });

  it('roof: 1,000 sq ft under 1 in give 623 gal; 55 gal weigh about 460 lb (arithmetic of the trade)', () => {
    const values = {
      area: si('1000 ft^2', 'area'),
      rain: si('1 in', 'water'),
      barrel: si('55 gal', 'volume'),
    };
    expect(worked('roof', values, 'gives', 'gal').from).toBeCloseTo(623.4, 1);
    expect(worked('roof', values, 'weight', 'lb').from).toBeCloseTo(459, 0);
    expect(worked('roof', values, 'overflow', 'gal').from).toBeCloseTo(568.4, 1);
  });

  it('bed: an inch on 100 sq ft is 62.3 gal, less the rain', () => {
    const values = { area: si('100 ft^2', 'area'), need: si('1 in', 'water'), rain: 0 };
    expect(worked('bed-water', values, 'in-all', 'gal').from).toBeCloseTo(62.34, 1);
    const half = { ...values, rain: si('0.5 in', 'water') };
    expect(worked('bed-water', half, 'in-all', 'gal').from).toBeCloseTo(31.17, 1);
    expect(worked('bed-water', { ...values, rain: 100 }, 'in-all').from).toBe(0);
  });

  it('succulent: 7 to 10 days for each inch of pot in winter (common practice)', () => {
    const days = worked('succulent', { width: si('6 in', 'length'), season: 'winter' }, 'every');
    expect(days.from).toBeCloseTo(42, 6);
    expect(days.to).toBeCloseTo(60, 6);
  });

  it('sprinkler: a quarter inch caught in 15 minutes takes an hour for an inch', () => {
    const values = {
      caught: si('0.25 in', 'water'),
      minutes: 15,
      wanted: si('1 in', 'water'),
      days: 2,
    };
    expect(worked('sprinkler', values, 'run-a-week').from).toBeCloseTo(60, 6);
    expect(worked('sprinkler', values, 'run-each-time').from).toBeCloseTo(30, 6);
    expect(worked('sprinkler', values, 'rate', 'in').from).toBeCloseTo(1, 6);
  });

  it('drip: twelve drippers of 4 L an hour give 24 L in half an hour', () => {
    expect(worked('drip', { flow: 4, drippers: 12, wanted: 24 }, 'run').from).toBeCloseTo(30, 9);
  });

  it('leaching: EC 1.5 for a crop that bears 2.5 asks for 14 % more run through (FAO 29, equation 9, recalled)', () => {
    const values = { water: 1.5, bears: 2.5, need: 100 };
    expect(worked('leaching', values, 'share').from).toBeCloseTo(13.6, 1);
    expect(worked('leaching', values, 'in-all').from).toBeCloseTo(115.8, 1);
  });

  it('layer: a cubic yard covers 324 sq ft an inch deep (arithmetic)', () => {
    const values = {
      area: si('324 ft^2', 'area'),
      depth: si('1 in', 'length'),
      bag: si('2 ft^3', 'loose'),
    };
    expect(worked('layer', values, 'in-all', 'yd^3').from).toBeCloseTo(1, 6);
    expect(worked('layer', values, 'bags').from).toBe(14);
  });

  it('raised bed: 4 by 8 ft, 1 ft deep, holds 32 cubic feet, a third of it compost', () => {
    const values = {
      length: si('8 ft', 'length'),
      width: si('4 ft', 'length'),
      depth: si('1 ft', 'length'),
      compost: 100 / 3,
    };
    expect(worked('raised-bed', values, 'in-all', 'ft^3').from).toBeCloseTo(32, 6);
    expect(worked('raised-bed', values, 'compost', 'ft^3').from).toBeCloseTo(32 / 3, 6);
  });

  it('plugs: at 1 ft one plant takes a square foot, at half the spacing four times the plants', () => {
    const values = {
      area: si('100 ft^2', 'area'),
      spacing: si('1 ft', 'length'),
      pattern: 'square',
    };
    expect(worked('plants', values, 'plants').from).toBe(100);
    const half = { ...values, spacing: si('6 in', 'length') };
    expect(worked('plants', half, 'plants').from).toBe(400);
    expect(worked('plants', { ...values, pattern: 'set-off' }, 'plants').from).toBe(115);
  });

  it('nitrogen: a pound to 1,000 sq ft takes 5 lb of a 20 % feed', () => {
    const area = si('1000 ft^2', 'area');
    const rate = (si('1 lb', 'mass') * 1000) / area;
    const values = { area, rate, percent: 20, bag: si('5 lb', 'mass') };
    expect(worked('nitrogen', values, 'in-all', 'lb').from).toBeCloseTo(5, 6);
    expect(worked('nitrogen', values, 'bags').from).toBe(1);
  });

  it('lime and sulfur: about 50 to 60 and 20 lb to 1,000 sq ft for one unit of pH in loam (common tables)', () => {
    const area = si('1000 ft^2', 'area');
    const limed = { present: 5.5, wanted: 6.5, texture: 'loam', area };
    const pounds = worked('lime', limed, 'in-all', 'lb').from;
    expect(pounds).toBeGreaterThan(50);
    expect(pounds).toBeLessThan(60);
    expect(worked('lime', limed, 'goes').from).toBe(2);
    const soured = { present: 7.5, wanted: 6.5, texture: 'loam', area };
    expect(worked('sulfur', soured, 'in-all', 'lb').from).toBeCloseTo(20.5, 0);
  });

  it('granules: 10 lb cover 5,000 sq ft, so 2 lb cover 1,000', () => {
    const values = {
      bag: si('10 lb', 'mass'),
      covers: si('5000 ft^2', 'area'),
      area: si('1000 ft^2', 'area'),
    };
    expect(worked('granules', values, 'in-all', 'lb').from).toBeCloseTo(2, 6);
    expect(worked('granules', values, 'each-way', 'lb').from).toBeCloseTo(1, 6);
  });

  it('mix: 2 tablespoons to the gallon make 6 in a 3-gallon tank', () => {
    const rate = (1000 * si('2 tbs', 'volume')) / si('1 gal', 'volume');
    const values = { rate, tank: si('3 gal', 'volume'), fillings: 2 };
    expect(worked('mix', values, 'each-filling', 'tbs').from).toBeCloseTo(6, 4);
    expect(worked('mix', values, 'in-all', 'tbs').from).toBeCloseTo(12, 4);
  });

  it('wound: 3 in wide on a 5 in trunk is 19 % of the way round, 5 in is 32 % (arithmetic of the trade)', () => {
    const trunk = si('5 in', 'length');
    const share = (inches: number) =>
      worked('wound', { width: si(`${inches} in`, 'length'), trunk }, 'share').from;
    expect(share(3)).toBeCloseTo(19.1, 1);
    expect(share(5)).toBeCloseTo(31.8, 1);
  });

  it('mowing: from 9 in to 3 in takes three cuts, the first to 6 in', () => {
    const values = { now: si('9 in', 'length'), wanted: si('3 in', 'length') };
    expect(worked('mowing', values, 'first', 'in').from).toBeCloseTo(6, 6);
    expect(worked('mowing', values, 'cuts').from).toBe(3);
  });

  it('packs: 500 sq ft to a bottle, 1,200 sq ft, twice', () => {
    const values = {
      covers: si('500 ft^2', 'area'),
      area: si('1200 ft^2', 'area'),
      times: 2,
      price: 12,
    };
    expect(worked('packs', values, 'packs').from).toBe(5);
    expect(worked('packs', values, 'cost').from).toBe(60);
  });

  it('drench: 1 fl oz an inch on a 6 in trunk is 6 fl oz by thickness, 18.8 by the way round', () => {
    const values = {
      product: si('1 floz', 'volume'),
      each: si('1 in', 'length'),
      trunk: si('6 in', 'length'),
    };
    const of = (by: string) => worked('drench', { ...values, of: by }, 'in-all', 'floz').from;
    expect(of('thickness')).toBeCloseTo(6, 6);
    expect(of('way-round')).toBeCloseTo(18.85, 2);
  });

  it('hose-end: a pint at 2 tablespoons to the gallon makes 16 gallons', () => {
    const rate = (1000 * si('2 tablespoon', 'volume')) / si('1 gal', 'volume');
    const values = { rate, jar: si('1 pt', 'volume') };
    expect(worked('hose-end', values, 'makes', 'gal').from).toBeCloseTo(16, 6);
    expect(worked('hose-end', values, 'dial').from).toBeCloseTo(7.8125, 3);
  });

  it('passes: 20 ft wide at a throw of 6 ft are four lanes', () => {
    const values = {
      length: si('50 ft', 'length'),
      width: si('20 ft', 'length'),
      throws: si('6 ft', 'length'),
    };
    expect(worked('passes', values, 'lengthwise').from).toBe(4);
    expect(worked('passes', values, 'across').from).toBe(9);
  });

  it('before harvest: 21 days, 7 to wait, 7 between: sprays on days 0, 7 and 14', () => {
    const values = { pick: 21, wait: 7, every: 7, most: 4 };
    expect(worked('before-harvest', values, 'sprays').from).toBe(3);
    expect(worked('before-harvest', values, 'last').from).toBe(14);
    expect(worked('before-harvest', { ...values, most: 2 }, 'sprays').from).toBe(2);
    expect(calculatorOf('before-harvest').run({ ...values, wait: 30 })).toMatchObject({
      ok: false,
      error: { code: 'not-less', input: 'wait' },
    });
  });

  it('repellent: 28 days, or two weeks where half an inch a week washes an inch off', () => {
    const values = { lasts: 28, washes: si('1 in', 'water'), rain: si('0.5 in', 'water') };
    expect(worked('repellent', values, 'every').from).toBeCloseTo(14, 6);
    expect(worked('repellent', { ...values, rain: 0 }, 'every').from).toBe(28);
  });

  it('traps: four to 1,000 sq ft at one to 250; 24 caught in 3 over a week are 8 a week', () => {
    const values = { area: si('1000 ft^2', 'area'), each: si('250 ft^2', 'area') };
    expect(worked('traps', values, 'traps').from).toBe(4);
    expect(worked('trap-catch', { found: 24, traps: 3, over: 7 }, 'a-week').from).toBe(8);
  });

  it('shade cloth: from full light to 60 % is 40 % cloth, from 80 % to 60 % is 25 %', () => {
    expect(worked('shade-cloth', { light: 100, wanted: 60 }, 'cloth').from).toBeCloseTo(40, 9);
    expect(worked('shade-cloth', { light: 80, wanted: 60 }, 'cloth').from).toBeCloseTo(25, 9);
  });

  it('bridge: scions 2 to 3 in apart over 9 in are four or five (common practice)', () => {
    expect(worked('bridge', { width: si('9 in', 'length') }, 'scions')).toEqual({ from: 4, to: 5 });
  });

  it('closing: 12 in apart at 1 in a week take 6 weeks', () => {
    const values = { spacing: si('12 in', 'length'), grows: si('1 in', 'length') };
    expect(worked('closing', values, 'weeks').from).toBeCloseTo(6, 9);
  });

  it('bag: 20 lb of 10-10-10 hold 2 lb of nitrogen, 0.87 of phosphorus, 1.66 of potassium (atomic weights, IUPAC 2021)', () => {
    const values = { bag: si('20 lb', 'mass'), first: 10, second: 10, third: 10 };
    expect(worked('bag-holds', values, 'n', 'lb').from).toBeCloseTo(2, 6);
    const p = (2 * 30.974) / (2 * 30.974 + 5 * 15.999);
    const k = (2 * 39.098) / (2 * 39.098 + 15.999);
    expect(worked('bag-holds', values, 'p', 'lb').from).toBeCloseTo(2 * p, 3);
    expect(worked('bag-holds', values, 'k', 'lb').from).toBeCloseTo(2 * k, 3);
  });

  it('lime by buffer: acidity 1.6, pH 5.2 to 6.2 takes 1.6 x 1.0 / 1.4 = 1.14 tons to the acre (Mehlich 1976, recalled)', () => {
    const values = { present: 5.2, buffer: 6.2, wanted: 6.2, area: si('1 acre', 'area') };
    const tons = worked('lime-by-buffer', values, 'in-all', 'ton').from;
    expect(tons).toBeCloseTo(1.143, 2);
  });

  it('grubs: ten under a square foot are 108 to the square metre', () => {
    const values = { found: 10, lifted: si('1 ft^2', 'area') };
    expect(worked('grubs', values, 'to-the-square-metre').from).toBeCloseTo(107.6, 1);
  });
});

/** Values in the range of every input, drawn with a seed. */
const valuesFor = ({ inputs }: Calculator): fc.Arbitrary<Record<string, number | string>> =>
  fc.record(
    Object.fromEntries(
      Object.entries(inputs).map(([name, input]) => [
        name,
        input.kind === 'choice'
          ? fc.constantFrom(...input.choices)
          : fc.double({ min: input.least, max: input.most, noNaN: true }),
      ]),
    ),
  );

describe.each(all.map((one) => [one.id, one] as const))('%s', (_, one) => {
  it('gives numbers of at least zero, the first no more than the second', () => {
    fc.assert(
      fc.property(valuesFor(one), (values) => {
        const run = one.run(values);
        if (!run.ok) return run.error.code === 'not-less';
        return run.value.every(({ from, to }) => Number.isFinite(to) && from >= 0 && from <= to);
      }),
      { seed: 7, numRuns: 200 },
    );
  });

  it('refuses what is missing, no number, negative or absurd', () => {
    const good = fc.sample(valuesFor(one), { seed: 3, numRuns: 1 })[0] ?? {};
    for (const [name, input] of Object.entries(one.inputs)) {
      const { [name]: _left, ...without } = good;
      expect(one.run(without)).toMatchObject({
        ok: false,
        error: { code: 'missing', input: name },
      });
      const bad: unknown[] =
        input.kind === 'choice' ? ['nothing'] : [NaN, -1, 1e9, Infinity, 'much'];
      for (const value of bad)
        expect(one.run({ ...good, [name]: value as number })).toMatchObject({
          ok: false,
          error: { input: name },
        });
    }
  });
});

/** Results that grow with an input, by calculator. */
it.each([
  ['bed-water', 'area', 'in-all'],
  ['new-tree', 'trunk', 'each-time'],
  ['layer', 'depth', 'in-all'],
  ['nitrogen', 'rate', 'in-all'],
  ['lime', 'area', 'in-all'],
  ['roof', 'rain', 'gives'],
  ['granules', 'area', 'in-all'],
  ['succulent', 'width', 'every'],
  ['wound', 'width', 'share'],
  ['drench', 'trunk', 'in-all'],
  ['hose-end', 'jar', 'makes'],
  ['before-harvest', 'pick', 'sprays'],
  ['repellent', 'lasts', 'every'],
  ['bridge', 'width', 'scions'],
  ['lime-by-buffer', 'wanted', 'rate'],
])('%s grows with %s', (id, input, result) => {
  const one = calculatorOf(id);
  fc.assert(
    fc.property(valuesFor(one), fc.double({ min: 1, max: 2, noNaN: true }), (values, times) => {
      const more = { ...values, [input]: Number(values[input]) * times };
      const [a, b] = [one.run(values), one.run(more)];
      if (!a.ok || !b.ok) return true;
      const of = (list: typeof a.value) => list.find((each) => each.id === result)?.from ?? NaN;
      return of(b.value) >= of(a.value) - 1e-9;
    }),
    { seed: 11, numRuns: 100 },
  );
});
