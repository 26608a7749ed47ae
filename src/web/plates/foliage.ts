import type { Plate } from '../../core/schema/plate.ts';
import { line, type Drawing, type Piece } from './drawing.ts';
import { blade, bough } from './strip.ts';

/** A single leaf. */
export function leaf({ form }: Plate): Drawing {
  const strip = blade({ from: [50, 88], degrees: 90, length: 80 }, 28, form);
  return {
    behind: [
      line(
        [
          [50, 98],
          [50, 86],
        ],
        2.4,
      ),
    ],
    pieces: [{ strip, colour: 'green', main: true, veins: 'net' }],
    before: [],
  };
}

/** A shoot with leaves, old ones below. */
export function shoot({ form }: Plate): Drawing {
  const stalk = bough({ from: [50, 98], degrees: 90, length: 84 }, 2.2, 1.2);
  const leafAt = (y: number, right: boolean, length: number, age?: 'lower' | 'upper'): Piece => ({
    strip: blade(
      { from: [50, y], degrees: right ? 28 : 152, length },
      length / 4,
      age === 'lower' && (form === 'twisted' || form === 'cupped') ? undefined : form,
    ),
    colour: 'green',
    main: true,
    veins: 'rib',
    ...(age && { age }),
  });
  return {
    behind: [],
    pieces: [
      { strip: stalk, colour: 'dark-green', main: false, veins: 'none' },
      leafAt(88, true, 40, 'lower'),
      leafAt(82, false, 40, 'lower'),
      leafAt(62, true, 34),
      leafAt(56, false, 34),
      leafAt(36, true, 26, 'upper'),
      leafAt(30, false, 26, 'upper'),
    ],
    before: [],
  };
}

const NEEDLES = 13;

/** A twig of a conifer. */
export function needles({ form }: Plate): Drawing {
  const twig = bough({ from: [50, 98], degrees: 90, length: 82 }, 2.6, 1.4);
  const pieces = Array.from({ length: NEEDLES }, (_, i): readonly Piece[] => {
    const y = 94 - (i * 76) / NEEDLES;
    const age = i < 4 ? 'lower' : i > 8 ? 'upper' : null;
    const one = (degrees: number): Piece => ({
      strip: blade({ from: [50, y], degrees, length: 34 }, 1.9, form),
      colour: 'green',
      main: true,
      veins: 'none',
      ...(age && { age }),
    });
    return [one(38), one(142)];
  });
  return {
    behind: [],
    pieces: [...pieces.flat(), { strip: twig, colour: 'tan', main: false, veins: 'none' }],
    before: [],
  };
}

/** Needles in their bundle, by twos, threes or fives. */
export function bundle({ form }: Plate): Drawing {
  const spread = form === 'twos' ? [-9, 9] : form === 'fives' ? [-18, -9, 0, 9, 18] : [0];
  return {
    behind: [],
    pieces: [
      ...spread.map((lean): Piece => ({
        strip: blade({ from: [50, 92], degrees: 90 - lean, length: 84 }, 2.4),
        colour: 'green',
        main: true,
        veins: 'none',
      })),
      {
        strip: bough({ from: [50, 98], degrees: 90, length: 16 }, 3.4, 2.8),
        colour: 'brown',
        main: false,
        veins: 'none',
      },
    ],
    before: [],
  };
}
