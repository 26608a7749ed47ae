import { RELIED_ON } from '../schema/reliedOn.ts';
import { checkReliedOn } from './reliedOn.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { plantSchema } from '../schema/plant.ts';
import { careTopicSchema } from '../schema/cause.ts';
import { findingGroupSchema, findingSchema } from '../schema/finding.ts';

const finding = (id: string) =>
  findingSchema.parse({
    id,
    part: 'around',
    kind: 'context',
    label: 'label',
    question: 'Is it?',
    background: 'rare',
    source: 'judgement',
  });
const findings = Object.values(RELIED_ON.findings).map(finding);
const plants = Object.values(RELIED_ON.plants).map((id) =>
  plantSchema.parse({ id, name: 'Plant', source: 'practice' }),
);
const groups = Object.values(RELIED_ON.groups).map((id) =>
  findingGroupSchema.parse({ id, question: 'Which is it?', source: 'judgement' }),
);
const careTopics = Object.values(RELIED_ON.careTopics).map((id) =>
  careTopicSchema.parse({
    id,
    name: 'Topic',
    hosts: {},
    phrases: ['how much'],
    say: 'What to do.',
    steps: [{ text: 'Do it in spring.', rung: 'hand' }],
    source: 'practice',
  }),
);
const places = [...miniLibrary([], []).places.values()];

it('is content with a library that has every id the code names', () => {
  expect(places.map(({ id }) => id)).toContain(RELIED_ON.places.reference);
  expect(checkReliedOn({ findings, careTopics, groups, plants, places })).toEqual([]);
});

it.each(Object.values(RELIED_ON.findings))('refuses a library without %s', (id) => {
  const without = findings.filter((one) => one.id !== id);
  expect(checkReliedOn({ findings: without, careTopics, groups, plants, places })).toEqual([
    expect.objectContaining({ file: 'findings/', id }),
  ]);
});

it('refuses a library without a group, a kind of plant or the reference place', () => {
  expect(
    checkReliedOn({ findings, careTopics: [], groups: [], plants: [], places: [] }).map(
      ({ id }) => id,
    ),
  ).toEqual([
    RELIED_ON.careTopics.readTest,
    RELIED_ON.groups.extent,
    ...Object.values(RELIED_ON.plants),
    RELIED_ON.places.reference,
  ]);
});
