import fc from 'fast-check';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import type { Report } from './evidence.ts';
import {
  jointly,
  likelihoodAt,
  multiplyAll,
  priorProbability,
  type Likelihood,
} from './likelihood.ts';
import { buildNetwork } from './network.ts';
import { nonMentionOf } from './nonMention.ts';
import { weighReports } from './weigh.ts';

const library = miniLibrary(
  [
    { id: 'general' },
    { id: 'special', extra: { isA: ['general'], background: 'rare' } },
    { id: 'kind', extra: { isA: ['general'], background: 'telltale' } },
    { id: 'other' },
    { id: 'old', extra: { group: 'age' } },
    { id: 'new', extra: { group: 'age' } },
  ],
  [
    { id: 'a', findings: { special: 'usual', kind: 'often', old: 'nearly-always' } },
    { id: 'b', findings: { general: 'usual', new: 'always' }, extra: { leadsTo: ['c'] } },
    { id: 'c', findings: { other: 'always', old: 'often', special: 'always' } },
    { id: 'd', findings: { other: 'sometimes', new: 'seldom' } },
    { id: 'e', findings: { kind: 'always', other: 'seldom' }, extra: { common: 'rare' } },
  ],
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const ids = ['general', 'special', 'kind', 'other', 'old', 'new'].map(findingId);

const evidence = fc
  .array(
    fc.record({
      finding: fc.constantFrom(...ids),
      value: fc.boolean(),
      sure: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((reports: readonly Report[]): readonly Likelihood[] => [
    ...weighReports(library, network, reports).map(({ likelihood }) => likelihood),
    ...ids.flatMap((id) => {
      const node = network.node(id);
      return node ? [nonMentionOf(node, 0.4)] : [];
    }),
  ]);

/** Every hypothesis one by one: the slow plain way. */
const plainly = (list: readonly Likelihood[]): readonly number[] =>
  [...network.prior].map((p, h) =>
    list.reduce((weight, one) => weight * likelihoodAt(network, one, h), p),
  );

it('multiplies as one would hypothesis by hypothesis, however many there are', () => {
  fc.assert(
    fc.property(evidence, fc.integer({ min: 1, max: 12 }), (few, times) => {
      const list = Array.from({ length: times }, () => few).flat();
      const weights = network.prior.slice();
      const logScale = multiplyAll(weights, network, list);
      const plain = plainly(list);
      const [largest, most] = [Math.max(...plain), Math.max(...weights)];
      plain.forEach((weight, h) =>
        expect((weights[h] ?? NaN) / most).toBeCloseTo(weight / largest, 9),
      );
      expect(Math.abs(logScale + Math.log(most / largest))).toBeLessThan(1e-6);
    }),
    { numRuns: 60 },
  );
});

it('finds the chance of one report and of two as the sum over all hypotheses', () => {
  const sumOf = (list: readonly Likelihood[]): number =>
    plainly(list).reduce((total, weight) => total + weight, 0);
  fc.assert(
    fc.property(evidence, (list) => {
      const [a, b] = [list[0], list.at(-1)];
      if (!a || !b) throw new Error('no evidence drawn');
      expect(priorProbability(network, a)).toBeCloseTo(sumOf([a]), 10);
      expect(priorProbability(network, jointly(a, b))).toBeCloseTo(sumOf([a, b]), 10);
    }),
  );
});
