import { stoppingText } from '../../wording/questions.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { findConflicts } from '../diagnosis/conflicts.ts';
import { argumentsBetween, argumentsFor, pairArguments } from '../diagnosis/explain.ts';
import type { Report } from '../diagnosis/evidence.ts';
import { buildNetwork, FIRST_SINGLE } from '../diagnosis/network.ts';
import { findCounterfactuals } from './counterfactuals.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { findQuestions, rankQuestions } from './questions.ts';
import { applyStoppingRule } from './stopping.ts';
import { addDays } from '../timing/calendar.ts';

const library = miniLibrary(
  [
    { id: 'spots', extra: { label: 'Spots' } },
    { id: 'rust', extra: { label: 'Rust pustules', isA: ['spots'], background: 'telltale' } },
    { id: 'webs', extra: { label: 'Webs', background: 'telltale' } },
    { id: 'old', extra: { label: 'Old leaves', group: 'age' } },
    { id: 'new', extra: { label: 'New leaves', group: 'age' } },
    { id: 'shed', extra: { label: 'Needles shed', part: 'needle' } },
  ],
  [
    { id: 'a', findings: { spots: 'always', old: 'usual' }, extra: { common: 'common' } },
    { id: 'b', findings: { rust: 'always', new: 'usual' } },
    { id: 'c', findings: { webs: 'always', shed: 'often' } },
  ],
  {
    'groups/g.yaml': [
      { id: 'age', question: 'Old or new?', choices: ['old', 'new'], source: 'judgement' },
    ],
  },
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const said = (id: string, value = true): Report => ({ finding: findingId(id), value, sure: 0.9 });
const weigh = (...reports: Report[]) => weighAll(library, network, reports, 0);
const change = (...reports: Report[]) => {
  const { posterior, evidence } = weigh(...reports);
  const inquiry = findQuestions(library, network, posterior, reports, new Set());
  return findCounterfactuals(network, inquiry, evidence, (id) => id);
};

describe('what would change the leader', () => {
  it('is the one answer that brings another cause forward', () => {
    const found = change(said('spots'));
    expect(found?.turns).toHaveLength(1);
    const [turn] = found?.turns ?? [];
    const after = weigh(said('spots'), said(turn?.names ?? '', turn?.value)).posterior;
    const leader = [...after.causes.keys()].reduce((x, y) =>
      (after.causes[y] ?? 0) > (after.causes[x] ?? 0) ? y : x,
    );
    expect(network.causes[leader]?.id).toBe(found?.leader);
    expect(found?.leader).not.toBe('a');
  });

  it('takes back what was said when no new answer could', () => {
    const found = change(
      said('webs'),
      said('spots', false),
      said('old', false),
      said('new', false),
    );
    expect(found?.turns.some(({ retracts }) => retracts) ?? true).toBe(true);
  });
});

describe('explanation', () => {
  it('weighs any two causes as the difference of each against nothing wrong', () => {
    const { evidence } = weigh(said('rust'), said('old'));
    const sum = (list: readonly { decibans: number }[]): number =>
      list.reduce((total, one) => total + one.decibans, 0);
    const between = argumentsBetween(network, evidence, FIRST_SINGLE, FIRST_SINGLE + 1);
    expect(sum(between)).toBeCloseTo(
      sum(argumentsFor(network, evidence, 0)) - sum(argumentsFor(network, evidence, 1)),
      6,
    );
    expect(between[0]?.finding).toBe('rust');
  });

  it('says what a pair explains that its members alone do not', () => {
    const { posterior, evidence } = weigh(said('rust'), said('webs'), said('shed'));
    const pair = pairArguments(network, posterior, evidence);
    expect(pair.map(({ alone }) => alone)).toEqual(['b', 'c']);
    expect(pair[0]?.arguments.map(({ finding }) => finding)).toContain('webs');
    expect(pair[1]?.arguments[0]?.finding).toBe('rust');
  });
});

describe('contradictions', () => {
  const conflicts = (...reports: Report[]) =>
    findConflicts(library, network, reports, weigh(...reports).evidence);

  it.each([
    ['two choices of one group', [said('old'), said('new')], 'exclusive'],
    ['a kind of what was denied', [said('rust'), said('spots', false)], 'kind-denied'],
    ['needles and leaves', [said('shed'), said('webs')], 'needles-and-leaves'],
  ])('flags %s', (_name, reports, code) => {
    expect(conflicts(...reports)[0]?.reason.code).toBe(code);
  });

  it('flags two signs that no one cause shows, where two causes at once are rare', () => {
    const many = miniLibrary(
      Array.from({ length: 12 }, (_, i) => ({ id: `s${i}`, extra: { background: 'telltale' } })),
      Array.from({ length: 12 }, (_, i) => ({ id: `c${i}`, findings: { [`s${i}`]: 'always' } })),
    );
    const net = buildNetwork(many, plantId('fern'), circumstancesAt(many));
    const reports = [said('s1'), said('s7')];
    const { evidence } = weighAll(many, net, reports, 0);
    expect(findConflicts(many, net, reports, evidence)[0]?.reason.code).toBe('seldom-together');
  });

  it('is silent when all goes together', () => {
    expect(conflicts(said('spots'), said('old'))).toEqual([]);
  });
});

describe('settled', () => {
  const state = (...reports: Report[]) => {
    const { posterior } = weigh(...reports);
    const questions = rankQuestions(library, network, posterior, reports, new Set());
    return applyStoppingRule(network, posterior, questions, [], reports.length);
  };

  it('is not so before anything is reported', () => {
    expect(state().settled).toBe(false);
  });

  it('names the leader and why nothing is left to ask', () => {
    const done = state(said('webs'), said('shed'), said('spots', false), said('old'));
    expect(done.settled).toBe(true);
    expect(done.reason).toMatchObject({ code: 'leader-clear', first: { name: 'Cause c' } });
    expect(stoppingText(done.reason)).toMatch(/Cause c stands at (over )?\d+ %/);
  });
});

it('ties a finding to the stage that shows it', () => {
  const staged = miniLibrary(
    [{ id: 'adults' }],
    [
      {
        id: 'beetle',
        findings: { adults: 'always' },
        extra: { stages: [{ name: 'adults feed', when: '07-01..08-15', shows: ['adults'] }] },
      },
    ],
  );
  const on = (month: string) =>
    buildNetwork(staged, plantId('fern'), {
      ...circumstancesAt(staged),
      today: addDays(circumstancesAt(staged).today, month === 'july' ? 32 : -60),
    }).node(findingId('adults'))?.inhibition[0] ?? NaN;
  expect(on('july')).toBeCloseTo(0.03, 9);
  expect(on('april')).toBeGreaterThan(0.85);
});

it('counts two kinds of one general finding as a network with the general one would', () => {
  const kinds = miniLibrary(
    [{ id: 'g' }, { id: 's1', extra: { isA: ['g'] } }, { id: 's2', extra: { isA: ['g'] } }],
    [
      { id: 'a', findings: { g: 'always', s1: 'often', s2: 'sometimes' } },
      { id: 'b', findings: { g: 'often', s1: 'often' } },
    ],
  );
  const net = buildNetwork(kinds, plantId('fern'), circumstancesAt(kinds));
  const chance = (id: string, h: number): number => {
    const node = net.node(findingId(id));
    return node
      ? 1 - (1 - node.background) * (h < FIRST_SINGLE ? 1 : (node.inhibition[h - 2] ?? 1))
      : NaN;
  };
  // As sure as a report can be, a mistaken one is so rare that it does not show at this precision.
  const reports = ['s1', 's2'].map((id) => ({ finding: findingId(id), value: true, sure: 1 }));
  const { posterior } = weighAll(kinds, net, reports, 0);
  // P(s1, s2 | h) = P(g) P(s1 | g) P(s2 | g), for the two single causes.
  const weight = (h: number): number =>
    ((net.prior[h] ?? 0) * chance('s1', h) * chance('s2', h)) / chance('g', h);
  const ratio = (posterior.hypotheses[2] ?? NaN) / (posterior.hypotheses[3] ?? NaN);
  expect(Math.abs(ratio / (weight(2) / weight(3)) - 1)).toBeLessThan(0.001);
});
