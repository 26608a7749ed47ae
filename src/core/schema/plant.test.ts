import { traitsIn, traitsSchema } from './plant.ts';

const areas = new Map([['tropics', { regions: ['us-hi', 'sg'] }]]);
const fig = traitsSchema.parse({
  indoors: true,
  beeVisited: false,
  edible: 'none',
  outdoorsIn: ['tropics', 'es'],
});

it.each([
  ['us-hi', false],
  ['sg', false],
  ['es', false],
  ['us', true],
  ['us-me', true],
  [null, true],
])('in %s a house plant is kept indoors: %s', (region, indoors) => {
  const traits = traitsIn(fig, region, areas);
  expect(traits.indoors).toBe(indoors);
  // Out of doors nobody knows whether bees come, so they count as coming.
  expect(traits.beeVisited).toBe(indoors ? false : undefined);
  expect(traits.edible).toBe('none');
});

it('leaves all other plants as they are', () => {
  const tree = traitsSchema.parse({ woody: true });
  expect(traitsIn(tree, 'us-hi', areas)).toBe(tree);
});
