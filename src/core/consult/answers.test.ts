import { answerText } from '../../wording/answers.ts';
import { enquiry } from '../../test/enquiry.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { findingId } from '../../test/setting.ts';
import { createConsultant } from './consult.ts';
import type { Enquiry } from './enquiry.ts';

const finding = (id: string, phrase: string) => ({
  id,
  extra: { background: 'telltale', phrases: [phrase] },
});
const treatment = (id: string, text: string, more: Record<string, unknown> = {}) => ({
  id,
  name: `Do ${id}`,
  rung: 'hand',
  text,
  source: 'practice',
  ...more,
});
const LIBRARY = miniLibrary(
  [
    finding('rings', 'rings'),
    finding('bumps', 'bumps'),
    finding('scabs', 'scabs'),
    finding('holes', 'holes'),
    finding('pox', 'pox'),
  ],
  [
    {
      id: 'ring-rust',
      findings: { rings: 'always' },
      extra: {
        name: 'Ring rust',
        harm: { plant: 'serious', pace: 'weeks' },
        treatments: [
          { use: 'snip', effect: 'good' },
          { use: 'spray', effect: 'strong', when: '03-20..04-20' },
          { use: 'soak', effect: 'useful' },
          { use: 'clear', effect: 'useful' },
        ],
        avoid: [{ text: 'Feed it with nitrogen', why: 'Soft growth is caught first.' }],
      },
    },
    {
      id: 'galls',
      findings: { bumps: 'always' },
      extra: { name: 'Galls', category: 'mite', leave: 'Galls do no harm.', harm: {} },
    },
    { id: 'grubs', findings: { holes: 'always' }, extra: { say: 'Grubs eat the fronds.' } },
    {
      id: 'pox',
      findings: { pox: 'always' },
      extra: { say: 'The rest is fine to eat.', cautions: ['Do not eat the spotted fronds.'] },
    },
    {
      id: 'scab',
      findings: { scabs: 'always' },
      extra: { name: 'Scab', say: 'Scabs are skin deep. Peeled fruit is good to eat.' },
    },
  ],
  {
    'plants/a.yaml': [
      { id: 'fern', name: 'Fern', source: 'judgement' },
      { id: 'foxglove', name: 'Foxglove', traits: { poisonous: true }, source: 'judgement' },
    ],
    'treatments/t.yaml': [
      treatment('snip', 'Prune out the fronds with rings.'),
      treatment('spray', 'Spray sulfur as the label says.', {
        rung: 'low-toxicity',
        classes: ['fungicide'],
      }),
      treatment('soak', 'Water it once a week.'),
      treatment('clear', 'Take the withered fronds away.', { name: 'Remove withered fronds' }),
    ],
  },
);
const consultant = createConsultant(LIBRARY);

function answersTo(words: string): readonly string[] {
  const found = consultant(enquiry(words));
  return found.answers.map((one) => answerText(one, enquiry(words).today));
}

