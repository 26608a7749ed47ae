import { miniLibrary } from '../../test/miniLibrary.ts';
import { listPairs } from './pairs.ts';

const invites: Readonly<Record<string, readonly string[]>> = {
  b: ['d', 'b'],
  d: ['b'],
  c: ['a', 'stranger'],
};
const library = miniLibrary(
  [{ id: 'seen' }],
  [
    ...['a', 'b', 'c', 'd'].map((id) => ({
      id,
      findings: { seen: 'often' },
      extra: { leadsTo: invites[id] ?? [] },
    })),
    { id: 'stranger', findings: { seen: 'often' } },
  ],
);
const causes = [...library.causes.values()].filter(({ id }) => id !== 'stranger');
const named = ({ first, second }: ReturnType<typeof listPairs>): string[] =>
  [...first].map((i, k) => `${causes[i]?.id}${causes[second[k] ?? -1]?.id}`);

describe('of a few plants', () => {
  const pairs = listPairs(causes, 1);

  it('are all pairs in order, those linked six times likelier', () => {
    expect(pairs.all).toBe(true);
    expect(named(pairs)).toEqual(['ab', 'ac', 'ad', 'bc', 'bd', 'cd']);
    expect([...pairs.causalPairFactor]).toEqual([1, 6, 1, 1, 6, 1]);
    expect([...pairs.linked].sort()).toEqual([1, 4]);
    expect([...pairs.rows]).toEqual([0, 3, 5, 6, 6]);
  });

  it('are found by their members, whichever comes first', () => {
    expect(pairs.indexOf(1, 3)).toBe(4);
    expect(pairs.indexOf(3, 1)).toBe(4);
    expect(pairs.indexOf(0, 1)).toBe(0);
  });
});

describe('of many plants', () => {
  const pairs = listPairs(causes, 13);

  it('are those of which one invites the other', () => {
    expect(pairs.all).toBe(false);
    expect(named(pairs)).toEqual(['ac', 'bd']);
    expect([...pairs.causalPairFactor]).toEqual([6, 6]);
    expect([...pairs.linked]).toEqual([0, 1]);
    expect([...pairs.rows]).toEqual([0, 1, 2, 2, 2]);
    expect(pairs.indexOf(3, 1)).toBe(1);
    expect(pairs.indexOf(0, 1)).toBe(-1);
  });
});

it('are all up to twelve plants and 260 causes', () => {
  expect(listPairs(causes, 12).all).toBe(true);
  const many = Array.from({ length: 261 }, () => causes[0]).flatMap((one) => one ?? []);
  expect(listPairs(many.slice(0, 260), 1).all).toBe(true);
  expect(listPairs(many, 1).all).toBe(false);
});
