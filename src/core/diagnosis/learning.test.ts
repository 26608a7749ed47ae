import { causeIdSchema } from '../schema/common.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, plantId } from '../../test/setting.ts';
import { experienceIn, learnedFactors, LIBRARY_CASES, MAX_FACTOR } from './learning.ts';
import { buildNetwork } from './network.ts';

const [a, b] = ['a', 'b'].map((id) => causeIdSchema.parse(id));
if (a === undefined || b === undefined) throw new Error('ids');
const both = [{ id: a }, { id: b }];

it('weighs a case by how it was confirmed and by its season', () => {
  const counts = experienceIn(6, [
    { cause: a, confirmed: 'laboratory', month: 6 },
    { cause: a, confirmed: 'enquirer', month: 7 },
    { cause: b, confirmed: 'laboratory', month: 12 },
  ]);
  expect(counts.get(a)).toBeCloseTo(1.25, 12);
  expect(counts.get(b)).toBeCloseTo(0.25, 12);
  expect(experienceIn(12, [{ cause: b, confirmed: 'laboratory', month: 1 }]).get(b)).toBe(1);
});

it('takes the mean of the Dirichlet posterior', () => {
  const [fa, fb] = learnedFactors(both, Float64Array.of(1, 3), new Map([[a, 10]]));
  const share = (LIBRARY_CASES * 0.25 + 10) / (LIBRARY_CASES + 10);
  expect(fa).toBeCloseTo(share / 0.25, 12);
  expect((fa ?? 0) * 0.25 + (fb ?? 0) * 0.75).toBeCloseTo(1, 12);
});

it('changes nothing without cases and is bounded with ever so many', () => {
  expect(learnedFactors(both, Float64Array.of(1, 3), new Map())).toEqual(Float64Array.of(1, 1));
  const [fa, fb] = learnedFactors(both, Float64Array.of(0.01, 3), new Map([[a, 1e6]]));
  expect(fa).toBe(MAX_FACTOR);
  expect(fb).toBe(1 / MAX_FACTOR);
});

it('raises the prior of what was confirmed here', () => {
  const library = miniLibrary(
    [{ id: 'x' }],
    [
      { id: 'a', findings: { x: 'often' } },
      { id: 'b', findings: { x: 'often' } },
    ],
  );
  const circumstances = circumstancesAt(library);
  const plain = buildNetwork(library, plantId('fern'), circumstances);
  const taught = buildNetwork(library, plantId('fern'), {
    ...circumstances,
    experience: new Map([[a, 8]]),
  });
  expect(taught.prior[2]).toBeGreaterThan(plain.prior[2] ?? NaN);
  expect(taught.prior[3]).toBeLessThan(plain.prior[3] ?? NaN);
  expect(taught.prior.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 12);
});
