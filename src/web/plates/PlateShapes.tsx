import type { Shape } from './shape.ts';

/** The paths of a plate, to stand inside an SVG of 100 by 100. */
export function PlateShapes({ shapes }: { readonly shapes: readonly Shape[] }) {
  return shapes.map(({ d, fill, stroke, width, opacity }, i) => (
    <path
      key={i}
      d={d}
      fill={fill ?? 'none'}
      stroke={stroke ?? 'none'}
      strokeWidth={width}
      strokeLinecap="round"
      strokeLinejoin="round"
      opacity={opacity}
    />
  ));
}
