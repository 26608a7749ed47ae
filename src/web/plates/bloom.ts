import type { Plate } from '../../core/schema/plate.ts';
import { line, type Drawing, type Piece } from './drawing.ts';
import { blade, body, bough, type Point } from './strip.ts';

const PETALS = 6;

/** An open flower on its stalk. */
export function flower({ form, regions }: Plate): Drawing {
  const stalk = bough(
    { from: [50, 99], degrees: 90, length: 50, bend: form === 'broken' ? -90 : 0 },
    1.8,
    1.6,
  );
  const centre = regions.find(({ region }) => region === 'centre')?.colour ?? 'yellow';
  const petals = Array.from({ length: PETALS }, (_, i): Piece => ({
    strip: blade({ from: [50, 42], degrees: 90 + (360 * i) / PETALS, length: 36 }, 12, form),
    colour: 'pink',
    main: true,
    veins: 'none',
  }));
  const disc = body({ from: [50, 50], degrees: 90, length: 16 }, 8);
  return {
    behind: [],
    pieces: [
      { strip: stalk, colour: 'dark-green', main: false, veins: 'none' },
      ...petals,
      { strip: disc, colour: centre, main: false, veins: 'none' },
    ],
    before: [],
  };
}

/** A fruit in its form. */
export function fruit({ form }: Plate): Drawing {
  const wide = form === 'narrow' ? 20 : form === 'puckered' ? 30 : 35;
  const from: Point = [50, 92];
  const axis = {
    from,
    degrees: 90,
    length: 72,
    bend: form === 'twisted' ? 40 : 0,
  };
  return {
    behind: [
      line(
        [
          [50, 24],
          [52, 8],
        ],
        2.4,
      ),
    ],
    pieces: [
      { strip: body(axis, wide), colour: 'red', main: true, veins: 'none' },
      {
        strip: blade({ from: [52, 12], degrees: 20, length: 26 }, 6),
        colour: 'green',
        main: false,
        veins: 'rib',
      },
    ],
    before: [],
  };
}
