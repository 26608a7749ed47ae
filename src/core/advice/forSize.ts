import type { SaidSize } from '../language/sizes.ts';
import { goesFor, layerLitres, limeRate, sulfurRate, WANTED_PH } from '../measures/ground.ts';
import { newTreeDays, newTreeLitres, succulentDays } from '../measures/water.ts';
import { METRES_IN_INCH } from '../util/units.ts';
import type { Amount, AmountUnit, MeasureId, Quantity } from '../schema/amount.ts';

/** What is known of the job: its sizes, and the weeks since planting where they were said. */
export interface Job {
  readonly sizes: readonly SaidSize[];
  readonly weeksPlanted: number | null;
  /** The plant rests. */
  readonly winter: boolean;
  /** The plant wants a soil of about pH 5. */
  readonly acidLoving: boolean;
}

/** What had to be taken as given. */
export type Assumed =
  'trunk-an-inch' | 'area-not-said' | 'pot-not-said' | 'loam' | 'ph-not-said' | 'no-need';

/** An amount worked out for the enquirer's own size. */
export type ForSize =
  /** The total for an area in square metres, in place of the rated `part` of the amount. */
  | {
      readonly code: 'total';
      readonly area: number;
      readonly part: number;
      readonly quantity: Quantity;
    }
  /** Water, or loose stuff, beside the depth that it lies. */
  | {
      readonly code: 'water' | 'loose';
      readonly area: number;
      readonly quantity: Quantity;
    }
  | { readonly code: 'each-time'; readonly quantity: Quantity; readonly every: Quantity }
  /** By a soil test: the rate, how many times it is given in, and the total where the area was said. */
  | {
      readonly code: 'by-test';
      readonly quantity: Quantity;
      readonly goes: number;
      readonly total: Quantity | null;
      readonly area: number | null;
    }
  | { readonly code: 'pot'; readonly quantity: Quantity }
  | { readonly code: 'every'; readonly quantity: Quantity };

/** An amount for this job, and what it assumes; both empty where nothing can be worked out or need be. */
export interface Worked {
  readonly forSize: ForSize | null;
  readonly assumed: readonly Assumed[];
}

const NOTHING: Worked = { forSize: null, assumed: [] };
const CM_IN_METRE = 100;
const MM_IN_METRE = 1000;

/** What a square metre of an area-rated unit adds up to. */
const TOTALS: Partial<Readonly<Record<AmountUnit, AmountUnit>>> = {
  'g/m2': 'g',
  'kg/m2': 'kg',
  'L/m2': 'L',
};
const GRAMS_IN_KG = 1000;

const areaOf = ({ sizes }: Job): number | null =>
  sizes.flatMap((size) => (size.kind === 'area' ? [size.squareMetres] : []))[0] ?? null;

const widthOf = ({ sizes }: Job, kind: 'trunk' | 'pot'): number | null =>
  sizes.flatMap((size) => (size.kind === kind ? [size.metres] : []))[0] ?? null;

/** Two digits that count are enough for what is measured out. */
const rounded = (value: number): number => Number(value.toPrecision(2));

const times = ({ from, to }: Quantity, factor: number, unit: AmountUnit): Quantity => ({
  from: rounded(from * factor),
  to: rounded(to * factor),
  unit,
});

/** The total of a weight or of water that is rated by area; null for other units. */
function ratedTotal(quantity: Quantity, area: number): Quantity | null {
  const unit = TOTALS[quantity.unit];
  if (unit === undefined) return null;
  return unit === 'g' && quantity.to * area > 2 * GRAMS_IN_KG
    ? times(quantity, area / GRAMS_IN_KG, 'kg')
    : times(quantity, area, unit);
}

/** Litres of a depth of water or of loose stuff on a square metre, by its unit. */
const LITRES_DEEP: Partial<Readonly<Record<AmountUnit, number>>> = {
  mm: layerLitres(1, 1 / MM_IN_METRE),
  cm: layerLitres(1, 1 / CM_IN_METRE),
};

