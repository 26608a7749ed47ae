import { between, calculator, exactly, number } from './calculator.ts';

/** Granules by the kilograms of a bag and the square metres that its label says it covers, half of it each way: kilograms; rejects values out of range. */
export const granules = calculator(
  'granules',
  {
    bag: number('mass', 0.1, 50),
    covers: number('area', 1, 20000),
    area: number('area', 0.5, 20000),
  },
  ({ bag, covers, area }) => {
    const kilograms = (bag * area) / covers;
    return [
      exactly('in-all', kilograms, 'mass'),
      exactly('each-way', kilograms / 2, 'mass'),
      exactly('bags', Math.ceil(area / covers - 1e-9), 'count'),
    ];
  },
);

/** A mix from the label's rate in millilitres to the litre: litres; rejects values out of range. */
export const mix = calculator(
  'mix',
  {
    rate: number('dilution', 0.05, 500),
    tank: number('volume', 0.25, 2000),
    fillings: number('count', 1, 50),
  },
  ({ rate, tank, fillings }) => {
    const litres = (rate * tank) / 1000;
    return [
      exactly('each-filling', litres, 'volume'),
      exactly('in-all', litres * fillings, 'volume'),
    ];
  },
);

/** A count of packs by the square metres that one covers, and its price; rejects values out of range. */
export const packs = calculator(
  'packs',
  {
    covers: number('area', 0.5, 20000),
    area: number('area', 0.5, 20000),
    times: number('count', 1, 30),
    price: number('money', 0, 10000),
  },
  ({ covers, area, times, price }) => {
    const count = Math.ceil((area * times) / covers - 1e-9);
    return [exactly('packs', count, 'count'), exactly('cost', count * price, 'money')];
  },
);

/**
 * How much of the way round a trunk a wound goes: its width over the way round. Up to a quarter it is closed in a few
 * years, over a half the tree is in danger (common practice).
 */
export function woundShare(width: number, trunk: number): number {
  return width / (Math.PI * trunk);
}

/** How much of the way round a trunk a wound goes, both in metres: percent; rejects values out of range. */
export const wound = calculator(
  'wound',
  { width: number('length', 0.005, 5), trunk: number('length', 0.01, 2) },
  ({ width, trunk }) => {
    const share = woundShare(width, trunk);
    return share > 1
      ? { code: 'not-less', input: 'width', than: 'trunk' }
      : [exactly('share', 100 * share, 'percent')];
  },
);

/** Between two scions of a bridge graft, in metres (common practice: two to three inches). */
const BETWEEN_SCIONS = { from: 0.05, to: 0.075 } as const;

/** Scions that bridge a wound in metres of width, both edges included; rejects values out of range. */
export const bridge = calculator('bridge', { width: number('length', 0.05, 3) }, ({ width }) => [
  between(
    'scions',
    Math.floor(width / BETWEEN_SCIONS.to) + 1,
    Math.floor(width / BETWEEN_SCIONS.from) + 1,
    'count',
  ),
]);

/** Most of the blade that is taken at once. */
const THIRD = 1 / 3;
/** Days between two cuts of an overgrown lawn (common practice). */
const BETWEEN_CUTS = { from: 2, to: 3 } as const;

/** Heights after each cut from a height down to another, in metres, never more than a third at once. */
export function mowingHeights(now: number, wanted: number): readonly number[] {
  const heights: number[] = [];
  for (let height = now; height > wanted + 1e-9;) {
    height = Math.max(wanted, height * (1 - THIRD));
    heights.push(height);
  }
  return heights;
}

/** Cuts of an overgrown lawn, heights in metres: at most a third at once; rejects values out of range. */
export const mowing = calculator(
  'mowing',
  { now: number('length', 0.02, 0.6), wanted: number('length', 0.01, 0.15) },
  ({ now, wanted }) => {
    if (wanted >= now) return { code: 'not-less', input: 'wanted', than: 'now' };
    const heights = mowingHeights(now, wanted);
    return [
      exactly('first', heights[0] ?? wanted, 'length'),
      exactly('cuts', heights.length, 'count'),
      between('between', BETWEEN_CUTS.from, BETWEEN_CUTS.to, 'days'),
    ];
  },
);

/** Grubs under square metres of lifted turf, as a count to the square metre; rejects values out of range. */
export const grubs = calculator(
  'grubs',
  { found: number('count', 0, 500), lifted: number('area', 0.01, 5) },
  ({ found, lifted }) => [exactly('to-the-square-metre', found / lifted, 'count')],
);
