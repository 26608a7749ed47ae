import type { Plate } from '../../core/schema/plate.ts';
import { line, type Drawing, type Piece } from './drawing.ts';
import { body, bough } from './strip.ts';
import { SOIL, type Shape } from './shape.ts';

/** A stem, cane or twig. */
export function stem({ form }: Plate): Drawing {
  const bend = form === 'broken' ? -80 : form === 'wilted' ? -60 : 0;
  const main = bough({ from: [50, 97], degrees: 90, length: 90, bend }, 8, 5.5);
  const side = (y: number, degrees: number): Piece => ({
    strip: bough({ from: [50, y], degrees, length: 30 }, 3.4, 2),
    colour: 'olive',
    main: false,
    veins: 'none',
  });
  return {
    behind: [],
    pieces: [
      side(58, 40),
      side(70, 140),
      { strip: main, colour: 'olive', main: true, veins: 'none' },
    ],
    before: [],
  };
}

const GROUND: Shape = { d: 'M2 92H98V99H2Z', fill: SOIL };

/** The foot of a trunk. */
export function trunk(): Drawing {
  const main = bough({ from: [50, 94], degrees: 90, length: 92 }, 25, 20);
  return {
    behind: [GROUND],
    pieces: [{ strip: main, colour: 'brown', main: true, veins: 'bark' }],
    before: [],
  };
}

/** A whole tree with its crown. */
export function tree({ form }: Plate): Drawing {
  const bole = bough({ from: [50, 94], degrees: 90, length: 50 }, 5, 3);
  const crown = body(
    { from: [50, 70], degrees: 90, length: 66, bend: form === 'wilted' ? -50 : 0 },
    32,
  );
  const branch = (y: number, x: number): Shape =>
    line(
      [
        [50, y],
        [x, y - 18],
      ],
      1.6,
    );
  return {
    behind: [GROUND],
    pieces: [
      { strip: bole, colour: 'brown', main: false, veins: 'none' },
      { strip: crown, colour: 'green', main: true, veins: 'none' },
    ],
    before: [
      branch(58, 68),
      branch(54, 34),
      line(
        [
          [50, 66],
          [50, 16],
        ],
        1.6,
      ),
    ],
  };
}
