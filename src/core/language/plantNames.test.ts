import { plantId } from '../../test/setting.ts';
import { plantSchema } from '../schema/plant.ts';
import { buildTaxonomy } from '../knowledge/taxonomy.ts';
import { buildPlantNames, findPlants, rankPlants } from './plantNames.ts';
import { tokenize } from './tokens.ts';

const plants = [
  { id: 'tree', name: 'Tree', rank: 'group' },
  { id: 'spruce', name: 'Spruce', scientific: 'Picea', rank: 'genus', parents: ['tree'] },
  { id: 'blue-spruce', name: 'Blue spruce', parents: ['spruce'], names: ['colorado spruce'] },
  { id: 'lime', name: 'Lime', names: ['key lime'], ambiguous: ['lime'] },
  { id: 'rose', name: 'Rose', ambiguous: ['rose'] },
].map((plant) => plantSchema.parse({ ...plant, source: 'practice' }));
const names = buildPlantNames(plants);
const { lineage } = buildTaxonomy(plants);
const named = (text: string): string[] =>
  findPlants(names, tokenize(text)).map(({ plant }) => plant);
const ranked = (text: string): string[] =>
  rankPlants(findPlants(names, tokenize(text)), lineage).map(({ plant }) => plant);

it.each([
  ['our Colorado spruces', ['blue-spruce']],
  ['a blue spruce', ['blue-spruce']],
  ['Picea in the yard', ['spruce']],
  ['lime green leaves', []],
  ['my lime tree', ['lime', 'tree']],
  ['key lime', ['lime']],
  ['the smell rose up', []],
  ['the roses', ['rose']],
  ['an old rose', ['rose']],
  ['my indoor lime', ['lime']],
  ['old rose', []],
  ['spruce-sized lumps', []],
  ['as big as a spruce', []],
  ['galls as round as roses', []],
  ['spots the size of a lime', []],
])('finds in "%s" %j', (text, expected) => {
  expect(named(text)).toEqual(expected);
});

it('gives the weight of a group to its member in the same text', () => {
  expect(ranked('A tree, a spruce, the blue spruce kind')).toEqual(['blue-spruce']);
});

it('takes the plant that is asked about before the scenery', () => {
  expect(ranked('under the spruce my roses fail')[0]).toBe('rose');
  expect(ranked('it looks like a spruce but it is my lime tree')[0]).toBe('lime');
  expect(ranked('grass fails under the big old spruce, roses do too')[0]).toBe('rose');
  expect(ranked('my roses next to the spruce fail')[0]).toBe('rose');
  expect(ranked('there is a spruce near my roses')[0]).toBe('rose');
  expect(ranked('my spruce near my roses is brown')[0]).toBe('spruce');
  expect(ranked('is it the spruce weevil on the roses')[0]).toBe('rose');
  expect(ranked('spruce weevils again')[0]).toBe('spruce');
});

it('shares the confidence out', () => {
  const shares = rankPlants(findPlants(names, tokenize('roses and a spruce')), lineage);
  expect(shares.reduce((sum, { confidence }) => sum + confidence, 0)).toBeCloseTo(1, 12);
  expect(rankPlants([], lineage)).toEqual([]);
  expect(lineage(plantId('blue-spruce'))).toEqual(['blue-spruce', 'spruce', 'tree']);
});

it('takes back a plant that is corrected, and takes a likeness for no plant', () => {
  expect(ranked('holes in our spruces, no, sorry, in my rose leaves')[0]).toBe('rose');
  expect(ranked('Blue spruce? No, the roses')[0]).toBe('rose');
  expect(ranked('my roses have lumps like a piece of spruce')[0]).toBe('rose');
});

it.each([
  ['little spruce cone looking things hang off my rose', 'rose'],
  ['lime leaf shaped marks on my rose', 'rose'],
  ['my spruce looking sad, far from the rose', 'spruce'],
  ['spruce cones are brown', 'spruce'],
  ['our spruce leaves look like flour was on them', 'spruce'],
  ['bumps on my rose leaves, like little apples', 'rose'],
])('takes what a thing is likened to for no plant: "%s" %s', (text, expected) => {
  expect(ranked(text)[0]).toBe(expected);
});

it.each([
  ['a spruce... no its a lime tree, spots on it', 'lime'],
  ["It's a spruce, sorry, I mean it is my roses", 'rose'],
  ['The roses are fine, but the blue spruce drops needles', 'blue-spruce'],
  ['The roses are fine but have spots, near the blue spruce', 'rose'],
])('takes in "%s" %s', (text, expected) => {
  expect(ranked(text)[0]).toBe(expected);
});
