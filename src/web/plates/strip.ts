import type { PlateForm } from '../../core/schema/plate.ts';

/** A place on a plate, in a square of 100 by 100, y downward. */
export type Point = readonly [number, number];

/**
 * A piece of a plant as a strip: `at(t, s)` is the place at the share `t` of its length and `s` across it,
 * from -1 at one edge by 0 on the midrib to 1 at the other.
 */
export interface Strip {
  readonly at: (t: number, s: number) => Point;
}

interface Axis {
  readonly from: Point;
  /** Direction at the foot, in degrees: 0 to the right, 90 upward. */
  readonly degrees: number;
  readonly length: number;
  /** Degrees by which it has turned at its end. */
  readonly bend?: number;
  /** Degrees by which it sways to and fro. */
  readonly sway?: number;
}

const STEPS = 40;

/** Points of an axis and its direction at each, by small steps. */
function walk({
  from,
  degrees,
  length,
  bend = 0,
  sway = 0,
}: Axis): readonly (readonly [Point, number])[] {
  let [x, y] = from;
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const t = i / STEPS;
    const angle = ((degrees + bend * t * t + sway * Math.sin(3 * Math.PI * t)) * Math.PI) / 180;
    const here: Point = [x, y];
    x += (length / STEPS) * Math.cos(angle);
    y -= (length / STEPS) * Math.sin(angle);
    return [here, angle] as const;
  });
}

/** A strip along an axis with the half width that `profile` gives, in units of the plate. */
export function strip(axis: Axis, profile: (t: number, s: number) => number): Strip {
  const path = walk(axis);
  return {
    at: (t, s) => {
      const place = Math.min(1, Math.max(0, t)) * STEPS;
      const [[x, y], angle] = path[Math.floor(place)] ?? [axis.from, 0];
      const [[nextX, nextY]] = path[Math.ceil(place)] ?? [axis.from];
      const rest = place - Math.floor(place);
      const half = s * profile(t, s);
      return [
        x + rest * (nextX - x) + half * Math.sin(angle),
        y + rest * (nextY - y) + half * Math.cos(angle),
      ];
    },
  };
}

const oval = (t: number): number => Math.sin(Math.PI * Math.min(1, Math.max(0, t)) ** 0.8) ** 0.85;

/** How wide a blade of each form is by its width when flat, and how it bends. */
const BLADES: Partial<
  Record<PlateForm, { width?: (t: number, s: number) => number; bend?: number; sway?: number }>
> = {
  curled: { width: (t, s) => (s > 0 ? 0.45 : 0.8) * (1 + 0.08 * Math.sin(22 * t)), bend: 40 },
  cupped: { width: (t) => 0.8 - 0.25 * t, bend: -35 },
  rolled: { width: () => 0.32, bend: 25 },
  twisted: { width: (t) => 0.5 + 0.2 * Math.cos(9 * t), sway: 32 },
  narrow: { width: () => 0.22, sway: 5 },
  blade: { width: () => 0.42, sway: 4 },
  puckered: { width: (t) => 0.85 + 0.16 * Math.sin(34 * t), sway: 6 },
  wilted: { width: () => 0.7, bend: -120 },
  lobed: { width: (t) => 0.72 + 0.3 * Math.cos(7 * Math.PI * t) },
  torn: { width: (t) => (t > 0.72 ? 0.8 + 0.5 * Math.sin(90 * t) : 1) },
  folded: { width: (_, s) => (s > 0 ? 0.12 : 0.9) },
  broken: { width: () => 0.8, bend: -90 },
};

/** A leaf, petal or needle: pointed at both ends, of a form. */
export function blade(axis: Axis, halfWidth: number, form?: PlateForm): Strip {
  const { width = () => 1, bend = 0, sway = 0 } = (form && BLADES[form]) ?? {};
  // A leaf that leans to the left droops to the left.
  const side = Math.cos((axis.degrees * Math.PI) / 180) < -0.01 ? -1 : 1;
  return strip({ bend: side * bend, sway, ...axis }, (t, s) => halfWidth * oval(t) * width(t, s));
}

/** A piece of stem, trunk or root that narrows from its foot to its end. */
export function bough(axis: Axis, halfFoot: number, halfEnd: number): Strip {
  return strip(axis, (t) => halfFoot + (halfEnd - halfFoot) * t);
}

/** A rounded body: a fruit, a bulb, a crown, an insect. */
export function body(axis: Axis, halfWidth: number, roundness = 0.5): Strip {
  return strip(axis, (t) => halfWidth * Math.max(0, 4 * t * (1 - t)) ** roundness);
}

const n = (value: number): string => value.toFixed(1);
const pair = ([x, y]: Point): string => `${n(x)} ${n(y)}`;

/** An SVG path through points. */
export function through(points: readonly Point[], closed: boolean): string {
  return `M${points.map(pair).join('L')}${closed ? 'Z' : ''}`;
}

/** An ellipse as an SVG path. */
export function ellipse([x, y]: Point, rx: number, ry = rx): string {
  return `M${n(x - rx)} ${n(y)}a${n(rx)} ${n(ry)} 0 1 0 ${n(2 * rx)} 0a${n(rx)} ${n(ry)} 0 1 0 ${n(-2 * rx)} 0Z`;
}

/** Outline of the part of a strip between two shares of its length and two places across. */
export function outline(
  { at }: Strip,
  [fromT, toT]: Point = [0, 1],
  [fromS, toS]: Point = [-1, 1],
): string {
  const steps = Array.from({ length: STEPS + 1 }, (_, i) => fromT + ((toT - fromT) * i) / STEPS);
  const out = steps.map((t) => at(t, fromS));
  const back = [...steps].reverse().map((t) => at(t, toS));
  return through([...out, ...back], true);
}

/** A line along a strip. */
export function lineAlong({ at }: Strip, s: number, [fromT, toT]: Point = [0, 1]): string {
  const points = Array.from({ length: 13 }, (_, i) => at(fromT + ((toT - fromT) * i) / 12, s));
  return through(points, false);
}
