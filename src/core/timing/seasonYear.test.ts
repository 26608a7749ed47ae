import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { almanacAt, day } from '../../test/setting.ts';
import { placeSchema } from '../schema/place.ts';
import { dailyNormals } from './climate.ts';
import { accumulate, buildSeasonYear, reachedAt, type SeasonYear } from './seasonYear.ts';

const place = placeSchema.parse(REFERENCE_PLACE);
const north = buildSeasonYear(dailyNormals(place), false);
const halfTurned = (values: readonly number[]): number[] => [
  ...values.slice(6),
  ...values.slice(0, 6),
];
const south = buildSeasonYear(
  dailyNormals({
    minCelsius: halfTurned(place.minCelsius),
    maxCelsius: halfTurned(place.maxCelsius),
    rainMillimetres: place.rainMillimetres,
  }),
  true,
);

it('starts growth in spring, peaks in July and ends in November in the continental north', () => {
  // Common practice: buds of hardy shrubs open in the second half of March to mid April at 40 N.
  expect(north.growthStart).toBeGreaterThan(70);
  expect(north.growthStart).toBeLessThan(105);
  expect(north.peak).toBeGreaterThan(190);
  expect(north.peak).toBeLessThan(215);
  expect(north.growthEnd).toBeGreaterThan(300);
});

it('gives a mirrored climate the same gardening year in the south', () => {
  const near = (pick: (year: SeasonYear) => number): void =>
    expect(Math.abs(pick(north) - pick(south))).toBeLessThanOrEqual(4);
  near(({ peak }) => peak);
  near(({ growthStart }) => growthStart);
  near(({ growthEnd }) => growthEnd);
  expect(south.januaryFirst).toBe(184);
});

it('knows a climate without winter', () => {
  const tropical = dailyNormals({
    minCelsius: Array.from({ length: 12 }, () => 24),
    maxCelsius: Array.from({ length: 12 }, () => 31),
    rainMillimetres: [],
  });
  expect(buildSeasonYear(tropical, false).winterless).toBe(true);
  expect(north.winterless).toBe(false);
});

it('has a wet season where there is no winter but a dry one, on either side of the equator', () => {
  const monsoon = (rain: readonly number[], south: boolean) =>
    buildSeasonYear(
      {
        ...dailyNormals({
          minCelsius: Array.from({ length: 12 }, () => 22),
          maxCelsius: Array.from({ length: 12 }, () => 31),
          rainMillimetres: [],
        }),
        rainMillimetres: rain,
      },
      south,
    );
  const juneToOctober = [0, 0, 0, 5, 20, 500, 800, 500, 300, 80, 10, 0];
  expect(monsoon(juneToOctober, false).wet).toEqual({ from: 151, to: 302 });
  const novemberToMarch = [300, 250, 150, 40, 5, 0, 0, 0, 10, 40, 100, 200];
  expect(monsoon(novemberToMarch, true).wet?.from).toBe(304 - 181);
  expect(monsoon([...juneToOctober].fill(200), false).wet).toBeNull();
  expect(monsoon([...juneToOctober].fill(10), false).wet).toBeNull();
});

it('adds heat up without ever losing any, and finds when a sum is reached', () => {
  const totals = accumulate(north, 10);
  totals.forEach((total, day) => expect(total).toBeGreaterThanOrEqual(totals[day - 1] ?? 0));
  expect(reachedAt(totals, 1e6)).toBeNull();
  const reached = reachedAt(totals, 500);
  expect(totals[reached ?? -1]).toBeGreaterThanOrEqual(500);
});

it('tells how far a day is from a window, on either side', () => {
  const almanac = almanacAt({ places: [place] }, 40);
  const may = {
    kind: 'calendar',
    from: { month: 5, day: 10 },
    to: { month: 5, day: 20 },
    at: null,
  } as const;
  const days = (text: string): number | null => almanac.daysOutside(may, day(text));
  expect(days('2026-05-15')).toBe(0);
  expect(days('2026-05-01')).toBe(9);
  expect(days('2026-05-30')).toBe(10);
});
