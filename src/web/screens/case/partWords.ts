import type { Part } from '../../../core/schema/finding.ts';

/** The parts of a plant in the order of the Heard column, as it calls them. */
export const PART_WORDS: Readonly<Record<Part, string>> = {
  whole: 'Whole plant',
  leaf: 'Leaves',
  needle: 'Needles',
  flower: 'Flowers',
  fruit: 'Fruit',
  stem: 'Stems',
  trunk: 'Trunk and bark',
  root: 'Roots',
  bulb: 'Bulb',
  soil: 'Soil and pot',
  turf: 'Turf',
  around: 'Around it',
  history: 'What happened',
};
