import type { ConflictReason } from '../core/diagnosis/conflicts.ts';
import type { StoppingReason } from '../core/questions/stopping.ts';
import { conflictText, openQuestion, stoppingText } from './questions.ts';

const first = { name: 'Apple scab', probability: 0.998 };
const second = { name: 'Cedar rust', probability: 0.2 };

it.each<[StoppingReason, RegExp]>([
  [{ code: 'leader-clear', first }, /^Apple scab stands at over 99 %;/],
  [{ code: 'leader', first: second }, /^Cedar rust leads at 20 %;/],
  [{ code: 'two-open', first, second }, /^Apple scab \(over 99 %\) and cedar rust \(20 %\)/],
  [{ code: 'nothing-reported' }, /^Nothing is reported yet/],
])('says why to stop, or not: %j', (reason, text) => {
  expect(stoppingText(reason)).toMatch(text);
});

it.each<[ConflictReason, string]>([
  [
    { code: 'exclusive', labels: ['Old leaves', 'New leaves'], question: 'Old or new?' },
    'Reported together: old leaves and new leaves. Old or new?',
  ],
  [
    { code: 'exclusive', labels: ['Old leaves', 'New leaves'], question: null },
    'Reported together: old leaves and new leaves. Which is it?',
  ],
  [
    { code: 'kind-denied', special: 'Rust pustules', general: 'Spots' },
    '"Rust pustules" was reported, but "spots" denied. Which holds?',
  ],
])('asks back: %j', (reason, text) => {
  expect(conflictText(reason)).toBe(text);
});

it('asks for the plant, or for the kind of a group', () => {
  expect(openQuestion({ code: 'which-plant' }).how).toMatch(/Needles or leaves/);
  expect(openQuestion({ code: 'which-kind', of: 'Maple' })).toEqual({
    question: 'Which kind of maple is it?',
    how: null,
  });
});

it('asks openly what is to be seen', () => {
  expect(openQuestion({ code: 'what-is-seen' }).question).toMatch(
    /which part .* how has it changed/,
  );
});
