import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { buildNetwork, FIRST_SINGLE, NOTHING_WRONG } from './network.ts';
import { likelihoodAt, presenceAt } from './likelihood.ts';
import { mentionProbability, nonMentionOf, unmentioned } from './nonMention.ts';

const library = miniLibrary(
  [
    { id: 'spots', extra: { noticeable: true } },
    { id: 'black-spots', extra: { isA: ['spots'], noticeable: true } },
    { id: 'holes', extra: { noticeable: true } },
    { id: 'small', extra: {} },
    { id: 'elsewhere', extra: { noticeable: true } },
  ],
  [
    { id: 'blight', findings: { 'black-spots': 'usual', small: 'often' } },
    { id: 'beetle', findings: { holes: 'always' } },
    { id: 'stranger', findings: { elsewhere: 'always' }, extra: { hosts: { moss: 'usual' } } },
  ],
  { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', source: 'judgement' }] },
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const silent = (...told: string[]) =>
  unmentioned(
    library,
    network,
    told.map((id) => ({ finding: findingId(id), value: true, sure: 0.9 })),
  )
    .map(({ id }) => id)
    .sort();

it.each([
  [0, 0],
  [9, 0.08],
  [45, 0.4],
  [500, 0.4],
])('of %d words a sign is mentioned with chance %d', (words, chance) => {
  expect(mentionProbability(words)).toBeCloseTo(chance, 12);
});

it('counts what is noticeable on this plant and was not spoken of, in general or as a kind', () => {
  expect(silent()).toEqual(['black-spots', 'holes', 'spots']);
  expect(silent('holes')).toEqual(['black-spots', 'spots']);
  expect(silent('black-spots')).toEqual(['holes']);
  expect(silent('spots')).toEqual(['holes']);
});

it('is the less likely the more often a cause shows the sign', () => {
  const node = network.node(findingId('holes'));
  if (!node) throw new Error('no node');
  const silence = nonMentionOf(node, 0.4);
  const beetle = FIRST_SINGLE + network.causes.findIndex(({ id }) => id === 'beetle');
  for (const hypothesis of [NOTHING_WRONG, beetle])
    expect(likelihoodAt(network, silence, hypothesis)).toBeCloseTo(
      1 - 0.4 * presenceAt(network, node, hypothesis),
      12,
    );
});
