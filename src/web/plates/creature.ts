import type { Plate, PlateForm } from '../../core/schema/plate.ts';
import { line, type Drawing } from './drawing.ts';
import { body, bough, ellipse, type Strip } from './strip.ts';
import { INK, SHADE, type Shape } from './shape.ts';

const legs = (xs: readonly number[], y: number): Shape[] =>
  xs.flatMap((x) => [
    line(
      [
        [x, y - 4],
        [x - 5, y - 22],
        [x - 8, y - 30],
      ],
      1.4,
      INK,
    ),
    line(
      [
        [x, y + 4],
        [x - 5, y + 22],
        [x - 8, y + 30],
      ],
      1.4,
      INK,
    ),
  ]);

const HEAD: Shape = { d: ellipse([20, 50], 8, 7), fill: INK };
const seam = (y: number): Shape =>
  line(
    [
      [26, y],
      [84, y],
    ],
    1,
    INK,
  );
const wing = (y: number): Shape => ({ d: ellipse([62, y], 26, 12), fill: SHADE, opacity: 0.35 });

interface Build {
  readonly strip: Strip;
  readonly behind: readonly Shape[];
  readonly before: readonly Shape[];
}

const BUG: Build = {
  strip: body({ from: [22, 50], degrees: 0, length: 64 }, 17, 0.7),
  behind: legs([38, 50, 62], 50),
  before: [HEAD],
};
const BUILDS: Partial<Record<PlateForm, Build>> = {
  bug: BUG,
  beetle: {
    strip: body({ from: [24, 50], degrees: 0, length: 62 }, 22),
    behind: legs([38, 52, 66], 50),
    before: [HEAD, seam(50)],
  },
  caterpillar: {
    strip: body({ from: [14, 50], degrees: 0, length: 74, sway: 14 }, 9, 0.25),
    behind: [],
    before: [{ d: ellipse([14, 50], 6), fill: INK }],
  },
  grub: {
    strip: body({ from: [66, 76], degrees: 180, length: 96, bend: -270 }, 11, 0.3),
    behind: [],
    before: [{ d: ellipse([66, 76], 7), fill: INK }],
  },
  fly: {
    strip: body({ from: [24, 50], degrees: 0, length: 50 }, 7),
    behind: [...legs([34, 44], 50), wing(30), wing(70)],
    before: [HEAD],
  },
  hopper: {
    strip: bough({ from: [24, 50], degrees: 0, length: 60 }, 13, 2),
    behind: legs([40, 54], 50),
    before: [HEAD, seam(50)],
  },
};

/** An animal by its build; a bug where the plate names none. */
export function creature({ form = 'bug' }: Plate): Drawing {
  const { strip, behind, before } = BUILDS[form] ?? BUG;
  return { behind, pieces: [{ strip, colour: 'brown', main: true, veins: 'none' }], before };
}
