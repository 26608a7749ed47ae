import { readSpeculation } from './speculation.ts';
import { tokenize } from './tokens.ts';

/** The words that are marked, as they stand. */
const marked = (text: string): string => {
  const tokens = tokenize(text);
  const marks = readSpeculation(tokens);
  return tokens
    .filter((_, i) => marks[i])
    .map(({ word }) => word)
    .join(' ');
};

it.each([
  ['Did I drown it?', 'i drown it'],
  ['It is yellow, was it the frost?', 'it the frost'],
  ['Could the squirrels be digging here', 'the squirrels be digging here'],
  ['Is it because I moved it?', 'it because i moved it'],
  ['I wonder if I overfed it', 'if i overfed it'],
  ["I'm going to prune it, the buds are brown", 'to prune it'],
  ['thinking of moving the peony', 'of moving the peony'],
  ["We'll feed it tomorrow", 'feed it tomorrow'],
  ['maybe it was hail', 'it was hail'],
])('"%s": nobody says "%s"', (text, words) => {
  expect(marked(text)).toBe(words);
});

it.each([
  'Why are the leaves yellow?',
  'The leaves are yellow and it was hot',
  'maybe a week ago we had hail',
  'It is yellow since we had frost',
  'Are the holes from slugs?',
])('"%s" speculates about nothing seen', (text) => {
  expect(marked(text)).toBe('');
});

it('ends at a contrast, a pause and the sentence', () => {
  expect(marked('Did it freeze but the oak is fine')).toBe('it freeze');
  expect(marked('Did it freeze here, the oak is brown')).toBe('it freeze here');
  expect(marked('Did it freeze? The oak is brown')).toBe('it freeze');
});
