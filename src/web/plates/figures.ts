import type { Plate } from '../../core/schema/plate.ts';
import { leaf, shoot, needles, bundle } from './foliage.ts';
import { stem, trunk, tree } from './wood.ts';
import { flower, fruit } from './bloom.ts';
import { root, bulb, turf, ground } from './earth.ts';
import { creature } from './creature.ts';
import type { Drawing } from './drawing.ts';

const FIGURES: Readonly<Record<Plate['figure'], (plate: Plate) => Drawing>> = {
  leaf,
  shoot,
  needles,
  bundle,
  stem,
  trunk,
  tree,
  flower,
  fruit,
  root,
  bulb,
  turf,
  ground,
  creature,
};

/** The figure of a plate, in its form, before colours and marks. */
export function figureOf(plate: Plate): Drawing {
  return FIGURES[plate.figure](plate);
}
