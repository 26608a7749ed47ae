import { countryOf, coverOf, regionOf, regionSchema, stateOf } from './region.ts';

const areas = new Map([
  ['east', { regions: ['us-me', 'us-ny'] }],
  ['both', { regions: ['us', 'ca'] }],
]);

it.each([
  ['a country in itself', ['us'], 'us', 'whole'],
  ['a state in its country', ['us'], 'us-me', 'whole'],
  ['a state in itself', ['us-me'], 'us-me', 'whole'],
  ['a state in an area of states', ['east'], 'us-ny', 'whole'],
  ['a state in an area of countries', ['both'], 'ca-on', 'whole'],
  ['a country of which a state is named', ['us-me'], 'us', 'part'],
  ['a country of which an area names states', ['east'], 'us', 'part'],
  ['another state', ['us-me'], 'us-ny', 'none'],
  ['a state whose name begins alike', ['au-n'], 'au-nt', 'none'],
  ['another country', ['us', 'east'], 'ca', 'none'],
  ['no list', [], 'us', 'none'],
] as const)('%s', (_, where, region, cover) => {
  expect(coverOf(where, region, areas)).toBe(cover);
});

it('takes a region apart and puts it together', () => {
  expect(['us-me', 'us'].map(countryOf)).toEqual(['us', 'us']);
  expect(['us-me', 'us'].map(stateOf)).toEqual(['me', null]);
  expect(regionOf('us', 'me')).toBe('us-me');
  expect(regionOf('us', null)).toBe('us');
  expect(regionOf(null, 'me')).toBeNull();
});

it('takes small letters only', () => {
  for (const right of ['us', 'us-me', 'au-nsw', 'gb-eng'])
    expect(regionSchema.safeParse(right).success).toBe(true);
  for (const wrong of ['US', 'usa', 'us-', 'us-maine', 'me'.repeat(3)])
    expect(regionSchema.safeParse(wrong).success).toBe(false);
});
