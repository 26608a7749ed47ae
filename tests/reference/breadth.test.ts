import { isCareTopic } from '../../src/core/knowledge/careTopics.ts';
import type { Category } from '../../src/core/schema/cause.ts';
import { library } from '../support/wholeLibrary.ts';

const plants = [...library.plants.values()];
const causes = [...library.causes.values()].filter((cause) => !isCareTopic(cause));

/** Kinds of plants of a group, itself left out; each counted once. */
function kindsOf(...groups: readonly string[]): number {
  return plants.filter(
    ({ id, rank }) =>
      rank !== 'group' &&
      library.taxonomy.lineage(id).some((above) => above !== id && groups.includes(above)),
  ).length;
}

it.each([
  ['vegetables and herbs', 35, ['vegetable', 'herb']],
  ['fruit and nuts', 35, ['fruit-tree', 'soft-fruit', 'nut-tree', 'citrus', 'subtropical-fruit']],
  ['broad-leaved trees', 40, ['broadleaf-tree']],
  ['conifers', 20, ['conifer']],
  ['shrubs', 45, ['shrub']],
  ['perennials, grasses and bulbs', 45, ['perennial', 'ornamental-grass', 'bulb']],
  ['annuals', 20, ['annual']],
  ['climbers, palms and house plants', 35, ['climber', 'palm', 'fern', 'house-plant']],
  ['kinds of turf', 10, ['turf', 'cool-season-turf', 'warm-season-turf']],
] as const)('knows %s: at least %i', (_, least, groups) => {
  expect(kindsOf(...groups)).toBeGreaterThanOrEqual(least);
});

it.each<[string, number, readonly Category[]]>([
  ['diseases', 170, ['fungus', 'oomycete', 'bacterium', 'virus']],
  ['insects, mites, molluscs and nematodes', 150, ['insect', 'mite', 'mollusc', 'nematode']],
  ['vertebrates', 15, ['vertebrate']],
  ['shortages and excesses', 30, ['nutrient']],
  ['injuries by water, temperature and light', 40, ['water', 'temperature', 'light']],
  ['chemical and mechanical injuries', 20, ['chemical', 'mechanical']],
  ['faults of planting, pruning, pots and pollination', 30, ['care']],
  ['normal looks', 45, ['normal']],
  ['weeds, moss and the like', 25, ['weed']],
])('knows %s: at least %i', (_, least, categories) => {
  const found = causes.filter(({ category }) => categories.includes(category));
  expect(found.length).toBeGreaterThanOrEqual(least);
});

it('knows pests of people that are met in gardens', () => {
  const ids = ['wasps-nest', 'chiggers-ticks', 'mosquitoes', 'ants-garden'] as const;
  const known = causes.map(({ id }) => String(id));
  expect(known).toEqual(expect.arrayContaining([...ids, 'scorpion-tent-poison-spiders']));
});
