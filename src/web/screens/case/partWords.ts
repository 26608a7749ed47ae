import { caseTexts } from '../../texts/caseTexts.ts';
import type { Part } from '../../../core/schema/finding.ts';

/** The parts of a plant in the order of the Heard column, as it calls them. */
export const PART_WORDS: Readonly<Record<Part, string>> = {
  whole: caseTexts.wholePlant,
  leaf: caseTexts.leaves,
  needle: caseTexts.needles,
  flower: caseTexts.flowers,
  fruit: caseTexts.fruit,
  stem: caseTexts.stems,
  trunk: caseTexts.trunkAndBark,
  root: caseTexts.roots,
  bulb: caseTexts.bulb,
  soil: caseTexts.soilAndPot,
  turf: caseTexts.turf,
  around: caseTexts.aroundIt,
  history: caseTexts.whatHappened,
};
