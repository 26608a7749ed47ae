import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, plantId } from '../../test/setting.ts';
import { hostModelOf } from './hostModel.ts';
import {
  buildNetwork,
  firstPair,
  NOT_IN_LIBRARY,
  NOTHING_WRONG,
  positionsIn,
  unknownCauseProbability,
} from './network.ts';

const library = miniLibrary(
  [{ id: 'sign' }],
  ['a', 'b', 'c'].map((id) => ({ id, findings: { sign: 'often' } })),
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));

it('knows the causes of each hypothesis', () => {
  expect(positionsIn(network, NOTHING_WRONG)).toEqual([]);
  expect(positionsIn(network, NOT_IN_LIBRARY)).toEqual([]);
  expect(positionsIn(network, 2)).toEqual([0]);
  expect(positionsIn(network, 4)).toEqual([2]);
  expect(firstPair(network)).toBe(5);
  expect([5, 6, 7].map((h) => positionsIn(network, h))).toEqual([
    [0, 1],
    [0, 2],
    [1, 2],
  ]);
});

it('has the position of each cause, and no learning without cases', () => {
  network.causes.forEach(({ id }, i) => expect(network.position.get(id)).toBe(i));
  expect([...network.learned]).toEqual([1, 1, 1]);
});

it.each([
  [0.004, 0.4 * Math.sqrt(0.004)],
  [0.1, 0.4 * Math.sqrt(0.1)],
  [0.16, 0.16],
  [0.25, 0.25],
])('takes a background of %d under an unknown cause for %d', (background, expected) => {
  expect(unknownCauseProbability(background)).toBeCloseTo(expected, 12);
});

it('makes the model of a plant once', () => {
  expect(hostModelOf(library, plantId('fern'))).toBe(hostModelOf(library, plantId('fern')));
  expect(hostModelOf(library, null)).not.toBe(hostModelOf(library, plantId('fern')));
});
