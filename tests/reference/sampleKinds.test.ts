import { readCheckedLibrary } from '../../src/server/knowledge/loadLibrary.ts';
import { samplesFor } from '../../src/core/advice/samples.ts';

const read = readCheckedLibrary('knowledge');
if (!read.ok) throw new Error('the library cannot be read');
const { causes, findings: all, sampleKinds } = read.value;
const findings = new Map(all.map((finding) => [finding.id, finding]));
const kindsOf = (id: string): readonly string[] => {
  const cause = causes.find((one) => one.id === id);
  if (!cause) throw new Error(`no cause ${id}`);
  return samplesFor(cause, { findings, sampleKinds }).map((kind) => kind.id);
};

/** Common practice of plant clinics. */
it.each([
  ['apple-scab', 'leaves-with-margin'],
  ['root-rot', 'roots-with-soil'],
  ['spruce-rhizosphaera', 'needled-twigs'],
  ['cytospora-canker', 'stem-with-margin'],
  ['verticillium-wilt', 'stem-with-margin'],
  ['dollar-spot', 'turf-plug'],
  ['hosta-virus', 'virus-leaves'],
  ['lily-beetle', 'insects-in-alcohol'],
  ['spider-mites', 'mites-on-leaves'],
  ['iron-chlorosis', 'soil-test'],
  ['beech-leaf-disease', 'nematode-leaves'],
  ['acid-soil-excess', 'soil-test'],
  ['salt-burn', 'soil-test'],
  ['manure-compost-herbicide', 'bean-test'],
  ['moles', 'photographs-of-signs'],
  ['knotweed', 'whole-weed'],
  ['brown-rot-fruit', 'fruit-with-spots'],
])('of %s first takes %s', (cause, kind) => {
  expect(kindsOf(cause)[0]).toBe(kind);
});

it('has a sample for every living culprit, and none for a question of water or light', () => {
  const living = ['insect', 'mite', 'mollusc', 'nematode', 'virus', 'weed', 'vertebrate'];
  for (const { id, category } of causes)
    if (living.includes(category)) expect([id, kindsOf(id).length > 0]).toEqual([id, true]);
  expect(kindsOf('hail-wind')).toEqual([]);
});

it('offers a leaf test beside the soil test where leaves are short of something', () => {
  expect(kindsOf('iron-chlorosis')).toContain('leaf-test');
});

it('has a sample for every fungus, water mold and bacterium', () => {
  const without = causes.filter(
    ({ id, category }) =>
      ['fungus', 'oomycete', 'bacterium'].includes(category) && kindsOf(id).length === 0,
  );
  expect(without.map(({ id }) => id)).toEqual([]);
});
