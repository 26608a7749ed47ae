import fc from 'fast-check';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import type { Report } from './evidence.ts';
import { likelihoodAt, presenceAt } from './likelihood.ts';
import { buildNetwork, firstPair, positionsIn, type Network } from './network.ts';
import { causesOf, posteriorOverHosts, weighAll, type Posterior } from './posterior.ts';
import { withoutImplied } from './weigh.ts';

const library = miniLibrary(
  [
    { id: 'general' },
    { id: 'special', extra: { isA: ['general'], background: 'rare' } },
    { id: 'other' },
    { id: 'old', extra: { group: 'age' } },
    { id: 'new', extra: { group: 'age' } },
    { id: 'elsewhere' },
  ],
  [
    { id: 'a', findings: { special: 'usual', old: 'nearly-always', other: 'often' } },
    { id: 'b', findings: { general: 'usual', new: 'nearly-always' }, extra: { leadsTo: ['c'] } },
    { id: 'c', findings: { other: 'always', old: 'often' } },
    { id: 'd', findings: { other: 'sometimes' } },
    { id: 'stranger', findings: { elsewhere: 'always' }, extra: { hosts: { moss: 'usual' } } },
  ],
  { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', source: 'judgement' }] },
);
const network: Network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const report = (id: string, value: boolean, sure = 0.9): Report => ({
  finding: findingId(id),
  value,
  sure,
});
const weigh = (...reports: Report[]): Posterior => weighAll(library, network, reports, 0).posterior;
const chance = (posterior: Posterior, id: string): number => {
  const position = network.causes.findIndex((cause) => cause.id === id);
  return posterior.causes[position] ?? NaN;
};

const reports = fc.array(
  fc.record({
    finding: fc.constantFrom(...['general', 'special', 'other', 'old', 'new'].map(findingId)),
    value: fc.boolean(),
    sure: fc.double({ min: 0.05, max: 0.99, noNaN: true }),
  }),
  { maxLength: 5 },
);

it('sums to one whatever is reported', () => {
  fc.assert(
    fc.property(reports, (list) => {
      const total = weigh(...list).hypotheses.reduce((sum, p) => sum + p, 0);
      return Math.abs(total - 1) < 1e-12;
    }),
  );
});

it('does not mind the order of evidence', () => {
  fc.assert(
    fc.property(reports, (list) => {
      const [there, back] = [weigh(...list), weigh(...[...list].reverse())];
      return there.hypotheses.every((p, h) => Math.abs(p - (back.hypotheses[h] ?? NaN)) < 1e-12);
    }),
  );
});

it('takes nothing from a finding that no cause of the host shows', () => {
  expect(weigh(report('other', true), report('elsewhere', true))).toEqual(
    weigh(report('other', true)),
  );
  expect(network.causes.map(({ id }) => id)).not.toContain('stranger');
});

it('never raises a cause by contradicting what it shows', () => {
  for (const finding of ['special', 'old', 'other']) {
    expect(chance(weigh(report(finding, false)), 'a')).toBeLessThanOrEqual(
      chance(weigh(), 'a') + 1e-12,
    );
  }
});

it('counts a special finding and its general one once', () => {
  expect(weigh(report('special', true), report('general', true))).toEqual(
    weigh(report('special', true)),
  );
  expect(withoutImplied(library, [report('special', false), report('general', false)])).toEqual([
    report('general', false),
  ]);
});

it('explains a general report by a special finding', () => {
  expect(chance(weigh(report('general', true)), 'a')).toBeGreaterThan(chance(weigh(), 'a'));
});

it('weighs the choices of a group against each other', () => {
  const old = weigh(report('old', true));
  expect(chance(old, 'a')).toBeGreaterThan(chance(old, 'b'));
  expect(chance(weigh(report('new', true)), 'b')).toBeGreaterThan(chance(old, 'b'));
});

it('favours a pair in which one cause invites the other', () => {
  const pairPrior = (x: string, y: string): number => {
    const k = [...network.pairs.first.keys()].findIndex(
      (pair) =>
        network.causes[network.pairs.first[pair] ?? -1]?.id === x &&
        network.causes[network.pairs.second[pair] ?? -1]?.id === y,
    );
    return network.prior[2 + network.causes.length + k] ?? NaN;
  };
  expect(pairPrior('b', 'c')).toBeGreaterThan(2 * pairPrior('b', 'd'));
});

it('holds silence about a noticeable sign a little against its cause', () => {
  const loud = miniLibrary(
    [{ id: 'sign', extra: { noticeable: true } }],
    [
      { id: 'a', findings: { sign: 'always' } },
      { id: 'b', findings: {} },
    ],
  );
  const net = buildNetwork(loud, plantId('fern'), circumstancesAt(loud));
  const [mute, telling] = [0, 0.4].map(
    (silence) => weighAll(loud, net, [], silence).posterior.causes[0] ?? NaN,
  );
  expect(telling).toBeLessThan(mute ?? NaN);
  expect(telling).toBeGreaterThan((mute ?? NaN) * 0.5);
});

it('turns to "not in the library" when no cause explains a rare sign', () => {
  const strange = weigh(report('special', true), report('new', true), report('other', false));
  expect(strange.notInLibrary).toBeGreaterThan(weigh().notInLibrary);
});

it('weighs silence as the slow plain version does', () => {
  const loud = miniLibrary(
    ['x', 'y', 'z'].map((id) => ({ id, extra: { noticeable: true } })),
    [
      { id: 'a', findings: { x: 'always', y: 'often' } },
      { id: 'b', findings: { y: 'usual', z: 'sometimes' } },
      { id: 'c', findings: { z: 'often' } },
    ],
  );
  const net = buildNetwork(loud, plantId('fern'), circumstancesAt(loud));
  const silence = 0.37;
  const plain = net.prior.map((prior, h) =>
    ['x', 'y', 'z'].reduce((weight, id) => {
      const node = net.node(findingId(id));
      return node ? weight * (1 - silence * presenceAt(net, node, h)) : NaN;
    }, prior),
  );
  const total = plain.reduce((sum, weight) => sum + weight, 0);
  weighAll(loud, net, [], silence).posterior.hypotheses.forEach((p, h) => {
    expect(p).toBeCloseTo((plain[h] ?? NaN) / total, 12);
  });
});

describe('the outcome', () => {
  const { posterior } = weighAll(library, network, [report('special', true)], 0);

  it('ranks the causes by their probability, alone or in a pair', () => {
    expect(posterior.ranking).toHaveLength(network.causes.length);
    const chances = posterior.ranking.map((i) => posterior.causes[i] ?? NaN);
    expect(chances).toEqual([...chances].sort((a, b) => b - a));
    network.causes.forEach((_, i) => {
      const sum = [...posterior.hypotheses].reduce(
        (total, p, h) => (positionsIn(network, h).includes(i) ? total + p : total),
        0,
      );
      expect(posterior.causes[i]).toBeCloseTo(sum, 12);
    });
  });

  it('explains by the causes of the likeliest hypothesis', () => {
    expect(posterior.hypotheses[posterior.best]).toBe(Math.max(...posterior.hypotheses));
    expect(posterior.explanation).toEqual(['a']);
    expect(causesOf(network, posterior.best)).toEqual(['a']);
    expect(causesOf(network, firstPair(network))).toHaveLength(2);
    expect(causesOf(network, 0)).toEqual([]);
  });
});

it('weighs no report that nobody is sure of', () => {
  expect(weigh(report('special', true, 0)).hypotheses).toEqual(weigh().hypotheses);
  expect(weighAll(library, network, [report('special', true, 0)], 0).evidence).toEqual([]);
});

it('multiplies all that the words as a whole say', () => {
  const similarity = (id: string) => (id === 'a' ? 2 : id === 'd' ? 1 : 0);
  const words = { similarity, fit: () => 0, asks: false, reportsTrouble: false };
  const { posterior, wording } = weighAll(library, network, [], 0, words);
  expect(wording).toHaveLength(1);
  const plain = [...network.prior].map((p, h) => {
    const [likeness] = wording;
    return p * (likeness ? likelihoodAt(network, likeness.likelihood, h) : NaN);
  });
  const total = plain.reduce((sum, p) => sum + p, 0);
  posterior.hypotheses.forEach((p, h) => expect(p).toBeCloseTo((plain[h] ?? NaN) / total, 12));
});

it('knows a single plant for sure', () => {
  expect(posteriorOverHosts(network, weigh(report('other', true)))).toEqual([1]);
});

it('infers nothing from silence where nobody could have spoken', () => {
  expect(weighAll(library, network, [], 0).posterior.hypotheses).toEqual(weigh().hypotheses);
});
