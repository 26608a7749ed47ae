import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, plantId } from '../../test/setting.ts';
import { likelihoodAt } from './likelihood.ts';
import { buildNetwork, firstPair, FIRST_SINGLE, NOT_IN_LIBRARY, NOTHING_WRONG } from './network.ts';
import { weighAll } from './posterior.ts';
import { weighWords } from './textEvidence.ts';

const library = miniLibrary(
  [{ id: 'sign' }],
  ['rust', 'beetle'].map((id) => ({ id, findings: { sign: 'often' } })),
  {
    'care/c.yaml': [
      {
        id: 'care-prune',
        name: 'How to prune',
        hosts: { fern: 'usual' },
        phrases: ['prune'],
        say: 'You prune it in spring.',
        steps: [{ text: 'Prune it in spring.', rung: 'hand' }],
        source: 'practice',
      },
    ],
  },
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const at = (id: string): number => network.causes.findIndex((cause) => cause.id === id);
const likeness = (values: Readonly<Record<string, number>>) => (id: string) => values[id] ?? 0;
const factor = (
  wording: ReturnType<typeof weighWords>[number] | undefined,
  id: string,
): number | undefined => wording?.factors[at(id)];

it('moves nothing where no words are alike and nothing is asked', () => {
  expect(
    weighWords(network, { similarity: () => 0, fit: () => 0, asks: false, reportsTrouble: false }),
  ).toEqual([]);
});

it('moves a cause by its likeness, a third of its weight, up to a bound', () => {
  const [words, ...more] = weighWords(network, {
    similarity: likeness({ rust: 2, beetle: 100, 'care-prune': -3 }),
    fit: () => 0,
    asks: false,
    reportsTrouble: false,
  });
  expect(more).toEqual([]);
  expect(words).toMatchObject({ finding: 'like-words', value: true, sure: 1 });
  expect(factor(words, 'rust')).toBeCloseTo(Math.exp(0.6), 12);
  expect(factor(words, 'beetle')).toBeCloseTo(Math.exp(4), 12);
  expect(factor(words, 'care-prune')).toBe(1);
  expect(words?.likelihood.support).toEqual([at('rust'), at('beetle')].sort((a, b) => a - b));
});

it('counts of two causes the one whose words are more alike', () => {
  const [words] = weighWords(network, {
    similarity: likeness({ rust: 2, beetle: 1 }),
    fit: () => 0,
    asks: false,
    reportsTrouble: false,
  });
  if (!words) throw new Error('no wording');
  const chance = (hypothesis: number) => likelihoodAt(network, words.likelihood, hypothesis);
  expect([chance(NOTHING_WRONG), chance(NOT_IN_LIBRARY)]).toEqual([1, 1]);
  expect(chance(FIRST_SINGLE + at('beetle'))).toBeCloseTo(Math.exp(0.3), 12);
  const both = firstPair(network) + network.pairs.indexOf(at('rust'), at('beetle'));
  expect(chance(both)).toBeCloseTo(Math.exp(0.6), 12);
});

it('speaks for the questions of care where the text only asks', () => {
  const [asks] = weighWords(network, {
    similarity: () => 0,
    fit: () => 0,
    asks: true,
    reportsTrouble: false,
  });
  expect(asks?.finding).toBe('asks-only');
  expect(factor(asks, 'care-prune')).toBe(15);
  expect(factor(asks, 'rust')).toBe(1);
  const [more] = weighWords(network, {
    similarity: () => 0,
    fit: likeness({ 'care-prune': 2, rust: 2 }),
    asks: true,
    reportsTrouble: false,
  });
  expect(factor(more, 'care-prune')).toBeCloseTo(15 * Math.exp(1.2), 10);
  expect(factor(more, 'rust')).toBe(1);
});

it('speaks against every question of care, also beside a trouble, where a trouble is reported', () => {
  const [reported, ...more] = weighWords(network, {
    similarity: () => 0,
    fit: () => 0,
    asks: false,
    reportsTrouble: true,
  });
  if (!reported) throw new Error('no wording');
  expect(more).toEqual([]);
  expect(reported).toMatchObject({ finding: 'reports-trouble', value: true });
  const chance = (hypothesis: number) => likelihoodAt(network, reported.likelihood, hypothesis);
  expect(chance(FIRST_SINGLE + at('care-prune'))).toBe(0.001);
  expect([NOTHING_WRONG, NOT_IN_LIBRARY, FIRST_SINGLE + at('rust')].map(chance)).toEqual([1, 1, 1]);
  const pair = (a: string, b: string) =>
    chance(firstPair(network) + network.pairs.indexOf(at(a), at(b)));
  expect(pair('rust', 'care-prune')).toBe(0.001);
  expect(pair('rust', 'beetle')).toBe(1);
  const { posterior } = weighAll(library, network, [], 0, {
    similarity: () => 0,
    fit: () => 0,
    asks: false,
    reportsTrouble: true,
  });
  expect(posterior.causes[at('care-prune')]).toBeLessThan(0.001);
});

it('finds nothing to speak against on a plant without questions of care', () => {
  const plain = miniLibrary([{ id: 'sign' }], [{ id: 'rust', findings: { sign: 'often' } }]);
  const alone = buildNetwork(plain, plantId('fern'), circumstancesAt(plain));
  expect(
    weighWords(alone, { similarity: () => 0, fit: () => 0, asks: false, reportsTrouble: true }),
  ).toEqual([]);
});
