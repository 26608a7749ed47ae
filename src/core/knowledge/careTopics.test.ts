import { careTopicSchema } from '../schema/cause.ts';
import { askingFor, careCause, careFinding, careTreatments, isCareTopic } from './careTopics.ts';

const topic = careTopicSchema.parse({
  id: 'care-lift',
  name: 'Lifting tubers',
  hosts: { dahlia: 'very' },
  phrases: ['lift tubers'],
  say: 'Lift them after frost.',
  steps: [
    { text: 'Lift the tubers.', rung: 'hand', when: 'first-frost+7..first-frost+30' },
    { text: 'Bring the pots in.', rung: 'conditions', except: ['dahlia'] },
  ],
  source: 'practice',
});

it('stands among the causes with the one finding that it is asked about', () => {
  const cause = careCause(topic);
  expect(isCareTopic(cause)).toBe(true);
  expect(Object.keys(cause.findings)).toEqual([askingFor(topic.id)]);
  expect(careFinding(topic)).toMatchObject({ id: askingFor(topic.id), askable: false });
});

it('offers each step for the kinds of plant that it is for', () => {
  expect(careCause(topic).treatments).toMatchObject([
    { use: 'care-lift-1' },
    { use: 'care-lift-2', except: ['dahlia'] },
  ]);
});

it('gives each step its rung, its text and its window', () => {
  const [first, second] = careTreatments(topic);
  expect(first).toMatchObject({ id: 'care-lift-1', rung: 'hand', text: 'Lift the tubers.' });
  expect(first?.when).toMatchObject({ kind: 'plant', from: { stage: 'first-frost', days: 7 } });
  expect(second).toMatchObject({ id: 'care-lift-2', rung: 'conditions' });
  expect(second).not.toHaveProperty('when');
});

it('passes on what the rules of safety go by', () => {
  const step = { text: 'Spread the granules.', rung: 'conventional', classes: ['herbicide'] };
  const [first, second] = careTreatments(
    careTopicSchema.parse({
      id: 'care-lift',
      name: 'Lifting tubers',
      hosts: { dahlia: 'very' },
      phrases: ['lift tubers'],
      say: 'Lift them after frost.',
      source: 'practice',
      steps: [
        { ...step, organic: false },
        { text: 'Cut the top.', rung: 'hand', hazards: ['aloft'], who: 'arborist' },
      ],
    }),
  );
  expect(first).toMatchObject({ classes: ['herbicide'], organic: false, hazards: [] });
  expect(second).toMatchObject({ classes: [], organic: true, hazards: ['aloft'], who: 'arborist' });
});
