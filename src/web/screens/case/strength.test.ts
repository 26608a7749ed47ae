import { strengthInWords } from './strength.ts';

// H. Jeffreys, Theory of Probability (1961), appendix B: half powers of ten, which are 5, 10 and 15 decibans.
it.each([
  [0.5, 'a little'],
  [-4.9, 'a little'],
  [5, 'clearly'],
  [-9.9, 'clearly'],
  [10, 'strongly'],
  [14.9, 'strongly'],
  [15, 'very strongly'],
  [-40, 'very strongly'],
])('calls %d decibans "%s"', (decibans, words) => {
  expect(strengthInWords(decibans)).toBe(words);
});
