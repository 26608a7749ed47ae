import type { PlateMark } from '../../core/schema/plate.ts';
import { blob, near, patchOn, rimmed, swarm, SWARM, wander, type Drawn } from './pen.ts';
import { INK, PAPER, TINTS } from './shape.ts';
import { ellipse, lineAlong, outline, through } from './strip.ts';

/** How each kind of mark is drawn at one place. */
export const DRAWN: Readonly<Record<PlateMark['kind'], Drawn>> = {
  spots: (pen, spot) => [
    ...rimmed(pen, spot),
    { d: ellipse(spot.point, pen.radius), fill: pen.tint('brown') },
  ],
  rings: (pen, spot) => [
    ...rimmed(pen, spot),
    { d: ellipse(spot.point, pen.radius * 1.3), fill: pen.tint('brown'), stroke: INK, width: 0.6 },
    { d: ellipse(spot.point, pen.radius * 0.8), stroke: INK, width: 0.6 },
    { d: ellipse(spot.point, pen.radius * 0.35), stroke: INK, width: 0.6 },
  ],
  angular: (pen, spot) => [
    ...rimmed(pen, spot),
    { d: patchOn(pen.strip, spot, pen.radius * 1.4, pen.random, 4), fill: pen.tint('brown') },
  ],
  streaks: (pen, { t, s }) => [
    {
      d: lineAlong(pen.strip, s, [t - 0.1, t + 0.1]),
      stroke: pen.tint('brown'),
      width: pen.radius,
    },
  ],
  stipple: (pen, spot) =>
    swarm(pen, spot, 5, (at) => ({ d: ellipse(at, 0.6), fill: pen.tint('cream') })),
  patches: (pen, spot) => [
    { d: patchOn(pen.strip, spot, pen.radius * 1.8, pen.random), fill: pen.tint('yellow') },
  ],
  mines: (pen, spot) => [
    { d: wander(pen, spot, 0.3, 0.28), stroke: pen.tint('cream'), width: pen.radius * 0.9 },
  ],
  holes: (pen, { point }) => [
    { d: blob(point, pen.radius * 1.2, pen.random), fill: PAPER, stroke: INK, width: 0.5 },
  ],
  notches: (pen, { t, s }) => [
    { d: ellipse(pen.strip.at(t, s < 0 ? -1 : 1), pen.radius * 1.4), fill: PAPER },
  ],
  lace: (pen, { point }) => [
    { d: blob(point, 4, pen.random, 4), fill: PAPER },
    { d: blob(near(point, 7, pen.random), 3, pen.random, 4), fill: PAPER },
  ],
  powder: (pen, spot) => [
    {
      d: patchOn(pen.strip, spot, pen.radius * 2.4, pen.random),
      fill: pen.tint('white'),
      opacity: 0.7,
    },
    ...swarm(pen, spot, 6, (at) => ({
      d: ellipse(at, 0.8),
      fill: pen.tint('white'),
      opacity: 0.9,
    })),
  ],
  pustules: (pen, { point }) => [
    {
      d: ellipse(point, pen.radius, pen.radius * 0.75),
      fill: pen.tint('orange'),
      stroke: INK,
      width: 0.5,
    },
  ],
  webbing: (pen, { t, s }) =>
    [-0.14, -0.05, 0.05, 0.14].map((step) => ({
      d: through([pen.strip.at(t, s), pen.strip.at(t + step, -s * 0.6)], false),
      stroke: pen.tint('white'),
      width: 0.6,
    })),
  bumps: (pen, { point: [x, y] }) => [
    {
      d: ellipse([x, y], pen.radius * 1.3, pen.radius),
      fill: pen.tint('brown'),
      stroke: INK,
      width: 0.6,
    },
    {
      d: ellipse([x - pen.radius * 0.3, y - pen.radius * 0.35], pen.radius * 0.35),
      fill: TINTS.cream,
    },
  ],
  fluff: (pen, spot) =>
    swarm(pen, spot, pen.radius, (at) => ({
      d: ellipse(at, pen.radius * 0.8),
      fill: pen.tint('white'),
      stroke: TINTS.gray,
      width: 0.4,
    })),
  threads: (pen, spot) => [
    { d: wander(pen, spot, 0.35, 0.35), stroke: pen.tint('white'), width: 0.9 },
  ],
  drops: (pen, { point: [x, y] }) => {
    const r = pen.radius * 1.1;
    return [
      {
        d: `M${x.toFixed(1)} ${(y - 2 * r).toFixed(1)}l${r.toFixed(1)} ${(2 * r).toFixed(1)}a${r.toFixed(1)} ${r.toFixed(1)} 0 1 1 ${(-2 * r).toFixed(1)} 0Z`,
        fill: pen.tint('amber'),
        stroke: INK,
        width: 0.4,
      },
    ];
  },
  soot: (pen, spot) => [
    {
      d: patchOn(pen.strip, spot, pen.radius * 2.2, pen.random),
      fill: pen.tint('black'),
      opacity: 0.55,
    },
  ],
  galls: (pen, { point }) => [
    {
      d: blob(point, pen.radius * 2, pen.random, 12),
      fill: pen.tint('tan'),
      stroke: INK,
      width: 0.8,
    },
  ],
  cracks: (pen, { t, s }) => [
    {
      d: through(
        [-3, -2, -1, 0, 1, 2, 3].map((i) =>
          pen.strip.at(t + i * 0.05, s + (i % 2 === 0 ? 0.05 : -0.05)),
        ),
        false,
      ),
      stroke: pen.tint('black'),
      width: 1.4,
    },
  ],
  canker: (pen, { t, s }) => [
    {
      d: outline(pen.strip, [t - 0.14, t + 0.14], [s - 0.5, s + 0.4]),
      fill: pen.tint('black'),
      opacity: 0.75,
    },
    { d: outline(pen.strip, [t - 0.09, t + 0.09], [s - 0.3, s + 0.2]), fill: INK },
  ],
  insects: (pen, { point: [x, y] }) => [
    ...[-1, 0, 1].map((leg) => ({
      d: through(
        [
          [x + leg * pen.radius, y - pen.radius * 1.3],
          [x + leg * pen.radius, y + pen.radius * 1.3],
        ],
        false,
      ),
      stroke: INK,
      width: 0.4,
    })),
    {
      d: ellipse([x, y], pen.radius * 1.4, pen.radius * 0.8),
      fill: pen.tint('green'),
      stroke: INK,
      width: 0.4,
    },
  ],
  larvae: (pen, { point: [x, y] }) => [
    {
      d: `M${x.toFixed(1)} ${y.toFixed(1)}q${pen.radius * 2} ${-pen.radius * 2} ${pen.radius * 4} 0`,
      stroke: pen.tint('cream'),
      width: pen.radius * 1.3,
    },
    { d: ellipse([x, y], pen.radius * 0.7), fill: INK },
  ],
  eggs: (pen, { point: [x, y] }) =>
    [0, 1, 2, 3, 4].map((i) => ({
      d: ellipse([x + (i % 3) * 2.4, y + Math.floor(i / 3) * 2.6], 1, 1.3),
      fill: pen.tint('amber'),
      stroke: INK,
      width: 0.3,
    })),
  exits: (pen, { point: [x, y] }) => {
    const r = pen.radius * 1.2;
    const d =
      pen.mark.shape === 'd-shaped'
        ? `M${x.toFixed(1)} ${(y - r).toFixed(1)}a${r.toFixed(1)} ${r.toFixed(1)} 0 0 1 0 ${(2 * r).toFixed(1)}Z`
        : ellipse([x, y], r * (pen.mark.shape === 'oval' ? 1.7 : 1), r);
    return [{ d, fill: pen.tint('black') }];
  },
  frass: (pen, { point: [x, y] }) =>
    Array.from({ length: 3 * SWARM }, (_, i) => ({
      d: ellipse([x + (pen.random() - 0.5) * 12, y + (i / 15) * 8], 1),
      fill: pen.tint('tan'),
    })),
  crust: (pen, { point }) => [
    {
      d: blob(point, pen.radius * 2, pen.random, 14),
      fill: pen.tint('gray'),
      stroke: TINTS.white,
      width: 0.5,
    },
  ],
  bands: (pen, { t }) => [
    { d: outline(pen.strip, [t, Math.min(1, t + pen.radius * 0.022)]), fill: pen.tint('brown') },
  ],
  mushrooms: (pen, { point: [x, y] }) => [
    {
      d: through(
        [
          [x, y],
          [x, y + pen.radius * 2.6],
        ],
        false,
      ),
      stroke: TINTS.cream,
      width: pen.radius * 0.7,
    },
    {
      d: `M${(x - pen.radius * 1.8).toFixed(1)} ${y.toFixed(1)}a${(pen.radius * 1.8).toFixed(1)} ${(pen.radius * 1.5).toFixed(1)} 0 0 1 ${(pen.radius * 3.6).toFixed(1)} 0Z`,
      fill: pen.tint('tan'),
      stroke: INK,
      width: 0.5,
    },
  ],
  brackets: (pen, { t, s }) => {
    const [x, y] = pen.strip.at(t, s < 0 ? -0.9 : 0.9);
    return [
      {
        d: ellipse([x, y], pen.radius * 2.2, pen.radius),
        fill: pen.tint('tan'),
        stroke: INK,
        width: 0.6,
      },
      {
        d: ellipse([x, y + pen.radius * 0.5], pen.radius * 2, pen.radius * 0.4),
        fill: TINTS.white,
      },
    ];
  },
  tufts: (pen, { point: [x, y] }) =>
    [-60, -35, -12, 12, 35, 60].map((degrees) => {
      const angle = ((degrees - 90) * Math.PI) / 180;
      const length = pen.radius * 3.2;
      return {
        d: through(
          [
            [x, y],
            [x + length * Math.cos(angle), y + length * Math.sin(angle)],
          ],
          false,
        ),
        stroke: pen.tint('green'),
        width: 1.1,
      };
    }),
  slime: (pen, spot) => [
    { d: wander(pen, spot, 0.45, 0.4), stroke: pen.tint('silver'), width: 2.4, opacity: 0.85 },
  ],
  bags: (pen, { point: [x, y] }) => [
    {
      d: through(
        [
          [x, y - 4],
          [x, y],
        ],
        false,
      ),
      stroke: INK,
      width: 0.7,
    },
    {
      d: ellipse([x, y + pen.radius * 2.4], pen.radius * 1.1, pen.radius * 2.4),
      fill: pen.tint('brown'),
      stroke: INK,
      width: 0.6,
    },
  ],
  horns: (pen, { point: [x, y] }) =>
    [-2, 0, 2].map((step) => ({
      d: through(
        [
          [x + step, y],
          [x + step * 1.5, y + 5],
        ],
        false,
      ),
      stroke: pen.tint('tan'),
      width: 1.1,
    })),
  circling: (pen) =>
    [0, 1, 2, 3].map((i) => ({
      d: ellipse([50, 50 + i * 10], 32, 7),
      stroke: pen.tint('cream'),
      width: 2,
    })),
  gnawed: (pen, { t, s }) => [
    { d: outline(pen.strip, [t - 0.1, t + 0.1], [s - 0.5, s + 0.5]), fill: pen.tint('cream') },
    ...[-0.06, -0.02, 0.02, 0.06].map((step) => ({
      d: through([pen.strip.at(t + step, s - 0.45), pen.strip.at(t + step, s + 0.45)], false),
      stroke: INK,
      width: 0.5,
    })),
  ],
};
