import { allCountries, regionName, statesOf } from './regions.ts';

it.each([
  ['us-me', 'Maine'],
  ['gb-sct', 'Scotland'],
  ['fr', 'France'],
  ['fr-75', 'France'],
  ['xx', 'XX'],
])('%s is %s', (region, name) => {
  expect(regionName(region)).toBe(name);
});

it('lists the states of a country by name, and none where it has none of its own rules', () => {
  expect(statesOf('au').map(([code]) => code)).toEqual([
    'act',
    'nsw',
    'nt',
    'qld',
    'sa',
    'tas',
    'vic',
    'wa',
  ]);
  expect(statesOf('us')).toHaveLength(51);
  expect(statesOf('ca')).toHaveLength(13);
  expect(statesOf('fr')).toEqual([]);
});

it('lists countries once each, without unions', () => {
  const names = new Map(allCountries());
  expect(names.get('nz')).toBe('New Zealand');
  expect(names.has('eu')).toBe(false);
  // ISO 3166-1 has 249; names of some former ones and of Kosovo come with them.
  expect(names.size).toBeGreaterThanOrEqual(249);
});
