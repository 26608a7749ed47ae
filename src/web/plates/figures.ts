import type { Plate, PlateColour, PlateForm } from '../../core/knowledge/schema/plate.ts';
import { blade, body, bough, ellipse, through, type Point, type Strip } from './strip.ts';
import { INK, SHADE, SOIL, type Shape } from './shape.ts';

/** A strip of a figure with its colour when nothing is wrong. */
export interface Piece {
  readonly strip: Strip;
  readonly colour: PlateColour;
  /** Takes the colours of the plate and carries its marks. */
  readonly main: boolean;
  /** Carries marks and the tissue colour, but no colours of regions. */
  readonly plain?: true;
  /** Old or new growth, for the regions `lower` and `upper`. */
  readonly age?: 'lower' | 'upper';
  readonly veins: 'net' | 'bark' | 'rib' | 'none';
}

/** A figure: what lies behind, its pieces from the back forward, and what lies in front. */
export interface Drawing {
  readonly behind: readonly Shape[];
  readonly pieces: readonly Piece[];
  readonly before: readonly Shape[];
}

const line = (points: readonly Point[], width = 1.4, stroke: string = SHADE): Shape => ({
  d: through(points, false),
  stroke,
  width,
});

function leaf({ form }: Plate): Drawing {
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

function shoot({ form }: Plate): Drawing {
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

function needles({ form }: Plate): Drawing {
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

function bundle({ form }: Plate): Drawing {
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

function stem({ form }: Plate): Drawing {
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

function trunk(): Drawing {
  const main = bough({ from: [50, 94], degrees: 90, length: 92 }, 25, 20);
  return {
    behind: [GROUND],
    pieces: [{ strip: main, colour: 'brown', main: true, veins: 'bark' }],
    before: [],
  };
}

function tree({ form }: Plate): Drawing {
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

const PETALS = 6;

function flower({ form, regions }: Plate): Drawing {
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

function fruit({ form }: Plate): Drawing {
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

function root({ form }: Plate): Drawing {
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

function bulb(): Drawing {
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

function turf({ form }: Plate): Drawing {
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

function ground(): Drawing {
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

function creature({ form = 'bug' }: Plate): Drawing {
  const { strip, behind, before } = BUILDS[form] ?? BUG;
  return { behind, pieces: [{ strip, colour: 'brown', main: true, veins: 'none' }], before };
}

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
