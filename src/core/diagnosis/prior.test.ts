import fc from 'fast-check';
import type { Cause } from '../schema/cause.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { listPairs, type Pairs } from './pairs.ts';
import { mixPriors, type WeighedHost } from './prior.ts';

const COUNT = 6;
const ids = Array.from({ length: COUNT }, (_, i) => `c${i}`);
const invites: Record<string, readonly string[]> = { c1: ['c4', 'c0'], c5: ['c2'] };
const library = miniLibrary(
  [{ id: 'seen' }],
  ids.map((id) => ({
    id,
    findings: { seen: 'often' },
    extra: { leadsTo: invites[id] ?? [] },
  })),
);
const causes: readonly Cause[] = [...library.causes.values()].filter(({ id }) => ids.includes(id));
/** All pairs, and only those of which one cause invites the other. */
const FEW_HOSTS = 2;
const MANY_HOSTS = 40;

/** Weights that are mostly the same in every host, some 0, as those of the kinds of a group. */
const hosts = fc
  .tuple(
    fc.array(fc.constantFrom(0, 0.3, 1, 2.5), { minLength: COUNT, maxLength: COUNT }),
    fc.array(
      fc.record({
        share: fc.double({ min: 0.1, max: 1, noNaN: true }),
        at: fc.nat(COUNT - 1),
        weight: fc.constantFrom(0, 0.7, 4),
      }),
      { minLength: 1, maxLength: 5 },
    ),
  )
  .map(([common, list]): readonly WeighedHost[] => {
    const total = list.reduce((sum, { share }) => sum + share, 0);
    return list.map(({ share, at, weight }) => ({
      probability: share / total,
      weights: Float64Array.from(common, (own, i) => (i === at ? weight : own)),
    }));
  });

const pairsOf = (all: boolean): Pairs => listPairs(causes, all ? FEW_HOSTS : MANY_HOSTS);

/** Prior of one host, hypothesis by hypothesis: the slow plain way. */
function plainly({ weights }: WeighedHost, pairs: Pairs): readonly number[] {
  const pairWeights = [...pairs.first].map(
    (i, k) =>
      (weights[i] ?? 0) * (weights[pairs.second[k] ?? -1] ?? 0) * (pairs.causalPairFactor[k] ?? 1),
  );
  const sumOf = (list: readonly number[]): number => list.reduce((sum, one) => sum + one, 0);
  const [ofSingles, ofPairs] = [sumOf([...weights]), sumOf(pairWeights)];
  // Every pair of the causes, whether it is weighed or not; one that invites the other counts six times.
  let ofAll = 0;
  causes.forEach((one, i) => {
    causes.slice(i + 1).forEach((other, k) => {
      const invited = [...one.leadsTo, ...other.leadsTo];
      const factor = invited.includes(one.id) || invited.includes(other.id) ? 6 : 1;
      ofAll += factor * (weights[i] ?? 0) * (weights[i + 1 + k] ?? 0);
    });
  });
  const pairShare = ofPairs > 0 ? (0.14 * ofPairs) / ofAll : 0;
  const singleShare = ofSingles > 0 ? 0.88 - pairShare : 0;
  const whole = 0.12 + singleShare + pairShare;
  return [
    0.08,
    0.04,
    ...[...weights].map((weight) => (ofSingles > 0 ? (singleShare * weight) / ofSingles : 0)),
    ...pairWeights.map((weight) => (ofPairs > 0 ? (pairShare * weight) / ofPairs : 0)),
  ].map((p) => p / whole);
}

it.each([true, false])('mixes the priors of its hosts as the slow plain sum does', (all) => {
  const pairs = pairsOf(all);
  expect(pairs.all).toBe(all);
  fc.assert(
    fc.property(hosts, (list) => {
      const { prior, at } = mixPriors(list, pairs);
      const plain = list.map((host) => plainly(host, pairs));
      prior.forEach((p, h) => {
        const mean = list.reduce(
          (sum, { probability }, n) => sum + probability * (plain[n]?.[h] ?? NaN),
          0,
        );
        expect(p).toBeCloseTo(mean, 12);
        list.forEach((_, n) => expect(at(n, h)).toBeCloseTo(plain[n]?.[h] ?? NaN, 12));
      });
    }),
  );
});

it.each([true, false])('gives the mean of any value under the prior of each host', (all) => {
  const pairs = pairsOf(all);
  const length = 2 + COUNT + pairs.first.length;
  const values = fc.array(fc.double({ min: 0, max: 9, noNaN: true }), {
    minLength: length,
    maxLength: length,
  });
  fc.assert(
    fc.property(hosts, values, (list, value) => {
      const means = mixPriors(list, pairs).priorGivenHost(Float64Array.from(value));
      list.forEach((host, n) => {
        const plain = plainly(host, pairs).reduce((sum, p, h) => sum + p * (value[h] ?? NaN), 0);
        expect(means[n]).toBeCloseTo(plain, 10);
      });
    }),
  );
});

it('gives each cause the prior of the pairs it is in', () => {
  const pairs = pairsOf(true);
  fc.assert(
    fc.property(hosts, (list) => {
      const { prior, pairPrior } = mixPriors(list, pairs);
      causes.forEach((_, i) => {
        let sum = 0;
        pairs.first.forEach((a, k) => {
          if (a === i || pairs.second[k] === i) sum += prior[2 + COUNT + k] ?? NaN;
        });
        expect(pairPrior[i]).toBeCloseTo(sum, 12);
      });
    }),
  );
});
