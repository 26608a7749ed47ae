import { areaSchema, presenceIn, rangeSchema } from './range.ts';

const NORTH = areaSchema.parse({
  id: 'north',
  name: 'The north',
  countries: ['ca', 'us'],
  source: 'practice',
});
const AREAS = new Map([[NORTH.id, NORTH]]);
const RANGE = rangeSchema.parse({
  established: ['north', 'jp'],
  spreading: ['it'],
  asOf: 2026,
  source: 'practice',
});

it.each([
  ['us', 'established'],
  ['jp', 'established'],
  ['it', 'spreading'],
  ['nz', 'absent'],
  [null, null],
])('in %s it is %s', (country, presence) => {
  expect(presenceIn(RANGE, country, AREAS)).toBe(presence);
});

it('is not known of what has no range', () => {
  expect(presenceIn(undefined, 'us', AREAS)).toBeNull();
});
