import type { PlateColour } from '../../core/schema/plate.ts';
import { through, type Point, type Strip } from './strip.ts';
import { SHADE, type Shape } from './shape.ts';

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

/** A line through points. */
export const line = (points: readonly Point[], width = 1.4, stroke: string = SHADE): Shape => ({
  d: through(points, false),
  stroke,
  width,
});
