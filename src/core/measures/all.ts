import type { Calculator } from './calculator.ts';
import * as ground from './ground.ts';
import * as products from './products.ts';
import * as water from './water.ts';
import * as work from './work.ts';

/** Groups of calculators, in the order in which they are shown. */
export const CALCULATORS: Readonly<
  Record<'water' | 'ground' | 'feeding' | 'products' | 'work', readonly Calculator[]>
> = {
  water: [
    water.newTree,
    water.grownTree,
    water.bedWater,
    water.potWater,
    water.succulent,
    water.sprinkler,
    water.drip,
    water.leaching,
    water.roof,
  ],
  ground: [
    ground.layer,
    ground.raisedBed,
    ground.plants,
    ground.closing,
    ground.seed,
    ground.plantingHole,
  ],
  feeding: [ground.nitrogen, ground.bagHolds, ground.lime, ground.limeByBuffer, ground.sulfur],
  products: [
    work.mix,
    products.hoseEnd,
    products.drench,
    work.granules,
    products.passes,
    work.packs,
    products.beforeHarvest,
    products.repellent,
  ],
  work: [
    work.mowing,
    work.wound,
    work.bridge,
    work.grubs,
    products.traps,
    products.trapCatch,
    products.shadeCloth,
  ],
};
