import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { findConflicts, type SameWords } from './conflicts.ts';
import type { Report } from './evidence.ts';
import { jointly, priorProbability } from './likelihood.ts';
import { buildNetwork } from './network.ts';
import { weighReports } from './weigh.ts';

const library = miniLibrary(
  [
    { id: 'spots' },
    { id: 'black-spots', extra: { isA: ['spots'], background: 'rare' } },
    { id: 'old', extra: { group: 'age', label: 'Old leaves' } },
    { id: 'new', extra: { group: 'age', label: 'New leaves' } },
    { id: 'inner', extra: { part: 'needle' } },
    { id: 'dry', extra: { background: 'telltale', label: 'Dry soil' } },
    { id: 'wet', extra: { background: 'telltale', label: 'Wet soil' } },
    { id: 'cold', extra: { background: 'telltale', label: 'Cold night' } },
  ],
  [
    { id: 'blight', findings: { 'black-spots': 'usual', old: 'often', inner: 'often' } },
    { id: 'scorch', findings: { new: 'often', dry: 'always' } },
    { id: 'rot', findings: { wet: 'always' } },
    { id: 'chill', findings: { cold: 'always' } },
  ],
  {
    'groups/g.yaml': [
      {
        id: 'age',
        question: 'Which leaves?',
        how: 'Compare them.',
        choices: ['old', 'new'],
        source: 'practice',
      },
    ],
  },
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const report = (id: string, value = true): Report => ({ finding: findingId(id), value, sure: 0.9 });
const conflicts = (reports: readonly Report[], sameWords?: SameWords) =>
  findConflicts(library, network, reports, weighReports(library, network, reports), sameWords);

describe('a plain contradiction', () => {
  it('is two choices of one question', () => {
    expect(conflicts([report('old'), report('new'), report('dry')])).toEqual([
      {
        findings: ['old', 'new'],
        reason: {
          code: 'exclusive',
          labels: ['Old leaves', 'New leaves'],
          question: 'Which leaves?',
        },
      },
    ]);
    expect(conflicts([report('old'), report('new', false)])).toEqual([]);
  });

  it('is a kind without the thing itself', () => {
    expect(conflicts([report('black-spots'), report('spots', false)])).toEqual([
      {
        findings: ['black-spots', 'spots'],
        reason: {
          code: 'kind-denied',
          special: 'Finding black-spots',
          general: 'Finding spots',
        },
      },
    ]);
    expect(conflicts([report('spots'), report('black-spots', false)])).toEqual([]);
    expect(conflicts([report('spots', false)])).toEqual([]);
  });

  it('is needles with leaves', () => {
    expect(conflicts([report('inner'), report('old'), report('dry')])).toMatchObject([
      { findings: ['inner', 'old', 'dry'], reason: { code: 'needles-and-leaves' } },
    ]);
    expect(conflicts([report('inner')])).toEqual([]);
    expect(conflicts([report('old')])).toEqual([]);
    expect(conflicts([report('inner', false), report('old')])).toEqual([]);
  });
});

describe('reports seldom made together', () => {
  const pairs = [report('dry'), report('wet'), report('cold')];

  it('are asked back, the worst pair alone', () => {
    const [one, ...more] = conflicts(pairs);
    expect(more).toEqual([]);
    const ratios = [
      ['dry', 'wet'],
      ['dry', 'cold'],
      ['wet', 'cold'],
    ].map((ids) => {
      const [a, b] = weighReports(
        library,
        network,
        ids.map((id) => report(id)),
      ).map(({ likelihood }) => likelihood);
      if (!a || !b) throw new Error('a report was not weighed');
      const together = priorProbability(network, jointly(a, b));
      return {
        ids,
        ratio: (priorProbability(network, a) * priorProbability(network, b)) / together,
      };
    });
    const [worst] = ratios.sort((a, b) => b.ratio - a.ratio);
    expect(worst?.ratio).toBeGreaterThan(2.2);
    expect(one?.findings).toEqual(worst?.ids);
    expect(one?.reason).toEqual({
      code: 'seldom-together',
      labels: worst?.ids.map((id) => library.findings.get(findingId(id))?.label),
    });
  });

  it('are left where both were read from the same words', () => {
    expect(conflicts([report('dry'), report('wet')], () => true)).toEqual([]);
    expect(conflicts([report('dry'), report('wet')])).toHaveLength(1);
  });

  it('are left where one is denied, or they go together', () => {
    expect(conflicts([report('dry'), report('wet', false)])).toEqual([]);
    expect(conflicts([report('black-spots'), report('old')])).toEqual([]);
  });

  it('are not looked for beside a plain contradiction', () => {
    const all = conflicts([...pairs, report('old'), report('new')]);
    expect(all.map(({ reason }) => reason.code)).toEqual(['exclusive']);
  });
});
