import { areaSchema, presenceIn, rangeSchema } from './range.ts';

const NORTH = areaSchema.parse({
  id: 'north',
  name: 'The north',
  regions: ['ca', 'us'],
  source: 'practice',
});
const AREAS = new Map([[NORTH.id, NORTH]]);
const RANGE = rangeSchema.parse({
  established: ['north', 'jp'],
  spreading: ['it', 'au-qld'],
  unknown: ['za'],
  asOf: 2026,
  source: 'practice',
});

it.each([
  ['us', 'established'],
  ['jp', 'established'],
  ['it', 'spreading'],
  ['us-me', 'established'],
  ['au-qld', 'spreading'],
  ['au-tas', 'absent'],
  ['au', 'spreading'],
  ['za', null],
  ['nz', 'absent'],
  [null, null],
])('in %s it is %s', (region, presence) => {
  expect(presenceIn(RANGE, region, AREAS)).toBe(presence);
});

it('is not known of what has no range', () => {
  expect(presenceIn(undefined, 'us', AREAS)).toBeNull();
});
