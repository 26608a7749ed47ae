import fc from 'fast-check';
import { makeSpeller, slipsBetween, soundOf } from './soundsLike.ts';

it.each([
  ['rhododendron', 'rododendrum'],
  ['chrysanthemum', 'chrysanthemun'],
  ['hydrangea', 'hydrangia'],
  ['phlox', 'flocks'],
  ['azalea', 'azelia'],
  ['fuchsia', 'fuschia'],
])('"%s" sounds like "%s"', (right, wrong) => {
  expect(soundOf(wrong)).toBe(soundOf(right));
});

const spell = makeSpeller(['rhododendron', 'hydrangea', 'geranium', 'rose', 'azalea']);

it.each([
  ['rododendrum', 'rhododendron'],
  ['hydrangia', 'hydrangea'],
  ['geraniam', 'geranium'],
  ['azelea', 'azalea'],
  ['ros', null],
  ['general', null],
  ['hydrant', null],
])('"%s" is meant as %j', (word, meant) => {
  expect(spell(word)).toBe(meant);
});

/** The slow plain version, by its definition. */
function plainly(a: string, b: string): number {
  if (a === '' || b === '') return a.length + b.length;
  const rest = plainly(a.slice(1), b.slice(1)) + (a[0] === b[0] ? 0 : 1);
  const best = Math.min(plainly(a.slice(1), b) + 1, plainly(a, b.slice(1)) + 1, rest);
  return a.length > 1 && b.length > 1 && a[0] === b[1] && a[1] === b[0]
    ? Math.min(best, plainly(a.slice(2), b.slice(2)) + 1)
    : best;
}

it('counts slips as the plain definition does', () => {
  const word = fc.stringMatching(/^[abc]{0,5}$/);
  fc.assert(
    fc.property(word, word, fc.nat({ max: 6 }), (a, b, most) => {
      const slips = plainly(a, b);
      return slipsBetween(a, b, most) === (slips > most ? most + 1 : slips);
    }),
  );
});
