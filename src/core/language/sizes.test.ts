import fc from 'fast-check';
import { saidSizes } from './sizes.ts';

it('takes sides without a unit in feet or metres, as people say it there', () => {
  const [feet, metres] = [true, false].map((inFeet) => saidSizes('the bed is 4x8', inFeet)[0]);
  expect(feet).toMatchObject({ kind: 'area', squareMetres: expect.closeTo(2.97, 2) as number });
  expect(metres).toMatchObject({ kind: 'area', squareMetres: 32 });
});

it('keeps spans inside any text, in order', () => {
  const piece = fc.constantFrom(
    '3',
    ' feet',
    ' tall',
    ' no wait ',
    '12 m',
    ' oak ',
    ' by ',
    '. ',
    'pot',
    'acre',
  );
  fc.assert(
    fc.property(
      fc.array(piece).map((pieces) => pieces.join('')),
      (text) => {
        const found = saidSizes(text, true);
        const starts = found.map(({ span }) => span.start);
        expect(starts).toEqual([...starts].sort((a, b) => a - b));
        return found.every(({ span }) => span.start >= 0 && span.end <= text.length);
      },
    ),
  );
});

it.each([
  ['a shadbush, trunk as thick as my thumb', 0.02],
  ['the trunk is about as big as my wrist', 0.055],
  ['the stem is just as thick as a pencil', 0.007],
])('reads a trunk by what is at hand: %s', (text, metres) => {
  expect(saidSizes(text, true)).toMatchObject([{ kind: 'trunk', metres }]);
});
it('reads no trunk where a leaf is as big as a hand', () => {
  expect(saidSizes('the leaf is as big as my arm', true)).toEqual([]);
});

it.each(['The branches die one by one', 'They come two by two', 'leaves fall, one by one'])(
  'takes "%s" for no bed',
  (text) => {
    expect(saidSizes(text, true).filter(({ kind }) => kind === 'area')).toEqual([]);
  },
);
it('takes a bed of one by one with its unit for one', () => {
  expect(saidSizes('a bed, one by one meter', true)).toMatchObject([
    { kind: 'area', squareMetres: 1 },
  ]);
});
