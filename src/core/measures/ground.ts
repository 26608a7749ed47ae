import { between, calculator, choice, exactly, number } from './calculator.ts';

/** Litres of a layer: area in square metres, depth in metres. */
export const layerLitres = (area: number, depth: number): number => 1000 * area * depth;

/** Mulch, compost or gravel: square metres, a depth in metres, litres of a bag; rejects values out of range. */
export const layer = calculator(
  'layer',
  {
    area: number('area', 0.05, 20000),
    depth: number('length', 0.003, 0.6),
    bag: number('loose', 5, 2000),
  },
  ({ area, depth, bag }) => {
    const litres = layerLitres(area, depth);
    return [
      exactly('in-all', litres, 'loose'),
      exactly('bags', Math.ceil(litres / bag - 1e-9), 'count'),
    ];
  },
);

/** A raised bed, in metres, with compost in percent of the mix and topsoil as the rest: litres; rejects values out of range. */
export const raisedBed = calculator(
  'raised-bed',
  {
    length: number('length', 0.2, 50),
    width: number('length', 0.2, 10),
    depth: number('length', 0.05, 1.5),
    compost: number('percent', 5, 100),
  },
  ({ length, width, depth, compost }) => {
    const litres = layerLitres(length * width, depth);
    const share = compost / 100;
    return [
      exactly('in-all', litres, 'loose'),
      exactly('compost', litres * share, 'loose'),
      exactly('topsoil', litres * (1 - share), 'loose'),
    ];
  },
);

/** Rows set off from each other hold more plants: 2 / square root of 3 as many. */
const SET_OFF = 2 / Math.sqrt(3);

/** Plants on an area: the area divided by the spacing times itself, more where the rows are set off. */
export function plantsOn(area: number, spacing: number, pattern: 'square' | 'set-off'): number {
  const square = area / spacing ** 2;
  return Math.round(pattern === 'square' ? square : square * SET_OFF);
}

/** A count of plants on square metres, at a spacing in metres; rejects values out of range. */
export const plants = calculator(
  'plants',
  {
    area: number('area', 0.05, 20000),
    spacing: number('length', 0.02, 10),
    pattern: choice('square', 'set-off'),
  },
  ({ area, spacing, pattern }) => [exactly('plants', plantsOn(area, spacing, pattern), 'count')],
);

/** Weeks until plants or plugs at a spacing close, by what each grows outward in a week, in metres; rejects values out of range. */
export const closing = calculator(
  'closing',
  { spacing: number('length', 0.05, 3), grows: number('length', 0.001, 0.3) },
  ({ spacing, grows }) => [exactly('weeks', spacing / 2 / grows, 'weeks')],
);

/** Kilograms of seed by its rate in grams to the square metre; rejects values out of range. */
export const seed = calculator(
  'seed',
  { area: number('area', 0.1, 20000), rate: number('spread', 0.1, 100) },
  ({ area, rate }) => [exactly('in-all', (area * rate) / 1000, 'mass')],
);

/** Times the width of the root ball, and clear of it below. Common practice. */
const HOLE_TIMES = { from: 2, to: 3 } as const;

/** The hole for a root ball, in metres; rejects values out of range. */
export const plantingHole = calculator(
  'planting-hole',
  { ballWidth: number('length', 0.05, 3), ballHeight: number('length', 0.05, 1.5) },
  ({ ballWidth, ballHeight }) => [
    between('wide', HOLE_TIMES.from * ballWidth, HOLE_TIMES.to * ballWidth, 'length'),
    exactly('deep', ballHeight, 'length'),
  ],
);

/**
 * Grams of ground limestone to the square metre that raise a soil by one pH unit between 5 and 7, to a depth of 15 cm, by
 * texture. Source: common extension tables of 25 to 30, 50 to 60 and 80 to 100 lb to 1,000 sq ft (practice).
 */
const LIME_A_UNIT = { sand: 135, loam: 270, clay: 440 } as const;
/** Most that is given at once, in grams to the square metre (practice: 50 lb to 1,000 sq ft). */
const LIME_AT_ONCE = 245;
/**
 * Grams of sulfur to the square metre that lower a soil by one pH unit, to 15 cm, by texture. Source: common extension
 * tables of 10, 20 and 30 lb to 1,000 sq ft (practice).
 */
const SULFUR_A_UNIT = { sand: 50, loam: 100, clay: 150 } as const;
const SULFUR_AT_ONCE = 100;

type Texture = keyof typeof LIME_A_UNIT;

/** Grams of ground limestone to the square metre from one pH to another, at least 0. */
export const limeRate = (present: number, wanted: number, texture: Texture): number =>
  Math.max(0, (wanted - present) * LIME_A_UNIT[texture]);

/** Grams of sulfur to the square metre from one pH down to another, at least 0. */
export const sulfurRate = (present: number, wanted: number, texture: Texture): number =>
  Math.max(0, (present - wanted) * SULFUR_A_UNIT[texture]);

/** How many times half a year apart a rate is given in. */
export const goesFor = (rate: number, matter: 'lime' | 'sulfur'): number =>
  Math.ceil(rate / (matter === 'lime' ? LIME_AT_ONCE : SULFUR_AT_ONCE));

