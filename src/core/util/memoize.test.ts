import { memoizeWeakly } from './memoize.ts';

it('works each answer out once, also where it is nothing', () => {
  const asked: string[] = [];
  const lengthOf = memoizeWeakly((word: string): number | null => {
    asked.push(word);
    return word === '' ? null : word.length;
  });
  expect(['fern', '', 'fern', '', 'moss'].map(lengthOf)).toEqual([4, null, 4, null, 4]);
  expect(asked).toEqual(['fern', '', 'moss']);
});
