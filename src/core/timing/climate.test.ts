import fc from 'fast-check';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { placeSchema } from '../schema/place.ts';
import { monthSpan } from './calendar.ts';
import { dailyFromMonthly, distanceKm, normalsAt } from './climate.ts';

const monthlyMeans = (daily: Float64Array): number[] =>
  Array.from({ length: 12 }, (_, month) => {
    const { first, last } = monthSpan(month + 1);
    const days = daily.subarray(first, last + 1);
    return days.reduce((sum, value) => sum + value, 0) / days.length;
  });

it('keeps the monthly means of real normals to 0.05 C', () => {
  monthlyMeans(dailyFromMonthly(REFERENCE_PLACE.minCelsius)).forEach((mean, month) => {
    expect(Math.abs(mean - (REFERENCE_PLACE.minCelsius[month] ?? NaN))).toBeLessThan(0.05);
  });
});

it('keeps the monthly means of any plausible year', () => {
  const months = fc.array(fc.double({ min: -25, max: 40, noNaN: true }), {
    minLength: 12,
    maxLength: 12,
  });
  fc.assert(
    fc.property(months, (monthly) =>
      monthlyMeans(dailyFromMonthly(monthly)).every(
        (mean, month) => Math.abs(mean - (monthly[month] ?? NaN)) < 0.05,
      ),
    ),
    { numRuns: 60 },
  );
});

it('measures distance on the globe', () => {
  // One degree of a great circle on a sphere of 6,371 km is 111.19 km.
  expect(distanceKm({ lat: 0, lon: 0 }, { lat: 1, lon: 0 })).toBeCloseTo(111.19, 1);
  expect(distanceKm({ lat: 90, lon: 0 }, { lat: -90, lon: 0 })).toBeCloseTo(Math.PI * 6371, 3);
});

describe('normalsAt', () => {
  const place = placeSchema.parse(REFERENCE_PLACE);

  it('returns the place itself on its own spot', () => {
    expect(normalsAt([place], { lat: 40, lon: -83 }).maxCelsius).toEqual(place.maxCelsius);
  });

  it('is cooler towards the pole and turned by half a year across the equator', () => {
    const north = normalsAt([place], { lat: 45, lon: -83 });
    expect(north.maxCelsius[6]).toBeCloseTo(30 - 5 * 0.7, 6);
    expect(normalsAt([place], { lat: -40, lon: -83 }).maxCelsius[0]).toBeCloseTo(30, 6);
  });

  // ISO 2533 (1975): the standard atmosphere loses 6.5 C in each kilometre.
  it('is cooler the higher it lies, and minds no height that is not given', () => {
    const at = (height?: number) =>
      normalsAt([place], { lat: 40, lon: -83, height }).minCelsius[3] ?? NaN;
    expect(at(place.elevationMetres + 1000)).toBeCloseTo(at() - 6.5, 9);
    expect(at(place.elevationMetres)).toBeCloseTo(at(), 9);
  });
});
