import { calculator, choice, exactly, number } from './calculator.ts';

/** A drench that the label rates by the trunk: litres of product for each so many metres of it; rejects values out of range. */
export const drench = calculator(
  'drench',
  {
    product: number('volume', 0.0001, 2),
    each: number('length', 0.005, 1),
    of: choice('thickness', 'way-round'),
    trunk: number('length', 0.005, 2),
  },
  ({ product, each, of, trunk }) => {
    const measured = of === 'thickness' ? trunk : Math.PI * trunk;
    return [
      exactly('measures', measured, 'length'),
      exactly('in-all', (product * measured) / each, 'volume'),
    ];
  },
);

/** The dial of a hose-end sprayer, and the litres of water that its jar makes, by a rate in millilitres to the litre; rejects values out of range. */
export const hoseEnd = calculator(
  'hose-end',
  { rate: number('dilution', 0.05, 100), jar: number('volume', 0.05, 10) },
  ({ rate, jar }) => [
    exactly('dial', rate, 'dilution'),
    exactly('makes', (1000 * jar) / rate, 'volume'),
  ],
);

/** Lanes of a spreader over metres of ground, each way; rejects values out of range. */
export const passes = calculator(
  'passes',
  {
    length: number('length', 1, 300),
    width: number('length', 1, 300),
    throws: number('length', 0.2, 10),
  },
  ({ length, width, throws }) => {
    const lanes = (across: number): number => Math.ceil(across / throws - 1e-9);
    return [
      exactly('lengthwise', lanes(width), 'count'),
      exactly('across', lanes(length), 'count'),
    ];
  },
);

/** How many sprays fit before picking, in days from today; fails where the wait is longer than what is left; rejects values out of range. */
export const beforeHarvest = calculator(
  'before-harvest',
  {
    pick: number('days', 1, 365),
    wait: number('days', 0, 365),
    every: number('days', 1, 120),
    most: number('count', 1, 30),
  },
  ({ pick, wait, every, most }) => {
    if (wait > pick) return { code: 'not-less', input: 'wait', than: 'pick' };
    const left = pick - wait;
    return [
      exactly('sprays', Math.min(most, Math.floor(left / every) + 1), 'count'),
      exactly('last', left, 'days'),
    ];
  },
);

/** Days between two rounds of a repellent: what the label says, or the rain that washes it off if that comes sooner; millimetres of rain; rejects values out of range. */
export const repellent = calculator(
  'repellent',
  {
    lasts: number('days', 1, 120),
    washes: number('water', 2, 100),
    rain: number('water', 0, 200),
  },
  ({ lasts, washes, rain }) => {
    const byRain = rain === 0 ? Infinity : (7 * washes) / rain;
    return [exactly('every', Math.max(1, Math.min(lasts, byRain)), 'days')];
  },
);

/** Traps on square metres, one to each so many; rejects values out of range. */
export const traps = calculator(
  'traps',
  { area: number('area', 1, 20000), each: number('area', 0.5, 20000) },
  ({ area, each }) => [exactly('traps', Math.max(1, Math.round(area / each)), 'count')],
);

/** The catch of traps as a count to the trap and week; rejects values out of range. */
export const trapCatch = calculator(
  'trap-catch',
  {
    found: number('count', 0, 10000),
    traps: number('count', 1, 200),
    over: number('days', 1, 120),
  },
  ({ found, traps: set, over }) => [exactly('a-week', (7 * found) / (set * over), 'count')],
);

/** Shade cloth that brings light down, both in percent of open sky; fails where there is no more than wanted; rejects values out of range. */
export const shadeCloth = calculator(
  'shade-cloth',
  { light: number('percent', 5, 100), wanted: number('percent', 5, 100) },
  ({ light, wanted }) =>
    wanted >= light
      ? { code: 'not-less', input: 'wanted', than: 'light' }
      : [exactly('cloth', 100 * (1 - wanted / light), 'percent')],
);
