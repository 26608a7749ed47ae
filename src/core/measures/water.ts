import { LITRES_IN_GALLON, METRES_IN_INCH } from '../util/units.ts';
import { between, calculator, choice, exactly, number } from './calculator.ts';

const MINUTES_IN_HOUR = 60;
const DAYS_IN_WEEK = 7;

/** Gallons for each inch of trunk, and the least. Source: University of Minnesota Extension, Watering newly planted trees and shrubs (recalled). */
const GALLONS_AN_INCH = { from: 1, to: 1.5 } as const;
/** Days between waterings by the weeks since planting. Same source. */
const AFTER_PLANTING = [
  { untilWeek: 2, from: 1, to: 1 },
  { untilWeek: 12, from: 2, to: 3 },
  { untilWeek: Infinity, from: 7, to: 7 },
] as const;

/** Litres each time for a newly planted tree of a trunk in metres: a gallon to a gallon and a half for each inch, a gallon at least. */
export function newTreeLitres(trunkMetres: number): { from: number; to: number } {
  const inches = Math.max(1, trunkMetres / METRES_IN_INCH);
  return {
    from: inches * GALLONS_AN_INCH.from * LITRES_IN_GALLON,
    to: inches * GALLONS_AN_INCH.to * LITRES_IN_GALLON,
  };
}

/** Days between waterings of a newly planted tree, by the weeks since planting. */
export function newTreeDays(weeks: number): { from: number; to: number } {
  const { from, to } =
    AFTER_PLANTING.find(({ untilWeek }) => weeks < untilWeek) ?? AFTER_PLANTING[2];
  return { from, to };
}

/** Water for a newly planted tree: trunk in metres and weeks since planting; litres each time, days between; rejects values out of range. */
export const newTree = calculator(
  'new-tree',
  { trunk: number('length', 0.005, 0.3), since: number('weeks', 0, 156) },
  ({ trunk, since }) => {
    const litres = newTreeLitres(trunk);
    const days = newTreeDays(since);
    return [
      between('each-time', litres.from, litres.to, 'volume'),
      between('every', days.from, days.to, 'days'),
    ];
  },
);

/** A root zone is soaked to its depth by about so much water, in millimetres (common practice: 1 in wets 15 to 30 cm by texture). */
const SOAKS = { sand: 30, loam: 20, clay: 15 } as const;
const TEXTURES = ['sand', 'loam', 'clay'] as const;

/** Millimetres of water that wet a soil to a depth in centimetres: the texture gives how many centimetres 25 mm wet. */
export function waterToDepth(centimetres: number, texture: keyof typeof SOAKS): number {
  return (25 * centimetres) / SOAKS[texture];
}

/** Soaking a grown tree: crown and depth in metres; millimetres of water, litres in all; rejects values out of range. */
export const grownTree = calculator(
  'grown-tree',
  {
    spread: number('length', 0.5, 30),
    depth: number('length', 0.1, 1),
    texture: choice(...TEXTURES),
  },
  ({ spread, depth, texture }) => {
    const millimetres = waterToDepth(100 * depth, texture);
    const area = Math.PI * (spread / 2) ** 2;
    return [
      exactly('water', millimetres, 'water'),
      exactly('in-all', millimetres * area, 'volume'),
    ];
  },
);

/** Water for a lawn or bed: square metres, millimetres of need and of rain; litres; rejects values out of range. */
export const bedWater = calculator(
  'bed-water',
  {
    area: number('area', 0.1, 20000),
    need: number('water', 5, 100),
    rain: number('water', 0, 300),
  },
  ({ area, need, rain }) => {
    const missing = Math.max(0, need - rain);
    return [exactly('missing', missing, 'water'), exactly('in-all', missing * area, 'volume')];
  },
);

/** A pot is a little narrower below, so that it holds about so much of the cylinder of its rim. */
const OF_CYLINDER = 0.8;
/** What is poured on to wet a pot right through, as a part of its volume (common practice: until it runs out below). */
const POURED = { from: 0.2, to: 0.3 } as const;

/** Litres that a pot of a width in metres holds, as high as wide. */
export function potLitres(width: number): number {
  return 1000 * OF_CYLINDER * Math.PI * (width / 2) ** 2 * width;
}

