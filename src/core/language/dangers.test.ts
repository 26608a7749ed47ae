import { dangerSchema } from '../schema/danger.ts';
import { compileDangers, findDangers } from './dangers.ts';

const danger = (id: string, order: number, signs: string[][], more: Record<string, unknown> = {}) =>
  dangerSchema.parse({
    id,
    order,
    name: 'A danger',
    signs,
    say: 'Get away from it and call for help.',
    call: ['emergency'],
    source: 'judgement',
    ...more,
  });

const DANGERS = compileDangers(
  [
    danger('fire', 2, [['\\bcaught fire\\b']], { unless: '\\bdrill\\b' }),
    danger('eaten', 1, [['\\b{animal}\\b[^,]*\\bate\\b', '\\b{bad}\\b']]),
    danger('air', 3, [["\\bcan't breathe\\b"]]),
    danger('pest', 4, [['\\blongicorn\\b']], { anySense: true }),
  ],
  { animal: ['dogs?', 'cat'], bad: ['bait', 'mushrooms?'] },
);
const found = (words: string): string[] => findDangers(DANGERS, words).map((one) => one.danger.id);

it('needs every pattern of a sign in one sentence', () => {
  expect(found('My dog ate some bait')).toEqual(['eaten']);
  expect(found('My dog ate its food. The bait is in the shed.')).toEqual([]);
});

it('puts the most urgent first, wherever it stands', () => {
  expect(found('The hedge caught fire. The cat ate a mushroom.')).toEqual(['eaten', 'fire']);
});

it.each([
  'If my dog ate bait, what then',
  'could a cat have caught fire',
  'the dog never ate the bait',
  "My dog didn't ever say it ate the bait",
  'The fire drill caught fire',
])('finds none in "%s"', (words) => {
  expect(found(words)).toEqual([]);
});

it('looks for a question only in the clause of the sign', () => {
  expect(found('my dog ate a mushroom, should I worry')).toEqual(['eaten']);
  expect(found('should I worry, my dog ate a mushroom')).toEqual(['eaten']);
});

it('takes a sign that is a denial itself as said', () => {
  expect(found("Now I can't breathe")).toEqual(['air']);
  expect(found('Now I can’t breathe')).toEqual(['air']);
});

it('finds some dangers in a question too', () => {
  expect(found('Is this a longicorn?')).toEqual(['pest']);
});

it('gives the span of the sentence', () => {
  const words = 'Hello. My dog ate bait! Help.';
  const [first] = findDangers(DANGERS, words);
  expect(words.slice(first?.span.start, first?.span.end)).toBe(' My dog ate bait');
});

it('never matches a list that does not exist', () => {
  const lacking = compileDangers([danger('x', 1, [['{nobody}']])], {});
  expect(findDangers(lacking, 'nobody x')).toEqual([]);
});

it('refuses a pattern that is none', () => {
  expect(() => danger('x', 1, [['(']])).toThrow('no-pattern');
});

it('finds a danger at the end of words without a full stop', () => {
  expect(found(`${'my hosta has holes and '.repeat(40)} my dog ate bait`)).toEqual(['eaten']);
});

it('finds a danger beside letters that grow when they are made small', () => {
  expect(found('İlke says: My Dog Ate Bait')).toEqual(['eaten']);
});
