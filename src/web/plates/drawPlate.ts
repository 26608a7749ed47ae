import type { Plate, PlateColour, PlateMark, PlateRegion } from '../../core/schema/plate.ts';
import type { Piece } from './drawing.ts';
import { figureOf } from './figures.ts';
import { drawMark } from './marks.ts';
import { INK, SHADE, TINTS, type Shape } from './shape.ts';
import { lineAlong, outline, through } from './strip.ts';

const LATERALS = [0.2, 0.34, 0.48, 0.62, 0.76] as const;

function veins({ strip, veins: kind }: Piece, stroke: string, strong: boolean): readonly Shape[] {
  const width = strong ? 1.5 : 0.8;
  switch (kind) {
    case 'none':
      return [];
    case 'rib':
      return [{ d: lineAlong(strip, 0, [0, 0.96]), stroke, width }];
    case 'bark':
      return [-0.75, -0.4, -0.1, 0.25, 0.6].map((s, i) => ({
        d: lineAlong(strip, s, [0.05 + 0.04 * (i % 3), 0.9 - 0.05 * (i % 2)]),
        stroke,
        width: 0.7,
      }));
    case 'net':
      return [
        { d: lineAlong(strip, 0, [0, 0.97]), stroke, width: width * 1.4 },
        ...LATERALS.flatMap((t) =>
          [-1, 1].map((side) => ({
            d: through(
              [0, 0.3, 0.6, 0.86].map((s) => strip.at(t + 0.12 * s, side * s)),
              false,
            ),
            stroke,
            width,
          })),
        ),
      ];
  }
}

/** The part of a strip that a region covers, drawn over its tissue. */
function region({ strip }: Piece, name: PlateRegion, fill: string): readonly Shape[] {
  switch (name) {
    case 'tip':
      return [{ d: outline(strip, [0.7, 1]), fill }];
    case 'base':
      return [{ d: outline(strip, [0, 0.28]), fill }];
    case 'half':
      return [{ d: outline(strip, [0, 1], [0, 1]), fill }];
    case 'centre':
      return [{ d: outline(strip, [0.3, 0.7], [-0.45, 0.45]), fill }];
    case 'edge':
      return [-1, 1].map((side) => ({ d: outline(strip, [0, 1], [side * 0.74, side]), fill }));
    case 'veins':
    case 'lower':
    case 'upper':
      return [];
  }
}

function tissueOf(plate: Plate, { age, colour, main }: Piece): PlateColour {
  if (!main) return colour;
  const own = age && plate.regions.find((one) => one.region === age)?.colour;
  return own ?? plate.colour ?? colour;
}

function drawPiece(plate: Plate, piece: Piece): readonly Shape[] {
  const tissue = TINTS[tissueOf(plate, piece)];
  const veinColour = piece.main
    ? plate.regions.find((one) => one.region === 'veins')?.colour
    : undefined;
  return [
    { d: outline(piece.strip), fill: tissue, stroke: INK, width: 0.7 },
    ...(piece.main && !piece.plain
      ? plate.regions.flatMap((one) => region(piece, one.region, TINTS[one.colour]))
      : []),
    ...veins(piece, veinColour ? TINTS[veinColour] : SHADE, veinColour !== undefined),
  ];
}

/** The pieces that carry a mark: a rare one goes to some only, and what lies in a lawn lies in its field. */
function bearersOf(main: readonly Piece[], { amount, place }: PlateMark): readonly Piece[] {
  const field = main.filter(({ plain }) => plain);
  if (field.length > 0 && place !== 'at-tip') return field;
  return amount === 'one' ? main.slice(-1) : amount === 'few' ? main.slice(-3) : main;
}

/**
 * Draws a plate in a square of 100 by 100: the figure in its form and colours, then its marks, spread over its
 * main pieces. Deterministic.
 */
export function drawPlate(plate: Plate): readonly Shape[] {
  const { behind, pieces, before } = figureOf(plate);
  const main = pieces.filter((piece) => piece.main);
  const marks = plate.marks.flatMap((mark, m) => {
    const bearers = bearersOf(main, mark);
    return bearers.flatMap(({ strip }, i) =>
      drawMark(strip, mark, 101 * (m + 1) + i, 1 / bearers.length),
    );
  });
  return [...behind, ...pieces.flatMap((piece) => drawPiece(plate, piece)), ...before, ...marks];
}
