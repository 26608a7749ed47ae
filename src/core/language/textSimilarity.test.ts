import { miniLibrary } from '../../test/miniLibrary.ts';
import { causeId, circumstancesAt, plantId } from '../../test/setting.ts';
import { buildNetwork, FIRST_SINGLE } from '../diagnosis/network.ts';
import { likelihoodAt, multiplyAll } from '../diagnosis/likelihood.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { weighWords } from '../diagnosis/textEvidence.ts';
import { similarityToCauses } from './textSimilarity.ts';
import { tokenize } from './tokens.ts';

const library = miniLibrary(
  [
    {
      id: 'grub',
      extra: { label: 'Orange grub inside', question: 'Is a maggot inside the blister?' },
    },
  ],
  [
    { id: 'miner', findings: { grub: 'usual' }, extra: { say: 'A fly whose young live inside.' } },
    { id: 'rust', findings: { grub: 'seldom' }, extra: { say: 'A fungus with orange dust.' } },
    { id: 'rot', findings: { grub: 'seldom' }, extra: { say: 'A fungus of wet soil.' } },
  ],
);
const alike = (words: string) => similarityToCauses(library.descriptions(), tokenize(words));
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));

it('finds the cause whose description shares the rarer words', () => {
  const of = alike('there is an orange maggot living inside');
  expect(of(causeId('miner'))).toBeGreaterThan(of(causeId('rust')));
  expect(of(causeId('rust'))).toBeGreaterThan(of(causeId('rot')));
});

it('takes nothing from empty words, from repeats or from words nobody uses', () => {
  expect(alike('it is the plant that I have')(causeId('miner'))).toBe(0);
  expect(alike('xylophone')(causeId('miner'))).toBe(0);
  expect(alike('maggot maggot')(causeId('miner'))).toBe(alike('maggot')(causeId('miner')));
});

it('moves a cause by no more than a weak sign, and weighs pairs by their likest member', () => {
  const of = (id: string) => (id === 'miner' ? 100 : id === 'rust' ? 2 : 0);
  const words = { similarity: of, fit: of, asks: false, reportsTrouble: false };
  const [wording] = weighWords(network, words);
  if (!wording) throw new Error('nothing weighed');
  const weights = network.prior.slice();
  multiplyAll(weights, network, [], wording.factors);
  network.prior.forEach((p, h) => {
    expect(weights[h]).toBeCloseTo(p * likelihoodAt(network, wording.likelihood, h), 12);
  });
  const factor = likelihoodAt(network, wording.likelihood, FIRST_SINGLE);
  expect(10 * Math.log10(factor)).toBeLessThan(18);
  const total = weighAll(library, network, [], 0, words).posterior.hypotheses;
  expect(total.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 12);
});
