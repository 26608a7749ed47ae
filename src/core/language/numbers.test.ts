import { EXACT_NUMBER_PATTERN, NUMBER_PATTERN, numberOf } from './numbers.ts';

it.each([
  ['3', 3],
  ['2.5', 2.5],
  ['1,000', 1000],
  ['1/4', 0.25],
  ['1 1/2', 1.5],
  ['four', 4],
  ['Twenty', 20],
  ['twenty-five', 25],
  ['sixty three', 63],
  ['two and a half', 2.5],
  ['a', 1],
  ['a couple of', 2],
  ['a hundred', 100],
])('reads %s', (said, value) => {
  expect(numberOf(said)).toBe(value);
  expect(said).toMatch(new RegExp(`^(?:${NUMBER_PATTERN})$`, 'i'));
});

it.each(['', 'tall', 'half', 'twenty-tall', 'many'])('finds no number in "%s"', (said) => {
  expect(said === '' ? NaN : numberOf(said)).toBeNaN();
  expect(said).not.toMatch(new RegExp(`^(?:${EXACT_NUMBER_PATTERN})$`, 'i'));
});
