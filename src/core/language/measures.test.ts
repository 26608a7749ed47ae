import fc from 'fast-check';
import { findLengths, mixedUpLengths, oddLengths } from './measures.ts';

it('finds lengths in digits and words', () => {
  const found = findLengths('planted five inches deep, 2 ft from a wall, about 30 cm tall');
  expect(found.map(({ amount, unit }) => [amount, unit])).toEqual([
    [5, 'inch'],
    [2, 'foot'],
    [30, 'centimetre'],
  ]);
  expect(found[0]?.metres).toBeCloseTo(0.127, 6);
});

it('notices the same number in two units', () => {
  const text = 'I put them five inches down. No, five feet down!';
  const [pair] = mixedUpLengths(text);
  expect(pair?.map(({ span }) => text.slice(span.start, span.end))).toEqual([
    'five inches',
    'five feet',
  ]);
  expect(mixedUpLengths('five feet wide and six inches deep')).toEqual([]);
});

it('keeps spans inside any text', () => {
  fc.assert(
    fc.property(fc.string(), (text) =>
      findLengths(text).every(({ span }) => span.start >= 0 && span.end <= text.length),
    ),
  );
});

it.each([
  ['spots five feet wide', ['spots']],
  ['the asparagus spears are five feet tall', ['spears']],
  ['a beetle two feet long on the leaf', ['beetle']],
  ['the tree is 2 inches tall', ['tree']],
  ['spots 3 mm wide', []],
  ['a tree of 40 feet', []],
  ['five feet from the house. The spots are new', []],
  ['it is five feet tall', []],
])('asks back about "%s"', (text, things) => {
  expect(oddLengths(text).map(({ thing }) => thing)).toEqual(things);
});
