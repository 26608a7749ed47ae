import { askedShare, askingSentences, asksOnly } from './asking.ts';
import { readAssertion } from './assertion.ts';
import { readRequests } from './requests.ts';
import { tokenize } from './tokens.ts';

it.each([
  ['Is the end of September a good time for garlic?', true],
  ['Cages or stakes for tomatoes?', true],
  ['how deep do I plant this', true],
  ['Tell me how to store carrots.', true],
  ['The garlic is up.', false],
  ['What is wrong with my maple?', false],
  ['How do I save a dying elm?', false],
  ['Should I take the dead blooms off?', true],
  ['Is my dead elm worth cutting?', false],
  ['any tips for leeks', true],
  ["I'd like to start a herb bed", true],
  ['looking for a shrub for the shade', true],
  ['a friend says to cut the canes now, should I', true],
  ['the canes are cut, and the neighbor helped', false],
])('"%s": %s', (text, expected) => {
  const tokens = tokenize(text);
  expect(asksOnly(text, tokens, readAssertion(tokens), readRequests(tokens))).toBe(expected);
});

it.each([
  ['How do I store carrots', 1],
  ['The leeks are up. When do I thin them', 5 / 9],
  ['The leeks are up.', 0],
  ['Any tips for leeks. They are small.', 4 / 7],
  ['', 0],
])('of "%s" the share that asks is %d', (text, share) => {
  const tokens = tokenize(text);
  const asked = askedShare(text, tokens, readAssertion(tokens), readRequests(tokens));
  expect(asked).toBeCloseTo(share, 10);
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