/** The total of the first part of an amount that an area decides; null where none is. */
function totalFor(amount: Amount, measure: MeasureId | null, area: number): ForSize | null {
  for (const [part, quantity] of amount.parts.entries()) {
    if (typeof quantity === 'string') continue;
    const rated = ratedTotal(quantity, area);
    if (rated) return { code: 'total', area, part, quantity: rated };
    const litres = LITRES_DEEP[quantity.unit];
    if (litres === undefined || (measure !== 'rain' && measure !== 'layer')) continue;
    const code = measure === 'rain' ? 'water' : 'loose';
    return { code, area, quantity: times(quantity, litres * area, 'L') };
  }
  return null;
}

function byArea(amount: Amount, measure: MeasureId | null, job: Job): Worked {
  const area = areaOf(job);
  if (area !== null) return { forSize: totalFor(amount, measure, area), assumed: [] };
  const depends = totalFor(amount, measure, 1) !== null;
  return { forSize: null, assumed: depends ? ['area-not-said'] : [] };
}

function newTree(job: Job): Worked {
  const trunk = widthOf(job, 'trunk');
  const litres = newTreeLitres(trunk ?? METRES_IN_INCH);
  const days = newTreeDays(job.weeksPlanted ?? 0);
  return {
    forSize: {
      code: 'each-time',
      quantity: times({ ...litres, unit: 'L' }, 1, 'L'),
      every: { ...days, unit: 'days' },
    },
    assumed: trunk === null ? ['trunk-an-inch'] : [],
  };
}

/** A step up in pots, in centimetres (common practice: an inch or two). */
const POT_STEP = { from: 3, to: 5 } as const;

function byPot(measure: 'pot-wider' | 'succulent', job: Job): Worked {
  const width = widthOf(job, 'pot');
  if (width === null) return { forSize: null, assumed: ['pot-not-said'] };
  if (measure === 'succulent') {
    const days = succulentDays(width, job.winter ? 'winter' : 'summer');
    return {
      forSize: { code: 'every', quantity: times({ ...days, unit: 'days' }, 1, 'days') },
      assumed: [],
    };
  }
  const centimetres = CM_IN_METRE * width;
  const quantity: Quantity = {
    from: rounded(centimetres + POT_STEP.from),
    to: rounded(centimetres + POT_STEP.to),
    unit: 'cm',
  };
  return { forSize: { code: 'pot', quantity }, assumed: [] };
}

/** Lime or sulfur by the pH of a soil test, on loam. */
function byTest(measure: 'lime' | 'sulfur', job: Job): Worked {
  const ph = job.sizes.flatMap((size) => (size.kind === 'ph' ? [size.value] : []))[0];
  if (ph === undefined) return { forSize: null, assumed: ['ph-not-said'] };
  const wanted = job.acidLoving ? WANTED_PH.acidLoving : WANTED_PH.other;
  const rate = measure === 'lime' ? limeRate(ph, wanted, 'loam') : sulfurRate(ph, wanted, 'loam');
  if (rate === 0) return { forSize: null, assumed: ['no-need'] };
  const quantity = times({ from: rate, to: rate, unit: 'g/m2' }, 1, 'g/m2');
  const area = areaOf(job);
  const total = area === null ? null : ratedTotal(quantity, area);
  const goes = goesFor(rate, measure);
  return { forSize: { code: 'by-test', quantity, goes, total, area }, assumed: ['loam'] };
}

/**
 * Works an amount of the library out for the enquirer's own size: the total for an area, the water for a new tree, the
 * next pot. Metres, square metres and litres; null where nothing in the amount depends on a size, or none was said.
 */
export function forThisJob(amount: Amount | null, measure: MeasureId | null, job: Job): Worked {
  switch (measure) {
    case 'tree-water':
      return job.weeksPlanted === null ? NOTHING : newTree(job);
    case 'lime':
    case 'sulfur':
      return byTest(measure, job);
    case 'pot-wider':
    case 'succulent':
      return byPot(measure, job);
    default:
      return amount === null ? NOTHING : byArea(amount, measure, job);
  }
}
