import { miniLibrary, type MiniCause } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { makeDecision } from './decision.ts';
import type { Report } from '../diagnosis/evidence.ts';
import { buildNetwork } from '../diagnosis/network.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { rankQuestions, type Question } from './questions.ts';
import { presenceIn, shortlist } from '../diagnosis/shortlist.ts';

const treatment = (id: string) => ({
  id,
  name: `Do ${id}`,
  rung: 'hand',
  text: `Do ${id} as told.`,
  source: 'judgement',
});
const TREATMENTS = { 'treatments/t.yaml': ['water', 'prune', 'pull'].map(treatment) };
const harm = { plant: 'severe', pace: 'weeks' };
const cause = (id: string, use: string, findings: Record<string, string>): MiniCause => ({
  id,
  findings,
  extra: { harm, treatments: [{ use, effect: 'strong' }] },
});

function ask(
  findings: { id: string; extra?: Record<string, unknown> }[],
  causes: MiniCause[],
  reports: Report[],
  skipped: string[] = [],
  more: Record<string, unknown> = {},
): readonly Question[] {
  const library = miniLibrary(findings, causes, { ...TREATMENTS, ...more });
  const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
  const { posterior } = weighAll(library, network, reports, 0);
  return rankQuestions(library, network, posterior, reports, new Set(skipped));
}

const seen = (id: string, value = true): Report => ({ finding: findingId(id), value, sure: 0.95 });
const FINDINGS = ['shared', 'decides', 'names'].map((id) => ({
  id,
  extra: { background: 'telltale' },
}));

it('finds an answer that changes the advice worth more than one that only sharpens the name', () => {
  // a and b need the same work, c another: "names" tells a from b, "decides" tells c from both.
  const causes = [
    cause('a', 'water', { shared: 'always', names: 'always' }),
    cause('b', 'water', { shared: 'always' }),
    cause('c', 'prune', { shared: 'always', decides: 'always' }),
  ];
  const alone = (id: string, other: string): number =>
    ask(FINDINGS, causes, [seen('shared')], [other]).find(({ finding }) => finding === id)
      ?.netValue ?? NaN;
  expect(alone('decides', 'names')).toBeGreaterThan(2 * alone('names', 'decides'));
  expect(alone('names', 'decides')).toBeGreaterThan(0);
});

it('finds nothing worth asking when one cause is certain', () => {
  const questions = ask(
    FINDINGS,
    [
      cause('a', 'water', { shared: 'always', decides: 'often' }),
      cause('b', 'prune', { names: 'always' }),
    ],
    [seen('shared')],
  );
  expect(questions.every(({ netValue }) => netValue <= 0)).toBe(true);
});

it('never asks what is known, implied, denied by a denial, or cannot be told', () => {
  const findings = [
    { id: 'general' },
    { id: 'special', extra: { isA: ['general'] } },
    { id: 'open' },
    { id: 'untellable' },
  ];
  const causes = [
    cause('a', 'water', { special: 'often', open: 'often', untellable: 'often' }),
    cause('b', 'prune', { general: 'seldom' }),
  ];
  const ids = (reports: Report[]): string[] =>
    ask(findings, causes, reports, ['untellable']).map(({ finding }) => finding);
  expect(ids([seen('special')])).toEqual(['open']);
  expect(ids([seen('general', false)])).toEqual(['open']);
});

it('asks the choices of a group in one breath', () => {
  const findings = ['old', 'new', 'all'].map((id) => ({ id, extra: { group: 'age' } }));
  const causes = [cause('a', 'water', { old: 'always' }), cause('b', 'prune', { new: 'always' })];
  const groups = {
    'groups/g.yaml': [
      {
        id: 'age',
        question: 'Old, new or all?',
        choices: ['old', 'new', 'all'],
        source: 'judgement',
      },
    ],
  };
  const questions = ask(findings, causes, [], [], groups);
  expect(questions).toHaveLength(1);
  expect(questions[0]).toMatchObject({ finding: 'age', question: 'Old, new or all?' });
  expect(questions[0]?.choices.map(({ finding }) => finding)).toEqual(['old', 'new', 'all']);
  expect(ask(findings, causes, [seen('old')], [], groups)).toEqual([]);
});

describe('the decision', () => {
  const library = miniLibrary(
    FINDINGS,
    [cause('a', 'water', { shared: 'always' }), cause('b', 'prune', { decides: 'always' })],
    TREATMENTS,
  );
  const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
  const { posterior } = weighAll(library, network, [], 0);
  const list = shortlist(network, posterior);
  const decision = makeDecision(library, network, posterior, list.positions);
  const certain = (hypothesis: number): Float64Array =>
    Float64Array.from(list.positions, (h) => (h === hypothesis ? 1 : 0));

  it('acts on the cause that is certain, and leaves what is nothing', () => {
    expect(decision.bestAction(certain(2))).toBe('a');
    expect(decision.bestAction(certain(3))).toBe('b');
    expect(decision.bestAction(certain(0))).toBe('leave');
    expect(decision.bestAction(certain(1))).toBe('find-out');
  });

  it('costs more to act on the wrong cause', () => {
    expect(decision.lossUnder('b', 2)).toBeGreaterThan(decision.lossUnder('a', 2));
  });

  it('knows that knowing more never costs: the loss after a free answer is no greater', () => {
    const node = network.node(findingId('shared'));
    if (!node) throw new Error('no node');
    const yes = presenceIn(list, node);
    const weigh = (share: (k: number) => number): number =>
      decision.bestLoss(list.probabilities.map((p, k) => p * share(k)));
    expect(weigh((k) => yes[k] ?? 0) + weigh((k) => 1 - (yes[k] ?? 0))).toBeLessThanOrEqual(
      decision.bestLoss(list.probabilities) + 1e-12,
    );
  });

  it('finds the loss after yes or no from the part that says yes alone', () => {
    const node = network.node(findingId('shared'));
    if (!node) throw new Error('no node');
    const yes = presenceIn(list, node);
    const part = list.probabilities.map((p, k) => p * (yes[k] ?? 0));
    const rest = list.probabilities.map((p, k) => p * (1 - (yes[k] ?? 0)));
    expect(decision.lossOfParts(list.probabilities)(part)).toBeCloseTo(
      decision.bestLoss(part) + decision.bestLoss(rest),
      12,
    );
  });
});

