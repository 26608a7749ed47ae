import { withoutFillers } from './fillers.ts';
import { tokenize } from './tokens.ts';

const words = (text: string): string =>
  withoutFillers(tokenize(text))
    .map(({ word }) => word)
    .join(' ');

it.each([
  ['the leaves are kind of purple', 'the leaves are purple'],
  ['really pretty bad spots', 'bad spots'],
  ['what kind of bug is it', 'what kind of bug is it'],
  ['several kinds of plant', 'several kinds of plant'],
  ['some sort of mite', 'some sort of mite'],
])('%s', (text, left) => {
  expect(words(text)).toBe(left);
});