/** What a rate in grams to the square metre comes to: kilograms for an area, and a count of goes. */
const byRate = (rate: number, area: number, matter: 'lime' | 'sulfur') => [
  exactly('rate', rate, 'spread'),
  exactly('in-all', (rate * area) / 1000, 'mass'),
  exactly('goes', goesFor(rate, matter), 'count'),
];

/** The pH that is aimed at. Common practice. */
export const WANTED_PH = { acidLoving: 5, other: 6.5 } as const;

const TEXTURE = choice('sand', 'loam', 'clay');
const AREA = number('area', 0.1, 20000);

/** Lime by pH, texture and square metres: grams to the square metre, kilograms; fails where the soil needs none; rejects values out of range. */
export const lime = calculator(
  'lime',
  { present: number('pH', 3.5, 7.5), wanted: number('pH', 5, 7.5), texture: TEXTURE, area: AREA },
  ({ present, wanted, texture, area }) =>
    present >= wanted
      ? { code: 'not-less', input: 'present', than: 'wanted' }
      : byRate(limeRate(present, wanted, texture), area, 'lime'),
);

/** Exchangeable acidity, in milliequivalents to 100 cubic centimetres, for one unit of the Mehlich buffer below 6.6. */
const ACIDITY_A_UNIT = 4;
const BUFFER_AT_NEUTRAL = 6.6;
/** Grams to the square metre of a short ton to the acre: 907.185 kg on 4046.86 square metres. */
const GRAMS_OF_TON_AN_ACRE = 224.17;

/**
 * Grams of lime to the square metre by a Mehlich buffer pH of 4 to 6.6: tons to the acre = acidity x (wanted - present) /
 * (6.6 - present), acidity = (6.6 - buffer) x 4, for 20 cm of soil. Source: A. Mehlich, "New buffer pH method for rapid
 * estimation of exchangeable acidity and lime requirement of soils", 1976, recalled.
 */
export function limeRateByBuffer(present: number, buffer: number, wanted: number): number {
  const acidity = ACIDITY_A_UNIT * (BUFFER_AT_NEUTRAL - buffer);
  const tons = (acidity * (wanted - present)) / (BUFFER_AT_NEUTRAL - present);
  return tons * GRAMS_OF_TON_AN_ACRE;
}

/** Lime by a laboratory's Mehlich buffer pH: grams to the square metre, kilograms; fails where the soil needs none; rejects values out of range. */
export const limeByBuffer = calculator(
  'lime-by-buffer',
  {
    present: number('pH', 3.5, 6.5),
    buffer: number('pH', 4, 6.6),
    wanted: number('pH', 5, 6.6),
    area: AREA,
  },
  ({ present, buffer, wanted, area }) => {
    if (present >= wanted) return { code: 'not-less', input: 'present', than: 'wanted' };
    return byRate(limeRateByBuffer(present, buffer, wanted), area, 'lime');
  },
);

/** Sulfur by pH, texture and square metres: grams to the square metre, kilograms; fails where the soil needs none; rejects values out of range. */
export const sulfur = calculator(
  'sulfur',
  { present: number('pH', 4.5, 8.5), wanted: number('pH', 4, 7.5), texture: TEXTURE, area: AREA },
  ({ present, wanted, texture, area }) =>
    wanted >= present
      ? { code: 'not-less', input: 'wanted', than: 'present' }
      : byRate(sulfurRate(present, wanted, texture), area, 'sulfur'),
);

/** Fertilizer by grams of nitrogen to the square metre and the percent on the bag: kilograms; rejects values out of range. */
export const nitrogen = calculator(
  'nitrogen',
  {
    area: number('area', 0.1, 20000),
    rate: number('spread', 0.5, 25),
    percent: number('percent', 0.5, 50),
    bag: number('mass', 0.2, 50),
  },
  ({ area, rate, percent, bag }) => {
    const product = (100 * rate) / percent;
    const kilograms = (product * area) / 1000;
    return [
      exactly('rate', product, 'spread'),
      exactly('in-all', kilograms, 'mass'),
      exactly('bags', Math.ceil(kilograms / bag - 1e-9), 'count'),
    ];
  },
);

/** Shares of phosphorus in phosphate (P2O5) and of potassium in potash (K2O), by their atomic weights (IUPAC 2021). */
const P_IN_PHOSPHATE = 0.4364;
const K_IN_POTASH = 0.8301;

/** What a bag holds by its three numbers, kilograms of nitrogen, phosphorus and potassium; rejects values out of range. */
export const bagHolds = calculator(
  'bag-holds',
  {
    bag: number('mass', 0.1, 50),
    first: number('percent', 0, 50),
    second: number('percent', 0, 60),
    third: number('percent', 0, 65),
  },
  ({ bag, first, second, third }) => [
    exactly('n', (bag * first) / 100, 'mass'),
    exactly('p', (bag * second * P_IN_PHOSPHATE) / 100, 'mass'),
    exactly('k', (bag * third * K_IN_POTASH) / 100, 'mass'),
  ],
);
