import { askingSentences, asksOnly } from './asking.ts';
import { readAssertion } from './assertion.ts';
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
  expect(asksOnly(text, tokens, readAssertion(tokens))).toBe(expected);
});

it.each([
  ['The leaves curl. When should I spray?', [1]],
  ['Is it rust? It rubs off.', [0]],
  ['It was streaked dark when cut.', []],
  ['It wilts; how deep do I plant it', [1]],
])('of "%s" the sentences that ask are %j', (text, expected) => {
  const tokens = tokenize(text);
  expect([...askingSentences(text, tokens, readAssertion(tokens))]).toEqual(expected);
});
