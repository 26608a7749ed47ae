import { makeGazetteer, type Settled } from './gazetteer.ts';

const town = (
  name: string,
  region: string,
  at: readonly [lat: number, lon: number],
  people: number,
): Settled => {
  const [country = '', state = null] = region.split('-');
  return { name, country, state, lat: at[0], lon: at[1], people };
};

const gazetteer = makeGazetteer({
  towns: [
    town('Perth', 'au-wa', [-31.95, 115.86], 1_900_000),
    town('Perth', 'gb-sct', [56.4, -3.43], 47_000),
    town('Perth', 'ca-on', [44.9, -76.25], 5600),
    town('Perth Amboy', 'us-nj', [40.5, -74.27], 52_000),
    town('Saint-Jérôme', 'ca-qc', [45.78, -74], 68_000),
    town('Salem', 'us-or', [44.94, -123], 164_000),
    town('Salem', 'us-ma', [42.52, -70.9], 43_000),
    town('New Salem', 'us-nd', [46.84, -101.4], 950),
  ],
  postcode: (code) =>
    code === '04605' || code === 'K1A0B1'
      ? { name: code, country: 'us', state: 'me', lat: 44.5, lon: -68.4 }
      : null,
});
const BOSTON = { lat: 42.36, lon: -71.06 };
const DUNDEE = { lat: 56.46, lon: -2.97 };

const find = (words: string, near = BOSTON) =>
  gazetteer
    .find({ words, ...near })
    .map(({ name, country, state }) => `${name} ${state ?? country}`);

it('puts a near town of the name before a large one far off', () => {
  expect(find('salem')).toEqual(['Salem ma', 'Salem or']);
  expect(find('Perth', DUNDEE)[0]).toBe('Perth sct');
});

it('puts whole names before longer ones', () => {
  const [first, , ...others] = find('perth');
  expect(first).toBe('Perth on');
  expect(others).toContain('Perth Amboy nj');
  expect(find('perth a')).toEqual(['Perth Amboy nj']);
});

it.each([
  ['Perth, Scotland', 'Perth sct'],
  ['perth scotland', 'Perth sct'],
  ['Perth, Australia', 'Perth wa'],
  ['Perth, ON', 'Perth on'],
  ['Perth united kingdom', 'Perth sct'],
  ['Salem OR', 'Salem or'],
  ['Perth, UK', 'Perth sct'],
  ['new salem usa', 'New Salem nd'],
  ['st jerome', 'Saint-Jérôme qc'],
  ['St. Jérôme, Quebec', 'Saint-Jérôme qc'],
  ['new salem', 'New Salem nd'],
])('finds "%s"', (words, found) => {
  expect(find(words)[0]).toBe(found);
});

it.each(['04605', 'k1a 0b1'])('finds the postcode %s', (code) => {
  expect(find(code)).toEqual([expect.stringMatching(/ me$/)]);
});

it.each(['99999', 'Nowhere', 'Perth, Japan', ',', 'zz'])('finds nothing for "%s"', (words) => {
  expect(find(words)).toEqual([]);
});

it('gives no more than eight', () => {
  const many = makeGazetteer({
    towns: Array.from({ length: 30 }, (_, i) => town('Ash', 'us-me', [44, -60 - i], 1000)),
    postcode: () => null,
  });
  expect(many.find({ words: 'ash', ...BOSTON })).toHaveLength(8);
});