it.each([
  ['What is it?', /^(Very likely|Probably|Most likely) ring rust\.$/],
  ['Should I worry?', /^Yes: left alone it does serious harm, within weeks\.$/],
  ['Should I cut off the withered ones?', /^Yes\. Take the withered fronds away\.$/],
  ['Should I prune it?', /^Yes\. Prune out the fronds with rings\.$/],
  ['Should I spray it?', /^Not now, but so: Spray sulfur as the label says\. \(about/],
  ['What can I spray?', /^Not now, but so: Spray sulfur/],
  ['Can I feed it?', /^No: feed it with nitrogen\. Soft growth is caught first\.$/],
  ['Should I move it?', /^No: nothing that helps against ring rust calls for moving it\.$/],
  ['How do I stop it?', /Prune out the fronds/],
  ['How often do I water it?', /^Water it once a week\.$/],
  ['How much do I spray?', /^As much and as often as the label/],
  ['When do I spray it?', /^Not now, but so: Spray sulfur as the label says\. \(about/],
  ['Can I sing to it?', /^The library has no answer to that/],
  ['Is it rust?', /^(Very likely|Probably|Most likely) yes: ring rust \(\d+ %\)\.$/],
  ['Is it galls?', /^Probably not galls: what was said speaks for ring rust\.$/],
  ['What could I plant instead?', /^Nothing is known here that is surely better/],
])('answers "%s" of a fern with rings', (request, answer) => {
  const [first, ...others] = answersTo(`My fern has rings. ${request}`);
  expect(first).toMatch(answer);
  expect(others).toEqual([]);
});

it.each([
  ['My fern has bumps. Is it serious?', /^Galls do no harm\.$/],
  ['My fern has bumps. What can I do?', /^Galls do no harm\.$/],
  ['My fern has scabs. Can I eat it?', /^Peeled fruit is good to eat\.$/],
  ['My fern has holes. Can I eat it?', /^Nobody can say that from a description/],
  ['My foxglove has scabs. Can I eat it?', /^No: this plant is poisonous/],
  ['My fern has pox. Can I eat it?', /^Do not eat the spotted fronds\.$/],
  ['My fern has rings. Can I eat it?', /^Nobody can say that from a description/],
  ['My foxglove has rings. Can I eat it?', /^No: this plant is poisonous/],
  ['My foxglove has rings. Is it safe for the dog?', /^No: this plant is poisonous/],
  [
    'My fern has rings. Is it safe for the dog?',
    /^Keep children and animals away until a product is dry/,
  ],
])('"%s"', (words, answer) => {
  expect(answersTo(words)[0]).toMatch(answer);
});

describe('a theory in other words than the names of causes', () => {
  const causes = [
    { id: 'root-rot', name: 'Root rot from wet soil' },
    { id: 'thirst', name: 'Lack of water' },
    { id: 'drift', name: 'Herbicide drift' },
    { id: 'blight', name: 'Sudden blight' },
  ].map(({ id, name }, n) => ({
    id,
    findings: { rings: n === 0 ? 'always' : 'often' },
    extra: { name },
  }));
  const wondering = createConsultant(miniLibrary([finding('rings', 'rings')], causes));
  it.each([
    ['Did I drown it?', /root rot from wet soil is the likeliest so far|yes: root rot/],
    ['Did I water it too much?', /root rot from wet soil/],
    ['Is it thirsty?', /lack of water is possible, but not the likeliest/],
    ['Could it be weedkiller?', /herbicide drift/],
    ['Could it be blight?', /sudden blight/],
  ])('"%s"', (theory, answer) => {
    const words = `My fern has rings. ${theory}`;
    const { answers } = wondering(enquiry(words));
    expect(answers.map((one) => answerText(one, enquiry(words).today))).toEqual([
      expect.stringMatching(answer),
    ]);
  });
});

describe('a product that the plan does without', () => {
  const [words, spray] = ['My fern has rings. Should I spray it?', 'poison'];
  const others = ['snip', 'pull', 'dry', 'thin', 'wash'];
  const answered = (change: Record<string, unknown>, more: Partial<Enquiry> = {}) => {
    const library = miniLibrary(
      [finding('rings', 'rings'), finding('near-open-water', 'pond')],
      [
        {
          id: 'ring-rust',
          findings: { rings: 'always' },
          extra: {
            name: 'Ring rust',
            treatments: [
              ...others.map((use) => ({ use, effect: 'strong' })),
              { use: spray, effect: 'slight' },
            ],
          },
        },
      ],
      {
        'treatments/t.yaml': [
          ...others.map((id) => treatment(id, 'Do it by hand.')),
          treatment(spray, 'Dust it as the label says.', {
            name: 'Strong dust',
            rung: 'conventional',
            classes: ['fungicide'],
            organic: false,
            ...change,
          }),
        ],
      },
    );
    const { today } = enquiry(words);
    return createConsultant(library)(enquiry(words, more)).answers.map((one) =>
      answerText(one, today),
    );
  };
  it('is named as what may come later', () => {
    expect(answered({})).toEqual([expect.stringMatching(/^Not first: .*strong dust; the label/)]);
  });
  it.each([
    [
      'only a licence holder may use it',
      { who: 'licensed' },
      {},
      /^Not by yourself: that is for a licensed applicator/,
    ],
    ['it is a hazard to pets', { hazards: ['pets'] }, {}, /^No: strong dust\. Not where a pet/],
    ['the approach is organic', {}, { approach: 'organic' as const }, /^No: strong dust\. Hidden/],
  ])('is refused where %s', (_, change, more, text) => {
    expect(answered(change, more)).toEqual([expect.stringMatching(text)]);
  });
});

it('answers each request by itself, in the order of the text', () => {
  const found = consultant(enquiry('My fern has rings. Should I prune it, and will it die?'));
  expect(found.answers.map(({ request }) => request.kind)).toEqual(['may-do', 'is-problem']);
});

it('allows no product where it is not clear what it is', () => {
  const [answer] = answersTo('My fern looks odd. Should I spray it?');
  expect(answer).toMatch(/^No: .*The cause is not sure enough for any product yet\.$/);
});

describe('a request alone', () => {
  const topic = (id: string, phrase: string) => ({
    id: `care-${id}`,
    name: `How to ${id}`,
    hosts: { fern: 'usual' },
    phrases: [phrase],
    say: `You ${id} it in spring.`,
    steps: [{ text: `In spring ${id} it with care.`, rung: 'hand' }],
    source: 'practice',
  });
  const asking = createConsultant(
    miniLibrary(
      [finding('rings', 'rings'), { id: 'wet', extra: { kind: 'context', part: 'soil' } }],
      [{ id: 'ring-rust', findings: { rings: 'always', wet: 'often' } }],
      { 'care/c.yaml': [topic('divide', 'divide'), topic('sow', 'sow')] },
    ),
  );
  const words = 'When should I divide my fern?';
  const answered = (id: string, value: boolean) => ({
    kind: 'answered' as const,
    finding: findingId(id),
    value,
    sure: 0.9,
  });

  it('is answered at once, without a question', () => {
    const found = asking(enquiry(words));
    expect(found.stopping).toMatchObject({ settled: true, reason: { code: 'request-answered' } });
    expect(found.answers.map((one) => answerText(one, enquiry(words).today))).toEqual([
      'You divide it in spring.',
    ]);
  });

  it('stays one when nothing ill is found, and is one no more when something is', () => {
    const settledAfter = (id: string, value: boolean): string =>
      asking(enquiry(words, { answers: [answered(id, value)] })).stopping.reason.code;
    expect(settledAfter('rings', false)).toBe('request-answered');
    expect(settledAfter('wet', true)).toBe('request-answered');
    expect(settledAfter('rings', true)).not.toBe('request-answered');
  });

  it('is none where it is asked what something is, or whether it matters', () => {
    for (const complaint of ['What is wrong with my fern?', 'Is that a blight on my fern?'])
      expect(asking(enquiry(complaint)).stopping.reason.code).not.toBe('request-answered');
  });
});

it('answers once what is asked twice in one breath', () => {
  const consultant = createConsultant(LIBRARY);
  const asked = (words: string) =>
    consultant(enquiry(words)).answers.map(({ request }) =>
      words.slice(request.span.start, request.span.end),
    );
  expect(asked('rings on the fern. How much do I soak it and how often?')).toEqual([
    'How much do I soak it and how often',
  ]);
  expect(asked('rings on the fern. How often do I soak it? What is it?')).toHaveLength(2);
});
