import { memoize, memoizeByObject, once } from './memoize.ts';

const countingLengths = () => {
  const asked: string[] = [];
  const lengthOf = (word: string): number | null => {
    asked.push(word);
    return word === '' ? null : word.length;
  };
  return { asked, lengthOf };
};

it('works each result out once, also where it is nothing', () => {
  const { asked, lengthOf } = countingLengths();
  const known = memoize(lengthOf);
  expect(['fern', '', 'fern', '', 'moss'].map((word) => known(word))).toEqual([
    4,
    null,
    4,
    null,
    4,
  ]);
  expect(asked).toEqual(['fern', '', 'moss']);
});

it('tells arguments apart by their key', () => {
  const { asked, lengthOf } = countingLengths();
  const known = memoize(lengthOf, { keyOf: (word) => word.toLowerCase() });
  expect(['Fern', 'fern'].map((word) => known(word))).toEqual([4, 4]);
  expect(asked).toEqual(['Fern']);
});

it('lets the result used longest ago go where there is no room', () => {
  const { asked, lengthOf } = countingLengths();
  const known = memoize(lengthOf, { max: 2 });
  for (const word of ['fern', 'moss', 'fern', 'lily', 'fern', 'moss']) known(word);
  expect(asked).toEqual(['fern', 'moss', 'lily', 'moss']);
});

it('makes a value at the first call', () => {
  let made = 0;
  const value = once(() => ++made);
  expect(made).toBe(0);
  expect([value(), value()]).toEqual([1, 1]);
});

it('works out once for an object, not for one that looks like it', () => {
  let made = 0;
  const known = memoizeByObject(({ name }: { name: string }) => `${name} ${++made}`);
  const fern = { name: 'fern' };
  expect([known(fern), known(fern), known({ name: 'fern' })]).toEqual([
    'fern 1',
    'fern 1',
    'fern 2',
  ]);
});

it('keeps no exception', () => {
  let tries = 0;
  const known = memoize((word: string) => {
    if (++tries === 1) throw new Error(word);
    return word;
  });
  expect(() => known('fern')).toThrow('fern');
  expect(known('fern')).toBe('fern');
});
