import { seeded } from '../util/random.ts';
import { brierScore, calibrationBins, shareOf, type SaidTrue } from './calibration.ts';

/** R. G. Newcombe, Statistics in Medicine 17, 1998, table I: the score method, as recalled. */
it.each([
  [81, 263, 0.2553, 0.3662],
  [15, 148, 0.0624, 0.1605],
  [0, 20, 0, 0.1611],
  [1, 29, 0.0061, 0.1718],
])('gives %d of %d the published interval', (isTrue, cases, low, high) => {
  const share = shareOf(isTrue, cases);
  expect(share.low).toBeCloseTo(low, 4);
  expect(share.high).toBeCloseTo(high, 4);
});

it('says nothing of no cases', () => {
  expect(shareOf(0, 0)).toEqual({ cases: 0, isTrue: 0, share: null, low: 0, high: 1 });
  expect(brierScore([])).toBeNull();
});

it('keeps every share inside 0 and 1 and inside its interval', () => {
  for (let cases = 1; cases <= 40; cases++)
    for (let isTrue = 0; isTrue <= cases; isTrue++) {
      const { share, low, high } = shareOf(isTrue, cases);
      expect(low).toBeGreaterThanOrEqual(0);
      expect(high).toBeLessThanOrEqual(1);
      expect(low - 1e-12).toBeLessThanOrEqual(share ?? NaN);
      expect(high + 1e-12).toBeGreaterThanOrEqual(share ?? NaN);
    }
});

it('puts every case in one range, with both ends', () => {
  const said = [0, 0.1, 0.2, 0.5, 0.999, 1];
  const bins = calibrationBins(
    said.map((one) => ({ said: one, isTrue: true })),
    [0, 0.2, 0.5, 1],
  );
  expect(bins.map(({ cases }) => cases)).toEqual([2, 1, 3]);
  expect(bins[0]?.said).toBeCloseTo(0.05);
});

it('finds a speaker who means what they say well calibrated, and one who overstates not', () => {
  const random = seeded(613);
  const speaker = (overstates: number): SaidTrue[] =>
    Array.from({ length: 20_000 }, () => {
      const truth = random();
      return { said: Math.min(1, truth + overstates), isTrue: random() < truth };
    });
  const edges = [0, 0.25, 0.5, 0.75, 1];
  for (const { said, low, high } of calibrationBins(speaker(0), edges)) {
    expect(said).toBeGreaterThan(low - 0.01);
    expect(said).toBeLessThan(high + 0.01);
  }
  const [, , third] = calibrationBins(speaker(0.2), edges);
  expect(third?.said).toBeGreaterThan(third?.high ?? NaN);
});

it('scores by the squared distance from the truth', () => {
  expect(brierScore([{ said: 0.5, isTrue: true }])).toBeCloseTo(0.25);
  expect(
    brierScore([
      { said: 0.9, isTrue: true },
      { said: 0.8, isTrue: false },
    ]),
  ).toBeCloseTo((0.01 + 0.64) / 2);
});
