import { asksOnly } from './asking.ts';
import { readStance } from './stance.ts';
import { tokenize } from './tokens.ts';

it.each([
  ['Is the end of September a good time for garlic?', true],
  ['Cages or stakes for tomatoes?', true],
  ['how deep do I plant this', true],
  ['Tell me how to store carrots.', true],
  ['The garlic is up.', false],
  ['What is wrong with my maple?', false],
  ['How do I save a dying elm?', false],
])('"%s": %s', (text, expected) => {
  const tokens = tokenize(text);
  expect(asksOnly(text, tokens, readStance(tokens))).toBe(expected);
});
