import { seeded } from '../core/util/random.ts';
import { fitLogistic, fitNamed, sparseRows, type SparseRows } from './logistic.ts';

const chance = (odds: number): number => 1 / (1 + Math.exp(-odds));

/** The same fit by many small plain steps downhill. */
function slowly(rows: readonly (readonly number[])[], labels: Uint8Array, loose: number): number[] {
  const width = rows[0]?.length ?? 0;
  const weights = Array.from({ length: width + 1 }, () => 0);
  for (let step = 0; step < 20_000; step++) {
    const slope = [...weights];
    rows.forEach((row, r) => {
      const odds = row.reduce(
        (sum, value, i) => sum + value * (weights[i] ?? 0),
        weights[width] ?? 0,
      );
      const off = loose * (chance(odds) - (labels[r] ?? 0));
      [...row, 1].forEach((value, i) => (slope[i] = (slope[i] ?? 0) + off * value));
    });
    slope.forEach((one, i) => (weights[i] = (weights[i] ?? 0) - 0.02 * one));
  }
  return weights;
}

const sparse = (rows: readonly (readonly number[])[], counts?: readonly number[]): SparseRows =>
  sparseRows(
    rows.map((row) =>
      row.map((value, i) => [i, value] as const).filter(([, value]) => value !== 0),
    ),
    rows[0]?.length ?? 0,
    counts,
  );

describe('logistic regression', () => {
  it.each([1, 2, 3, 4, 5])('fits as slow plain descent does (seed %i)', (seed) => {
    const random = seeded(seed);
    const rows = Array.from({ length: 30 }, () =>
      [0, 1, 2].map(() => Math.round(random() * 2) - 1),
    );
    const labels = Uint8Array.from(rows, ([first = 0]) => (random() < chance(1.5 * first) ? 1 : 0));
    const fitted = fitLogistic(sparse(rows), labels, 0.5);
    slowly(rows, labels, 0.5).forEach((weight, i) => expect(fitted[i]).toBeCloseTo(weight, 1));
  });

  it('learns the word of a rare label too', () => {
    const rows = Array.from({ length: 3000 }, (_, r) => [r < 4 ? 1 : 0, r % 2]);
    const labels = Uint8Array.from(rows, ([first = 0]) => first);
    const [word = 0, other = 0, always = 0] = fitLogistic(sparse(rows), labels, 10);
    expect(always).toBeLessThan(-3);
    expect(word + always).toBeGreaterThan(1);
    expect(Math.abs(other)).toBeLessThan(1);
  });

  it('counts a row as often as it says', () => {
    const twice = fitLogistic(sparse([[1], [1], [0]]), Uint8Array.of(1, 1, 0), 1);
    const counted = fitLogistic(sparse([[1], [0]], [2, 1]), Uint8Array.of(1, 0), 1);
    counted.forEach((weight, i) => expect(weight).toBeCloseTo(twice[i] ?? 0, 2));
  });
});

describe('weights by name', () => {
  const random = seeded(7);
  const cases = Array.from({ length: 2000 }, () => {
    const values = [100 + 10 * (random() - 0.5), random()];
    const odds = 0.4 * ((values[0] ?? 0) - 100) - 3 * ((values[1] ?? 0) - 0.5);
    return { values, right: random() < chance(odds) };
  });
  const weights = fitNamed(['far', 'near'], cases, 100);

  it('are for values as they are, whatever their size', () => {
    expect(weights.far).toBeCloseTo(0.4, 1);
    expect(weights.near).toBeCloseTo(-3, 0);
  });

  it('give the share of what is right where values are middling', () => {
    const { always = 0, far = 0, near = 0 } = weights;
    const share = cases.filter(({ right }) => right).length / cases.length;
    expect(chance(always + 100 * far + 0.5 * near)).toBeCloseTo(share, 1);
  });
});
