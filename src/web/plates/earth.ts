import type { Plate } from '../../core/schema/plate.ts';
import { line, type Drawing, type Piece } from './drawing.ts';
import { blade, body, bough } from './strip.ts';
import { INK, SOIL } from './shape.ts';

/** Roots below the ground. */
export function root({ form }: Plate): Drawing {
  const one = (degrees: number, length: number, foot: number): Piece => ({
    strip: bough(
      { from: [50, 30], degrees, length, ...(form === 'twisted' && { sway: 40 }) },
      foot,
      0.8,
    ),
    colour: 'cream',
    main: true,
    veins: 'none',
  });
  const short = form === 'broken' ? 0.4 : 1;
  return {
    behind: [{ d: 'M2 28H98V99H2Z', fill: SOIL }],
    pieces: [
      one(-160, 42 * short, 2.2),
      one(-20, 42 * short, 2.2),
      one(-125, 58 * short, 3),
      one(-55, 58 * short, 3),
      one(-90, 66 * short, 5),
      {
        strip: bough({ from: [50, 32], degrees: 90, length: 28 }, 4, 3),
        colour: 'olive',
        main: false,
        veins: 'none',
      },
    ],
    before: [],
  };
}

/** A bulb. */
export function bulb(): Drawing {
  const leaves = [75, 90, 105].map((degrees): Piece => ({
    strip: blade({ from: [50, 42], degrees, length: 38 }, 4),
    colour: 'green',
    main: false,
    veins: 'none',
  }));
  const roots = [38, 44, 50, 56, 62].map((x) =>
    line(
      [
        [x, 84],
        [x + (x - 50) * 0.4, 97],
      ],
      1,
      INK,
    ),
  );
  return {
    behind: roots,
    pieces: [
      ...leaves,
      {
        strip: body({ from: [50, 88], degrees: 90, length: 54 }, 26, 0.6),
        colour: 'tan',
        main: true,
        veins: 'rib',
      },
    ],
    before: [],
  };
}

/** A piece of lawn. */
export function turf({ form }: Plate): Drawing {
  const field = bough({ from: [50, 96], degrees: 90, length: 62 }, 46, 36);
  const back = Array.from({ length: 15 }, (_, i): Piece => ({
    strip: blade(
      { from: [16 + i * 4.8, 44], degrees: 90 + ((i * 37) % 23) - 11, length: 26 + ((i * 13) % 9) },
      1.7,
      form,
    ),
    colour: 'green',
    main: true,
    veins: 'none',
  }));
  return {
    behind: [],
    pieces: [...back, { strip: field, colour: 'green', main: true, plain: true, veins: 'none' }],
    before: [],
  };
}

/** Soil with a young plant. */
export function ground(): Drawing {
  const soil = bough({ from: [50, 97], degrees: 90, length: 44 }, 47, 47);
  const stalk: Piece = {
    strip: bough({ from: [24, 56], degrees: 90, length: 40 }, 1.5, 1),
    colour: 'dark-green',
    main: false,
    veins: 'none',
  };
  const leaves = [30, 150].map((degrees, i): Piece => ({
    strip: blade({ from: [24, 40 - i * 8], degrees, length: 20 }, 5),
    colour: 'green',
    main: false,
    veins: 'rib',
  }));
  return {
    behind: [],
    pieces: [{ strip: soil, colour: 'brown', main: true, veins: 'none' }, stalk, ...leaves],
    before: [],
  };
}
