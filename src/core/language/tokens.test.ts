import fc from 'fast-check';
import { tokenize } from './tokens.ts';

it('gives each word its place in the text', () => {
  const text = 'My roses, 2.5 feet tall - wilt. They didn’t.';
  const tokens = tokenize(text);
  expect(tokens.map(({ start, end }) => text.slice(start, end))).toEqual([
    'My',
    'roses',
    '2',
    '5',
    'feet',
    'tall',
    'wilt',
    'They',
    'didn’t',
  ]);
  expect(tokens.map(({ sentence }) => sentence)).toEqual([0, 0, 0, 0, 0, 0, 0, 1, 1]);
  expect(tokens.filter(({ pauseBefore }) => pauseBefore).map(({ word }) => word)).toEqual([
    '2',
    'wilt',
  ]);
});

it('keeps words apart, in order and inside the text', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (text) => {
      const tokens = tokenize(text);
      return tokens.every(
        ({ start, end }, i) =>
          start < end && end <= text.length && start >= (tokens[i - 1]?.end ?? 0),
      );
    }),
  );
});

it('reads right-to-left text and emoji without a slip', () => {
  expect(tokenize('أوراق صفراء 🍅 leaf').map(({ word }) => word)).toEqual([
    'أوراق',
    'صفراء',
    'leaf',
  ]);
});

it('ends no sentence after a shortened word', () => {
  const sentences = (text: string): number[] => tokenize(text).map(({ sentence }) => sentence);
  expect(sentences('My St. Augustine lawn. It is brown')).toEqual([0, 0, 0, 0, 1, 1, 1]);
});
