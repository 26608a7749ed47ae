import { miniLibrary } from '../test/miniLibrary.ts';
import { day } from '../test/setting.ts';
import { createConsultant } from '../core/consult/consult.ts';
import type { ConsultResponse } from '../contracts/consult.ts';
import { NO_PLAN } from '../contracts/cases.ts';
import { answerConsult } from './answerConsult.ts';
import { segmentsOf, sheetMail, sheetMessage, sheetOf, sheetText } from './sheet.ts';

const library = miniLibrary(
  [{ id: 'webbing', extra: { phrases: ['webbing'] } }],
  [{ id: 'mites', findings: { webbing: 'always' }, extra: { leave: 'It goes by itself.' } }],
);
const made = answerConsult(library, createConsultant(library), {
  words: 'webbing on the fern',
  date: '2026-06-13',
  place: { lat: 40, lon: -83 },
});
if (!made.ok) throw new Error(made.error.message);
const plain = made.value;

const step: ConsultResponse['advice']['steps'][number] = {
  id: 'jet',
  name: 'Water jet',
  text: 'Knock them off with a jet of water. Go on for a while.',
  rung: 'hand',
  when: { from: '2026-06-13', to: null, note: 'now' },
  cautions: ['Mind the flowers.'],
  amount: {
    text: 'every 2 to 3 days, 5 cm (2 in) deep',
    value: 2,
    unit: 'days',
    assumed: [],
    bench: null,
  },
  product: false,
};
const answer: ConsultResponse = {
  ...plain,
  advice: {
    ...plain.advice,
    headline: 'Very likely: mites. Start now.',
    answers: [
      { span: [0, 5], request: 'how', asked: 'what do I do', text: 'Wash them off.', steps: [] },
    ],
    steps: [
      step,
      {
        ...step,
        id: 'later',
        amount: null,
        when: { from: '2026-07-01', to: '2026-08-15', note: '' },
      },
    ],
    notDoing: [{ text: 'Oil', why: 'It is too hot.' }],
    refer: ['a certified arborist'],
    cautions: ['It is presumptive.'],
    lookAgain: '2026-06-27',
  },
};
const about = {
  clinic: 'Larkspur Quay Plant Clinic',
  region: 'Tern County',
  reach: '3 Lantern Wharf',
  contacts: [],
  today: day('2026-06-13'),
  caseNumber: 7,
};
const of = (said: ConsultResponse) => ({ answer: said, plan: NO_PLAN, samples: [], dates: {} });
const sheet = sheetOf([of(answer)], about);

it('says everything of the plan in plain text', () => {
  const text = sheetText(sheet);
  for (const said of [
    'From Larkspur Quay Plant Clinic, Tern County',
    '13 June 2026 · Case 7',
    'What to do: fern',
    'Very likely: mites. Start now.',
    '- what do I do? Wash them off.',
    '1. Now: Knock them off with a jet of water.',
    '   How much: every 2 to 3 days, 5 cm (2 in) deep',
    '   Mind: Mind the flowers.',
    '2. 1 July to 15 August: Knock them off',
    '- Oil: it is too hot.',
    '- a certified arborist',
    '- It is presumptive.',
    'Look at the plant again about 27 June.',
  ])
    expect(text).toContain(said);
});

it('holds every plant of the call, and leaves out what is empty', () => {
  const bare = { ...answer, plant: null, advice: { ...answer.advice, notDoing: [], refer: [] } };
  const text = sheetText(sheetOf([of(answer), of(bare)], about));
  expect(text.match(/What to do/g)).toHaveLength(2);
  expect(text.match(/DO NOT/g)).toHaveLength(1);
});

it('puts the first steps into a text message', () => {
  expect(sheetMessage(sheet)).toBe(
    'Fern: Now: Knock them off with a jet of water (every 2 to 3 days, 5 cm deep). 1 July to 15 August: Knock them off with a jet of water. Look at the plant again about 27 June. Larkspur Quay Plant Clinic',
  );
});

it('says what to expect of a cause only where it is likely enough to be acted on', () => {
  const [first] = answer.causes;
  if (!first) throw new Error('no cause');
  const expected = (probability: number, verdict: typeof answer.advice.verdict) => {
    const causes = [{ ...first, probability, expect: 'It mends.' }];
    const said = { ...answer, causes, advice: { ...answer.advice, verdict } };
    return sheetOf([of(said)], about).parts[0]?.expect;
  };
  expect(expected(0.8, 'act-now')).toBe('It mends.');
  expect(expected(0.4, 'act-now')).toBeNull();
  expect(expected(0.8, 'find-out')).toBeNull();
});

// Lengths of GSM 03.38, from memory.
it.each([
  ['a'.repeat(160), 1],
  ['a'.repeat(161), 2],
  ['a'.repeat(307), 3],
  ['ω'.repeat(70), 1],
  ['ω'.repeat(71), 2],
  ['', 1],
])('counts the messages of %s', (text, count) => {
  expect(segmentsOf(text)).toBe(count);
});

describe('the draft of an e-mail', () => {
  const mail = sheetMail(sheet, 'BEGIN:VCALENDAR');
  const partsOf = (text: string): string[] =>
    text.split('--sounding-draft').map((part) => part.split('\r\n\r\n')[1] ?? '');
  const decoded = (part: string | undefined): string =>
    Buffer.from(part ?? '', 'base64').toString('utf8');

  it('opens as a draft with its subject, sheet and calendar', () => {
    expect(mail).toContain('X-Unsent: 1\r\n');
    const subject = /^Subject: =\?utf-8\?B\?(.*)\?=\r\n/.exec(mail)?.[1];
    expect(decoded(subject)).toBe('What to do about your fern');
    const [, body, calendar] = partsOf(mail);
    expect(decoded(body)).toBe(sheetText(sheet));
    expect(decoded(calendar)).toBe('BEGIN:VCALENDAR');
    expect(mail.endsWith('--sounding-draft--\r\n')).toBe(true);
  });
  it('has lines that every mail program takes', () => {
    expect(Math.max(...mail.split('\r\n').map((line) => line.length))).toBeLessThanOrEqual(998);
    // Mail is 7-bit: every other sign is encoded.
    expect(mail).toMatch(/^[\x20-\x7e\r\n]*$/);
  });
  it('goes without a calendar', () => {
    expect(partsOf(sheetMail(sheet, null))).toHaveLength(3);
  });
});
