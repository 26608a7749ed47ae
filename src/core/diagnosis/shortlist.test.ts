import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { entropyNats } from '../util/maths.ts';
import { NONE, presenceAt } from './likelihood.ts';
import { buildNetwork, NOT_IN_LIBRARY, positionsIn } from './network.ts';
import { weighAll, type Posterior } from './posterior.ts';
import { presenceIn, shortlist } from './shortlist.ts';

const COUNT = 12;
const library = miniLibrary(
  [{ id: 'sign' }, { id: 'other', extra: { background: 'rare' } }],
  Array.from({ length: COUNT }, (_, n) => ({
    id: `cause-${n}`,
    findings: n % 2 === 0 ? { sign: 'often' } : { other: 'usual' },
  })),
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const { posterior } = weighAll(
  library,
  network,
  [{ finding: findingId('sign'), value: true, sure: 0.9 }],
  0,
);

/** A posterior with these probabilities in the order of the hypotheses, the rest without any. */
const posteriorOf = (...chances: number[]): Posterior => {
  const hypotheses = new Float64Array(network.prior.length);
  hypotheses.set(chances);
  return { ...posterior, hypotheses };
};

it('holds the likeliest hypotheses, the likeliest first, as probabilities', () => {
  const list = shortlist(network, posterior);
  expect(list.positions).toHaveLength(30);
  const chances = [...posterior.hypotheses].sort((a, b) => b - a).slice(0, 30);
  const total = chances.reduce((sum, p) => sum + p, 0);
  chances.forEach((p, k) => expect(list.probabilities[k]).toBeCloseTo(p / total, 12));
  list.positions.forEach((h, k) =>
    expect(posterior.hypotheses[h]).toBeCloseTo(chances[k] ?? NaN, 12),
  );
  expect(list.entropy).toBeCloseTo(entropyNats(list.probabilities), 12);
});

it('stops where nearly all probability is held, and leaves out the smallest', () => {
  expect(shortlist(network, posteriorOf(0.6, 0.396, 0.003, 0.001)).positions).toEqual([0, 1]);
  expect(shortlist(network, posteriorOf(0.6, 0.394, 0.004, 0.002)).positions).toEqual([0, 1, 2]);
  expect(shortlist(network, posteriorOf(2e-5, 0, 0.9e-5)).positions).toEqual([0]);
  expect(shortlist(network, posteriorOf()).positions).toEqual([]);
});

it('knows the causes of each hypothesis', () => {
  const list = shortlist(network, posterior);
  list.positions.forEach((h, k) => {
    const [first = NONE, second = NONE] = positionsIn(network, h);
    expect([list.first[k], list.second[k]]).toEqual([first, second]);
  });
  expect(list.held).toEqual(new Set(list.positions.flatMap((h) => positionsIn(network, h))));
});

it('gives the chance of a finding under each, as hypothesis by hypothesis', () => {
  const list = shortlist(network, posterior);
  expect(list.positions).toContain(NOT_IN_LIBRARY);
  for (const id of ['sign', 'other']) {
    const node = network.node(findingId(id));
    if (!node) throw new Error('no node');
    presenceIn(list, node).forEach((p, k) =>
      expect(p).toBeCloseTo(presenceAt(network, node, list.positions[k] ?? NaN), 12),
    );
  }
});

it('gives a column of its own each time', () => {
  const list = shortlist(network, posterior);
  const columns = Array.from({ length: 130 }, () => list.column());
  columns.forEach((column, n) => column.fill(n));
  columns.forEach((column, n) => {
    expect(column).toHaveLength(30);
    expect(column.every((value) => value === n)).toBe(true);
  });
});