it('puts the most telling of those worth asking first, and behind them the others by worth', () => {
  const many = Array.from({ length: 6 }, (_, i) => ({
    id: `f${i}`,
    extra: { background: 'rare' },
  }));
  const causes = ['water', 'prune', 'pull', 'water'].map((use, i) =>
    cause(`c${i}`, use, { f0: 'always', [`f${i + 1}`]: 'usual', [`f${(i + 3) % 6}`]: 'often' }),
  );
  const questions = ask(many, causes, [seen('f0')]);
  const paying = questions.filter(({ netValue }) => netValue > 0);
  const others = questions.filter(({ netValue }) => netValue <= 0);
  expect(paying.length).toBeGreaterThan(1);
  expect(questions).toEqual([...paying, ...others]);
  expect(paying.map(({ informationGainBits }) => informationGainBits)).toEqual(
    paying.map(({ informationGainBits }) => informationGainBits).sort((a, b) => b - a),
  );
  expect(others.map(({ netValue }) => netValue)).toEqual(
    others.map(({ netValue }) => netValue).sort((a, b) => b - a),
  );
});

describe('a question for some kinds of plant', () => {
  const causes = [
    cause('a', 'water', { shared: 'always', decides: 'always' }),
    cause('b', 'prune', { shared: 'always' }),
  ];
  const asked = (limits: Record<string, unknown>): readonly string[] =>
    ask(
      FINDINGS.map((one) =>
        one.id === 'decides' ? { ...one, extra: { ...one.extra, ...limits } } : one,
      ),
      causes,
      [seen('shared')],
      [],
      { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', source: 'judgement' }] },
    ).map(({ finding }) => finding);

  it('is asked of these alone', () => {
    expect(asked({})).toContain('decides');
    expect(asked({ only: ['fern'] })).toContain('decides');
    expect(asked({ only: ['moss'] })).not.toContain('decides');
    expect(asked({ except: ['fern'] })).not.toContain('decides');
  });

  it('that stands in a pot is asked of no other', () => {
    const findings = [
      ...FINDINGS.map((one) => (one.id === 'decides' ? { ...one, extra: { inPot: true } } : one)),
      { id: 'potted', extra: { kind: 'context' } },
    ];
    const about = (...reports: Report[]) =>
      ask(findings, causes, [seen('shared'), ...reports]).map(({ finding }) => finding);
    expect(about()).not.toContain('decides');
    expect(about(seen('potted', false))).not.toContain('decides');
    expect(about(seen('potted'))).toContain('decides');
  });
});

it('counts 15 seconds more for a question about a finding that many causes show', () => {
  const worthOf = (others: number): number => {
    const causes = [
      cause('a', 'water', { shared: 'always', decides: 'always' }),
      cause('b', 'prune', { shared: 'always' }),
      ...Array.from({ length: others }, (_, i) => ({
        ...cause(`c${i}`, 'pull', { decides: 'rarely', names: 'always' }),
        extra: { ...cause('c', 'pull', {}).extra, common: 'rare' },
      })),
    ];
    return (
      ask(FINDINGS, causes, [seen('shared')]).find(({ finding }) => finding === 'decides')
        ?.netValue ?? NaN
    );
  };
  // 15 seconds at 0.3 points of harm a minute.
  expect(worthOf(23) - worthOf(24)).toBeCloseTo(0.075, 2);
});

describe('causes that explain nothing of the complaint', () => {
  // The rival is shown by a sign of its own, and by nothing that was reported.
  const findings = ['spots', 'rings', 'burrow'].map((id) => ({
    id,
    extra: { background: 'telltale' },
  }));
  const causes = (common: string): MiniCause[] => [
    cause('a', 'water', { spots: 'always', rings: 'usual' }),
    cause('b', 'prune', { spots: 'always' }),
    {
      ...cause('digger', 'pull', { burrow: 'always' }),
      extra: { ...cause('digger', 'pull', {}).extra, common },
    },
  ];
  const asked = (common: string, reports: Report[]): string[] =>
    ask(findings, causes(common), reports).map(({ finding }) => finding);

  it('are not asked about where the others hold nearly all probability', () => {
    expect(asked('occasional', [seen('spots')])).toEqual(['rings']);
  });

  it.each<[string, string, Report[]]>([
    ['nothing is reported', 'occasional', []],
    ['the report is doubtful', 'occasional', [{ ...seen('spots'), sure: 0.59 }]],
    ['it was only denied', 'occasional', [seen('rings', false)]],
  ])('are asked about where %s', (_, common, reports) => {
    expect(asked(common, reports)).toContain('burrow');
  });
});
