import { CHANNELS } from '../core/advice/context.ts';
import type { Caution, Headline, HeadlineEnd, NotDoingReason } from '../core/advice/messages.ts';
import { day } from '../test/setting.ts';
import { cautionText, headlineText, notDoingText, referralText, stepText } from './advice.ts';

const today = day('2026-06-24');
const next = { from: day('2026-08-10'), to: day('2026-09-01') };
const headline = (then: HeadlineEnd, rest: object = {}): Headline => ({
  code: 'lead',
  cause: 'Japanese beetle',
  probability: 0.9,
  together: [],
  say: 'Beetles eat the leaves.',
  isCare: false,
  then,
  ...rest,
});
const aloud = (then: HeadlineEnd, rest: object = {}): string =>
  headlineText(headline(then, rest), today);

it('names the cause, how likely it is, and what follows', () => {
  expect(aloud({ code: 'start-now' })).toBe(
    'Very likely: Japanese beetle. Beetles eat the leaves. Start now.',
  );
  expect(aloud(null, { probability: 0.5, together: ['Rose rust'] })).toBe(
    'Most likely: Japanese beetle together with rose rust. Beetles eat the leaves.',
  );
});

it('names no diagnosis for a question of care, and none where no cause leads', () => {
  expect(aloud(null, { isCare: true })).toBe('Beetles eat the leaves.');
  expect(headlineText({ code: 'no-cause-yet' }, today)).toMatch(/does not point to a cause/);
});

it.each<[HeadlineEnd, RegExp]>([
  [{ code: 'wait', next }, /The time for it is about 10 August to 1 September\.$/],
  [{ code: 'too-late', next: null, why: null }, /the next window is in its season\.$/],
  [
    { code: 'too-late', next: null, why: 'It is over.' },
    /It is over\. What helps next comes in its season\.$/,
  ],
  [{ code: 'library', text: 'It does no harm.' }, /It does no harm\.$/],
  [{ code: 'find-out' }, /find out first\.$/],
])('ends with %j', (then, end) => {
  expect(aloud(then)).toMatch(end);
});

it.each<[NotDoingReason, RegExp]>([
  [{ code: 'oil-in-heat', maxCelsius: 32 }, /above about 32 C \(90 F\)/],
  [{ code: 'open-blossom' }, /for the bees/],
  [{ code: 'library', text: 'It wounds the bark.' }, /^It wounds the bark\.$/],
])('says why not: %j', (reason, text) => {
  expect(notDoingText(reason)).toMatch(text);
});

it.each<[Caution, RegExp]>([
  [{ code: 'oil-limits', maxCelsius: 32 }, /Not above 32 C \(90 F\)/],
  [{ code: 'label-decides' }, /label names this pest and this plant/],
  [{ code: 'library', text: 'Wear gloves.' }, /^Wear gloves\.$/],
])('cautions: %j', (caution, text) => {
  expect(cautionText(caution)).toMatch(text);
});

it('calls every diagnosis presumptive, however it came in', () => {
  for (const channel of CHANNELS)
    expect(cautionText({ code: 'presumptive', channel })).toContain('presumptive diagnosis');
});

it('says of a step against what it is', () => {
  const step = { code: 'library', text: 'Pick them off.' } as const;
  const against = (isNamed: boolean) => ({ cause: 'Rose rust', isNamed, isCare: false });
  expect(stepText({ ...step, against: null })).toBe('Pick them off.');
  expect(stepText({ ...step, against: against(true) })).toBe('Against rose rust: Pick them off.');
  expect(stepText({ ...step, against: against(false) })).toBe('If it is rose rust: Pick them off.');
  const care = { cause: 'Feeding roses', isNamed: false, isCare: true };
  expect(stepText({ ...step, against: care })).toBe('On feeding roses: Pick them off.');
  expect(referralText('arborist')).toBe('a certified arborist');
});
