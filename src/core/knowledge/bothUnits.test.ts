import { isInOneSystem } from './bothUnits.ts';

it.each([
  ['Bury it 5 cm deep.', true],
  ['Bury it 2 in deep.', true],
  ['Bury it 5 cm (2 in) deep.', false],
  ['Keep half a meter away.', true],
  ['Keep 1.5 m (5 ft) away.', false],
  ['A foot of row.', false],
  ['It takes two gallons.', true],
  ['One 55-gallon barrel (210 L).', false],
  ['Heat over 32 C.', true],
  ['Heat over 32 C (90 F).', false],
  ['Bred in 2 in the shade, 8 of 10.', true],
  ['Prune in late winter, 3 buds up.', false],
  ['An L of wire in a can.', false],
])('"%s": %s', (text, isOne) => {
  expect(isInOneSystem(text)).toBe(isOne);
});
