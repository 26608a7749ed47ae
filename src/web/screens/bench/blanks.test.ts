import { CALCULATORS } from '../../../core/measures/all.ts';
import { piecesOf, reckon, usualOf } from './blanks.ts';

const [newTree] = CALCULATORS.water;
if (!newTree) throw new Error('no calculator');

it('cuts a sentence at its blanks', () => {
  expect(piecesOf('The pot is {width} wide.')).toEqual([
    { text: 'The pot is ' },
    { blank: 'width' },
    { text: ' wide.' },
  ]);
});

it('begins in the units of the place', () => {
  expect(usualOf(newTree, true)).toEqual({ trunk: '1 in', since: '3 weeks' });
  expect(usualOf(newTree, false)).toEqual({ trunk: '2.5 cm', since: '3 weeks' });
});

it('works out what was typed', () => {
  const { results, faults } = reckon(newTree, { trunk: '2', since: '3 weeks' }, true);
  expect(faults).toEqual({});
  expect(results?.map(({ id }) => id)).toEqual(['each-time', 'every']);
});

it.each([
  [{ trunk: '2 gal', since: '3 weeks' }, 'trunk', 'unknown-unit'],
  [{ trunk: 'thick', since: '3 weeks' }, 'trunk', 'no-number'],
  [{ trunk: '40 ft', since: '3 weeks' }, 'trunk', 'out-of-range'],
  [{ trunk: '2 in', since: ' ' }, 'since', 'missing'],
])('names the blank at fault: %j', (typed, name, code) => {
  const { results, faults } = reckon(newTree, typed, true);
  expect(results).toBeNull();
  expect(Object.keys(faults)).toEqual([name]);
  expect(faults[name]).toMatchObject({ code });
});
