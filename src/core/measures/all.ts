import type { Calculator } from './calculator.ts';
import * as ground from './ground.ts';
import * as water from './water.ts';
import * as work from './work.ts';

/** Groups of calculators, in the order in which they are shown. */
export const CALCULATORS: Readonly<
  Record<'water' | 'ground' | 'feeding' | 'work', readonly Calculator[]>
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
  ground: [ground.layer, ground.raisedBed, ground.plants, ground.seed, ground.plantingHole],
  feeding: [ground.nitrogen, ground.lime, ground.sulfur],
  work: [work.granules, work.mix, work.packs, work.mowing, work.wound, work.grubs],
};
