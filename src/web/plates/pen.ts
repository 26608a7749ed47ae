import type { PlateColour, PlateMark, PlatePlace } from '../../core/schema/plate.ts';
import { TINTS, type Shape } from './shape.ts';
import { ellipse, through, type Point, type Strip } from './strip.ts';

/** Dots of a kind that comes in swarms, for each mark. */
export const SWARM = 5;

/** A place on a strip: share of the length and place across. */
export interface Spot {
  readonly t: number;
  readonly s: number;
  readonly point: Point;
}

export interface Pen {
  readonly strip: Strip;
  readonly mark: PlateMark;
  readonly random: () => number;
  readonly radius: number;
  readonly tint: (otherwise: PlateColour) => string;
}

/** Ranges of length and of distance from the midrib for each place. */
const RANGES: Readonly<Record<PlatePlace, readonly [Point, Point]>> = {
  'all-over': [
    [0.12, 0.88],
    [0, 0.78],
  ],
  'at-edge': [
    [0.15, 0.85],
    [0.86, 1],
  ],
  'on-veins': [
    [0.12, 0.85],
    [0, 0.05],
  ],
  'between-veins': [
    [0.18, 0.82],
    [0.25, 0.7],
  ],
  'at-tip': [
    [0.76, 0.95],
    [0, 0.7],
  ],
  'at-base': [
    [0.03, 0.2],
    [0, 0.8],
  ],
  'on-side': [
    [0.2, 0.8],
    [0.3, 0.8],
  ],
  'in-middle': [
    [0.38, 0.62],
    [0, 0.4],
  ],
};

export function spotsOf({ strip, mark, random }: Pen, count: number): readonly Spot[] {
  const [[fromT, toT], [fromS, toS]] = RANGES[mark.place];
  return Array.from({ length: count }, (_, i) => {
    // Spread along the strip, so that a few marks do not fall on one heap.
    const t = fromT + (toT - fromT) * ((i + random()) / count);
    const side = mark.place === 'on-side' || random() < 0.5 ? 1 : -1;
    const s = side * (fromS + (toS - fromS) * random());
    return { t, s, point: strip.at(t, s) };
  });
}

export function blob([x, y]: Point, radius: number, random: () => number, corners = 9): string {
  const points = Array.from({ length: corners }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / corners;
    const r = radius * (0.7 + 0.5 * random());
    return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
  });
  return through(points, true);
}

/** A blob on a strip that does not reach over its edge. */
export function patchOn(
  strip: Strip,
  { t, s, point }: Spot,
  radius: number,
  random: () => number,
  corners = 12,
): string {
  const away = ([x, y]: Point): number => Math.max(1, Math.hypot(x - point[0], y - point[1]));
  const alongHalf = Math.max(away(strip.at(t + 0.1, s)), away(strip.at(t - 0.1, s))) / 0.1;
  const across = Math.max(away(strip.at(t, s + 0.2)), away(strip.at(t, s - 0.2))) / 0.2;
  const points = Array.from({ length: corners }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / corners;
    const r = radius * (0.75 + 0.45 * random());
    const clamped = Math.max(-1, Math.min(1, s + (r / across) * Math.sin(angle)));
    return strip.at(Math.max(0, Math.min(1, t + (r / alongHalf) * Math.cos(angle))), clamped);
  });
  return through(points, true);
}

export const near = ([x, y]: Point, reach: number, random: () => number): Point => [
  x + (random() - 0.5) * 2 * reach,
  y + (random() - 0.5) * 2 * reach,
];

export const swarm = (
  { random }: Pen,
  { point }: Spot,
  reach: number,
  dot: (at: Point) => Shape,
): Shape[] => Array.from({ length: SWARM }, () => dot(near(point, reach, random)));

/** A wavy line that starts at a spot and runs along the strip. */
export function wander(
  { strip, random }: Pen,
  { t, s }: Spot,
  length: number,
  sway: number,
): string {
  const points = Array.from({ length: 12 }, (_, i) =>
    strip.at(
      t + (length * i) / 12,
      Math.max(-1, Math.min(1, s + sway * Math.sin(i * 1.7 + random()))),
    ),
  );
  return through(points, false);
}

export type Drawn = (pen: Pen, spot: Spot) => readonly Shape[];

export const rimmed = ({ mark, radius }: Pen, { point }: Spot): Shape[] =>
  mark.rim ? [{ d: ellipse(point, radius * 1.7), fill: TINTS[mark.rim] }] : [];
