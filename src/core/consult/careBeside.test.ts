import { answerText } from '../../wording/answers.ts';
import { enquiry } from '../../test/enquiry.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import { createConsultant } from './consult.ts';

const topic = (id: string, phrases: string[], say: string, step: string) => ({
  id: `care-${id}`,
  name: `When to ${id}`,
  hosts: { fern: 'very' },
  phrases,
  say,
  steps: [{ text: step, rung: 'hand', when: '08-20..10-01' }],
  cautions: [`Wear gloves to ${id}.`],
  source: 'practice',
});
const library = miniLibrary(
  [
    { id: 'rings', extra: { background: 'telltale', phrases: ['rings'] } },
    { id: 'hot-spell', extra: { kind: 'context', phrases: ['hot'] } },
  ],
  [
    {
      id: 'ring-rust',
      findings: { rings: 'always' },
      extra: {
        name: 'Ring rust',
        harm: { plant: 'serious', pace: 'weeks' },
        treatments: [{ use: 'snip', effect: 'strong' }],
      },
    },
  ],
  {
    'treatments/t.yaml': [
      {
        id: 'snip',
        name: 'Snip',
        rung: 'hand',
        text: 'Cut out the fronds with rings.',
        source: 'practice',
      },
    ],
    'care/c.yaml': [
      topic('divide', ['divide|split'], 'Ferns are divided in autumn.', 'Lift and divide it.'),
      topic('trim', ['cut|trim'], 'Ferns are cut back in autumn.', 'Cut the fronds off.'),
    ],
  },
);
const consultant = createConsultant(library);
const ask = (words: string) => consultant(enquiry(words));
const aloud = (words: string): readonly string[] => {
  const { today } = enquiry(words);
  return ask(words).answers.map((one) => answerText(one, today));
};

it('answers the question and the trouble, each with its own', () => {
  const words = 'My fern has rings. When should I divide it?';
  const { causes, advice } = ask(words);
  expect(causes[0]?.cause.id).toBe('ring-rust');
  expect(advice.steps.map(({ id }) => id)).toEqual(['snip']);
  expect(aloud(words)).toEqual([
    expect.stringMatching(
      /^Ferns are divided in autumn\. Lift and divide it\. \(about .*\) Wear gloves to divide\.$/,
    ),
  ]);
});

it('ranks no question of care among the causes of a trouble', () => {
  for (const words of ['My fern has rings. When should I divide it?', 'My fern has rings.'])
    for (const { cause, probability } of ask(words).causes)
      if (isCareTopic(cause)) expect(probability).toBeLessThan(0.02);
});

it('says whether the plan does the work, where leave to do it is asked for', () => {
  expect(aloud('My fern has rings. Should I cut the fronds?')).toEqual([
    'Yes. Cut out the fronds with rings.',
  ]);
  expect(aloud('My fern has rings. When do I cut it?')[0]).toMatch(/^Ferns are cut back in autumn/);
});

it.each([
  'My fern has rings. When should I spray it?',
  'My fern has rings. When should I feed it?',
])('leaves to the plan what no question of care speaks of: "%s"', (words) => {
  expect(aloud(words)[0]).not.toMatch(/autumn/);
});

it('answers every request of several, each from its own', () => {
  const answers = aloud('My fern has rings. Should I cut it out? And when do I divide it?');
  expect(answers[0]).toMatch(/^Yes\. Cut out/);
  expect(answers[1]).toMatch(/^Ferns are divided/);
});

it('takes what happened around a plant for no trouble of it', () => {
  const [first] = ask('It was hot. When should I divide my fern?').causes;
  expect(first?.cause.id).toBe('care-divide');
});

it('takes what the question itself speaks of for no trouble either', () => {
  const [heard] = ask('When should I divide a fern with rings?').causes;
  expect(heard?.arguments.map(({ finding }) => finding)).not.toContain('reports-trouble');
});
