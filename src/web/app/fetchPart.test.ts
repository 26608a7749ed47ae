import { fetchPart } from './fetchPart.ts';

/** A fetch that fails so often at first, and counts how often it was tried. */
function fetching(away: number) {
  let tries = 0;
  return {
    load: () => (++tries <= away ? Promise.reject(new Error('away')) : Promise.resolve('part')),
    tries: () => tries,
  };
}

it('fetches a part once, however often it is asked for', async () => {
  const { load, tries } = fetching(0);
  const part = fetchPart(load);
  expect(await Promise.all([part(), part()])).toEqual(['part', 'part']);
  expect(await part()).toBe('part');
  expect(tries()).toBe(1);
});

it('asks again while the server is away', async () => {
  const { load, tries } = fetching(2);
  expect(await fetchPart(load, [1, 1])()).toBe('part');
  expect(tries()).toBe(3);
});

it('fails when it stays away, and begins anew with the next call', async () => {
  const part = fetchPart(fetching(2).load, [1]);
  await expect(part()).rejects.toThrow('away');
  expect(await part()).toBe('part');
});
