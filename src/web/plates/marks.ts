import { seeded } from '../../core/util/random.ts';
import type { PlateMark } from '../../core/schema/plate.ts';
import { DRAWN } from './markKinds.ts';
import { spotsOf, type Pen } from './pen.ts';
import { TINTS, type Shape } from './shape.ts';
import type { Strip } from './strip.ts';

/** Radius of a mark by its size, and how many there are on one strip that fills the plate. */
const RADIUS = { tiny: 0.9, small: 1.9, medium: 3.6, large: 6.5 } as const;
const COUNT = { one: 1, few: 3, some: 8, many: 20 } as const;

/** Kinds of which one strip shows a few at most, however many there are. */
const SPARSE: ReadonlySet<PlateMark['kind']> = new Set([
  'canker',
  'bands',
  'gnawed',
  'slime',
  'cracks',
]);
const MAX_SPARSE = 3;

/** Draws a mark on a strip. `share` is the part of the mark that falls to this strip; the same seed gives the same places. */
export function drawMark(
  strip: Strip,
  mark: PlateMark,
  seed: number,
  share: number,
): readonly Shape[] {
  const random = seeded(seed);
  const pen: Pen = {
    strip,
    mark,
    random,
    radius: RADIUS[mark.size],
    tint: (otherwise) => TINTS[mark.colour ?? otherwise],
  };
  const whole = SPARSE.has(mark.kind)
    ? Math.min(MAX_SPARSE, COUNT[mark.amount])
    : COUNT[mark.amount];
  const count = mark.kind === 'circling' ? 1 : Math.max(1, Math.round(whole * share));
  return spotsOf(pen, count).flatMap((spot) => DRAWN[mark.kind](pen, spot));
}
