import { answerOf } from '../test/consultAnswer.ts';
import { howItWent, howItWentMail } from './howItWent.ts';

const about = {
  clinic: 'Larkspur Quay Plant Clinic',
  enquirer: 'Odile Farrant',
  caseNumber: 7,
  date: '2026-05-30',
  today: '2026-06-13',
  answer: answerOf({}),
};

it('asks by letter what was done and how the plant is, and names the case', () => {
  const asking = howItWent(about);
  const { letter } = asking;
  expect(letter).toContain('Dear Odile Farrant,');
  expect(letter).toContain('on 30 May you asked us about your fern.');
  expect(letter).toContain(about.answer.advice.headline);
  expect(letter).toContain('better, the same, or worse');
  expect(letter).toContain('Larkspur Quay Plant Clinic, case 7');
  expect(howItWentMail(asking)).toContain('X-Unsent: 1');
});

it('asks in one text message', () => {
  const { message } = howItWent(about);
  expect(message.length).toBeLessThanOrEqual(160);
  expect(message).toContain('fern');
});

it('asks without a name, a plant or an answer', () => {
  const { letter } = howItWent({ ...about, enquirer: ' ', answer: null });
  expect(letter).toContain('Hello,');
  expect(letter).toContain('about your plant.');
  expect(letter).not.toContain('We advised');
});