/** Water for a pot of a width in metres: litres; rejects values out of range. */
export const potWater = calculator(
  'pot-water',
  { width: number('length', 0.05, 1.5) },
  ({ width }) => {
    const litres = potLitres(width);
    return [
      exactly('holds', litres, 'volume'),
      between('each-time', litres * POURED.from, litres * POURED.to, 'volume'),
    ];
  },
);

/** Days between waterings of a succulent for each inch of pot width, in winter (common practice). */
const SUCCULENT_DAYS_AN_INCH = { from: 7, to: 10 } as const;
/** In growth the pot dries about twice as fast; our own estimate. */
const SUMMER_SHARE = 0.5;

/** Days between waterings of a succulent in a pot of a width in metres. */
export function succulentDays(
  width: number,
  season: 'winter' | 'summer',
): { from: number; to: number } {
  const share = season === 'winter' ? 1 : SUMMER_SHARE;
  const inches = width / METRES_IN_INCH;
  return {
    from: share * inches * SUCCULENT_DAYS_AN_INCH.from,
    to: share * inches * SUCCULENT_DAYS_AN_INCH.to,
  };
}

/** Days between waterings of a succulent, by the width of its pot in metres; rejects values out of range. */
export const succulent = calculator(
  'succulent',
  { width: number('length', 0.03, 0.6), season: choice('winter', 'summer') },
  ({ width, season }) => {
    const { from, to } = succulentDays(width, season);
    return [between('every', from, to, 'days')];
  },
);

/** Minutes that a sprinkler runs, by the millimetres that tins caught; rejects values out of range. */
export const sprinkler = calculator(
  'sprinkler',
  {
    caught: number('water', 0.5, 100),
    minutes: number('minutes', 1, 600),
    wanted: number('water', 1, 100),
    days: number('count', 1, 7),
  },
  ({ caught, minutes, wanted, days }) => {
    const total = (wanted * minutes) / caught;
    return [
      exactly('rate', (caught * MINUTES_IN_HOUR) / minutes, 'water'),
      exactly('run-a-week', total, 'minutes'),
      exactly('run-each-time', total / days, 'minutes'),
    ];
  },
);

/** Minutes that a drip line runs: litres an hour of one dripper, litres wanted; rejects values out of range. */
export const drip = calculator(
  'drip',
  {
    flow: number('flow', 0.5, 100),
    drippers: number('count', 1, 500),
    wanted: number('volume', 0.5, 20000),
  },
  ({ flow, drippers, wanted }) => [
    exactly('run', (wanted * MINUTES_IN_HOUR) / (flow * drippers), 'minutes'),
  ],
);

/**
 * Share of the water that must run through so that salt does not build up: EC of the water / (5 x EC that the crop bears
 * - EC of the water). Source: Ayers and Westcot, Water Quality for Agriculture, FAO 29 (1985), equation 9 (recalled).
 */
export function leachingShare(water: number, bears: number): number {
  return water / (5 * bears - water);
}

/** Water against salt: decisiemens a metre, millimetres; fails where the water is too salty for the plant; rejects values out of range. */
export const leaching = calculator(
  'leaching',
  {
    water: number('salinity', 0.05, 10),
    bears: number('salinity', 0.5, 16),
    need: number('water', 5, 300),
  },
  ({ water, bears, need }) => {
    const share = leachingShare(water, bears);
    if (share <= 0 || share >= 0.6) return { code: 'not-less', input: 'water', than: 'bears' };
    return [
      exactly('share', 100 * share, 'percent'),
      exactly('in-all', need / (1 - share), 'water'),
    ];
  },
);

/** Water off a roof, a millimetre on a square metre being a litre: litres, millimetres, kilograms; rejects values out of range. */
export const roof = calculator(
  'roof',
  {
    area: number('area', 1, 5000),
    rain: number('water', 0.5, 3000),
    barrel: number('volume', 10, 20000),
  },
  ({ area, rain, barrel }) => {
    const litres = area * rain;
    return [
      exactly('gives', litres, 'volume'),
      exactly('fills-after', barrel / area, 'water'),
      exactly('overflow', Math.max(0, litres - barrel), 'volume'),
      exactly('weight', barrel, 'mass'),
    ];
  },
);

/** Weeks between two days, each a count of days. */
export const weeksBetween = (from: number, to: number): number =>
  Math.max(0, (to - from) / DAYS_IN_WEEK);
