import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { reliabilityOf, reportLikelihood, type Report } from './evidence.ts';
import { likelihoodAt, presenceAt } from './likelihood.ts';
import { buildNetwork, FIRST_SINGLE } from './network.ts';
import {
  affirmedBy,
  affirmedGeneral,
  groupNodes,
  isRelevant,
  probabilityGivenMore,
  weighReports,
  withoutImplied,
} from './weigh.ts';

const library = miniLibrary(
  [
    { id: 'spots' },
    { id: 'black-spots', extra: { isA: ['spots'], background: 'rare' } },
    { id: 'white-spots', extra: { isA: ['spots'], background: 'rare' } },
    { id: 'old', extra: { group: 'age' } },
    { id: 'new', extra: { group: 'age' } },
    { id: 'elsewhere' },
  ],
  [
    { id: 'blight', findings: { 'black-spots': 'usual', old: 'nearly-always' } },
    { id: 'mildew', findings: { 'white-spots': 'usual', 'black-spots': 'seldom', new: 'often' } },
    { id: 'stranger', findings: { elsewhere: 'always' }, extra: { hosts: { moss: 'usual' } } },
  ],
  { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', source: 'judgement' }] },
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const report = (id: string, value = true): Report => ({ finding: findingId(id), value, sure: 0.9 });
const reported = (...ids: (Report | string)[]) =>
  ids.map((one) => (typeof one === 'string' ? report(one) : one));
const idsOf = (reports: readonly { readonly finding: string }[]) =>
  reports.map(({ finding }) => finding);
const blight = FIRST_SINGLE + network.causes.findIndex(({ id }) => id === 'blight');
const nodeOf = (id: string) => {
  const node = network.node(findingId(id));
  if (!node) throw new Error(`no node ${id}`);
  return node;
};
const presence = (id: string) => presenceAt(network, nodeOf(id), blight);

it('takes what is affirmed with all that it implies', () => {
  const known = affirmedBy(library, reported('black-spots', report('old', false)));
  expect([...known].sort()).toEqual(['black-spots', 'spots']);
  expect(affirmedGeneral(library, findingId('white-spots'), known)).toBe('spots');
  expect(affirmedGeneral(library, findingId('spots'), known)).toBeNull();
  expect(affirmedGeneral(library, findingId('old'), known)).toBeNull();
});

it('gives the chance of a kind where the thing itself is there', () => {
  expect(probabilityGivenMore(0.2, 0.5)).toBeCloseTo(0.4, 12);
  expect(probabilityGivenMore(0.6, 0.5)).toBe(1);
  expect(probabilityGivenMore(0.2, 0)).toBe(0);
});

describe('what is counted once', () => {
  const left = (...ids: (Report | string)[]) =>
    withoutImplied(library, reported(...ids)).map(({ finding, value }) =>
      value ? finding : `no ${finding}`,
    );
  it('is the kind instead of the thing', () => {
    expect(left('spots', 'black-spots', 'old')).toEqual(['black-spots', 'old']);
    expect(left('black-spots', 'white-spots')).toEqual(['black-spots', 'white-spots']);
  });
  it('is the denied thing instead of its denied kinds', () => {
    expect(left(report('spots', false), report('black-spots', false))).toEqual(['no spots']);
  });
  it('is both where one is affirmed and the other denied', () => {
    expect(left('spots', report('black-spots', false))).toEqual(['spots', 'no black-spots']);
  });
  it('is all where nothing implies another', () => {
    const all = reported('old', 'elsewhere');
    expect(withoutImplied(library, all)).toBe(all);
  });
});

describe('a report that is weighed', () => {
  const chance = (reports: readonly Report[], id: string): number | undefined => {
    const one = weighReports(library, network, reports).find(({ finding }) => finding === id);
    return one && likelihoodAt(network, one.likelihood, blight);
  };

  it('is one that some cause of the plant shows', () => {
    expect(isRelevant(nodeOf('old'))).toBe(true);
    expect(isRelevant(nodeOf('elsewhere'))).toBe(false);
    expect(idsOf(weighReports(library, network, reported('elsewhere', 'old')))).toEqual(['old']);
  });

  it('counts as likely as it is heard where the sign is as frequent', () => {
    const reliability = reliabilityOf(0.9, 0.1);
    for (const value of [true, false])
      expect(chance([report('spots', value)], 'spots')).toBeCloseTo(
        reportLikelihood(presence('spots'), value, reliability),
        12,
      );
  });

  it('counts as a kind of what is known beside it', () => {
    const reliability = reliabilityOf(0.9, nodeOf('black-spots').background);
    const share = presence('black-spots') / presence('spots');
    expect(chance([report('spots'), report('black-spots', false)], 'black-spots')).toBeCloseTo(
      reportLikelihood(share, false, reliability),
      12,
    );
  });

  it('carries the thing in the first kind by name, and only which kind in the next', () => {
    const both = reported('white-spots', 'black-spots');
    const ofBlack = reliabilityOf(0.9, nodeOf('black-spots').background);
    const ofWhite = reliabilityOf(0.9, nodeOf('white-spots').background);
    expect(chance(both, 'black-spots')).toBeCloseTo(
      reportLikelihood(presence('black-spots'), true, ofBlack),
      12,
    );
    expect(chance(both, 'white-spots')).toBeCloseTo(
      reportLikelihood(presence('white-spots') / presence('spots'), true, ofWhite),
      12,
    );
  });

  it('counts as a share of the choices of its group', () => {
    expect(new Set(groupNodes(library, network, 'age').map(({ id }) => id))).toEqual(
      new Set(['old', 'new']),
    );
    const share = presence('old') / (presence('old') + presence('new'));
    expect(chance([report('old')], 'old')).toBeCloseTo(
      reportLikelihood(share, true, reliabilityOf(0.9, 1 / 2)),
      12,
    );
  });
});
