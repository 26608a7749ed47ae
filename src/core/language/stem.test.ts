import { stem } from './stem.ts';

it.each([
  ['leaves', 'leaf'],
  ['spots', 'spot'],
  ['spotted', 'spot'],
  ['curling', 'curl'],
  ['branches', 'branch'],
  ['berries', 'berry'],
  ["tree's", 'tree'],
  ["didn't", 'didnt'],
  ['grey', 'gray'],
  ['dying', 'die'],
])('folds %s to the stem of %s', (word, like) => {
  expect(stem(word)).toBe(stem(like));
});

it.each([
  ['grass', 'gras'],
  ['citrus', 'citru'],
  ['spring', 'spr'],
  ['red', 'r'],
])('leaves %s whole', (word, cut) => {
  expect(stem(word)).not.toBe(cut);
});

it.each([
  ['cane', 'can'],
  ['pines', 'pins'],
  ['striped', 'strip'],
  ['sage', 'sag'],
  ['fire', 'fir'],
  ['bites', 'bit'],
  ['note', 'not'],
  ['planted', 'plant'],
])('keeps "%s" from "%s"', (a, b) => {
  expect(stem(a)).not.toBe(stem(b));
});
