import { adviceContext } from '../../test/adviceContext.ts';
import { candidateOf, causeWith, opensIn, suspectOf } from '../../test/candidate.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, day, findingId, plantId } from '../../test/setting.ts';
import { buildNetwork } from '../diagnosis/network.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { askingFor } from '../knowledge/careTopics.ts';
import type { Cause } from '../schema/cause.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import type { WindowState } from '../timing/windows.ts';
import type { Chosen } from './choose.ts';
import { leadOf, leadOnReport, nextOf, verdictOf, type Lead } from './verdict.ts';

const TODAY = day('2026-06-13');
const PEST = causeWith();
const CARE = causeWith({
  id: 'care-prune',
  category: 'care',
  findings: { [askingFor(causeWith({ id: 'care-prune' }).id)]: 'always' },
});
const CONTEXT = adviceContext(miniLibrary([], []), 44.6, '2026-06-13');
const ALWAYS: WindowState = { kind: 'always' };
const OPEN: WindowState = { kind: 'open', span: { from: TODAY, to: TODAY } };
const NEVER: WindowState = { kind: 'never', why: 'too-cool' };

function step(
  state: WindowState,
  gain = 1,
  treatment: Record<string, unknown> = {},
  against: Cause = PEST,
): Chosen {
  return {
    candidate: candidateOf(
      { rung: 'hand', ...treatment },
      [{ suspect: suspectOf(against), effect: 0.6 }],
      { state },
    ),
    cautions: [],
    planCautions: [],
    referTo: [],
    forbidden: null,
    notBefore: null,
    gain,
  };
}
const later = (days: number, gain = 1): Chosen => step(opensIn(TODAY, days), gain);
const lead = (probability = 0.9, next = 0, cause: Cause = PEST): Lead => ({
  cause,
  probability,
  next,
});
const verdict = (one: Lead | null, steps: readonly Chosen[]): string =>
  verdictOf(one, steps, { ...CONTEXT, kinds: [plantId('fern')] });

describe('a lead worth advising on', () => {
  it.each([
    [0.3, 0.3, 'act-now'],
    [0.29, 0.29, 'find-out'],
    // Well ahead of the next cause is enough, down to a least share.
    [0.25, 0.1, 'act-now'],
    [0.25, 0.101, 'find-out'],
    [0.12, 0.048, 'act-now'],
    [0.119, 0.01, 'find-out'],
  ])('of %d, with the next cause at %d: %s', (probability, next, expected) => {
    expect(verdict(lead(probability, next), [step(ALWAYS)])).toBe(expected);
  });
  it.each([
    [0.2, 0.13, 'act-now'],
    [0.2, 0.14, 'find-out'],
  ])('on a question of care, of %d with the next at %d: %s', (probability, next, expected) => {
    expect(verdict(lead(probability, next, CARE), [step(ALWAYS, 1, {}, CARE)])).toBe(expected);
  });
  it('is there at all', () => {
    expect(verdict(null, [step(ALWAYS)])).toBe('find-out');
  });
});

describe('what is left', () => {
  it.each([
    [{ leave: 'It does no harm.' }],
    [{ leaveOn: [{ only: ['fern'], why: 'A fern stands it.' }] }],
    [{ category: 'normal' }],
  ])('%j', (change) => {
    expect(verdict(lead(0.9, 0, causeWith(change)), [step(ALWAYS)])).toBe('leave');
  });
  it('is where there is nothing but to watch', () => {
    expect(verdict(lead(), [step(ALWAYS, 1, { rung: 'leave' })])).toBe('leave');
  });
  it('is not where nothing can be advised', () => {
    expect(verdict(lead(), [])).toBe('find-out');
  });
});

/** A step that takes away a share of the cause, by a rung of the ladder. */
function doing(effect: number, state: WindowState, rung = 'hand'): Chosen {
  const one = step(state, effect, { rung });
  const [target] = one.candidate.targets;
  return target
    ? { ...one, candidate: { ...one.candidate, targets: [{ ...target, effect }] } }
    : one;
}

describe('a lead on nothing reported', () => {
  it.each([
    ['is none while it is a guess', lead(0.2, 0.19), 0, false],
    ['counts where words alone make it clear', lead(0.5, 0.1), 0, true],
    ['counts as soon as something is reported', lead(0.2, 0.19), 1, true],
    ['counts where it is a question of care', lead(0.2, 0.19, CARE), 0, true],
  ])('%s', (_, one, reports, counts) => {
    expect(leadOnReport(one, reports)).toBe(counts ? one : null);
  });
});

describe('a cause that nothing helps against any more', () => {
  const why = 'What is swollen does not heal.';
  const past = (more: Record<string, unknown> = {}): Lead =>
    lead(0.9, 0, causeWith({ pastHelp: { why, ...more } }));
  it.each([
    ['has steps for later', past(), [step(ALWAYS), later(200)], 'too-late'],
    ['has none', past(), [step(ALWAYS)], 'leave'],
    ['is in the window of that', past({ when: '05-01..07-01' }), [step(ALWAYS)], 'leave'],
    ['is before it', past({ when: '09-01..12-31' }), [step(ALWAYS)], 'act-now'],
    ['is on such a plant', past({ only: ['fern'] }), [step(ALWAYS)], 'leave'],
    ['is on another plant', past({ except: ['fern'] }), [step(ALWAYS)], 'act-now'],
  ])('%s', (_, one, steps, expected) => {
    expect(verdict(one, steps)).toBe(expected);
  });
});

describe('when a cause is treated', () => {
  const soon = opensIn(TODAY, 30);
  it.each([
    ['the main step can be done now', [doing(0.8, ALWAYS), doing(0.8, soon)], 'act-now'],
    [
      'half as much can be done at the cause now',
      [doing(0.4, ALWAYS), doing(0.8, soon)],
      'act-now',
    ],
    ['less than half can be done now', [doing(0.39, ALWAYS), doing(0.8, soon)], 'wait'],
    [
      'the conditions are bettered by three quarters now',
      [doing(0.61, ALWAYS, 'conditions'), doing(0.8, soon)],
      'act-now',
    ],
    [
      'the conditions are bettered by less now',
      [doing(0.59, ALWAYS, 'conditions'), doing(0.8, soon)],
      'wait',
    ],
    [
      'the plant could only be given up now',
      [doing(0.59, ALWAYS, 'replace'), doing(0.8, soon)],
      'wait',
    ],
    ['the window is 150 days off', [later(150)], 'wait'],
    ['the window is 151 days off', [later(151)], 'too-late'],
    ['no window comes', [step(NEVER)], 'too-late'],
    ['a minor step comes first', [later(10, 0.3), later(200, 1)], 'too-late'],
    ['a step nearly as good comes first', [later(200, 1), later(10, 0.4)], 'wait'],
    ['watching does most', [doing(0.9, ALWAYS, 'leave'), doing(0.6, ALWAYS)], 'leave'],
    ['watching does as much', [doing(0.6, ALWAYS, 'leave'), doing(0.6, soon)], 'wait'],
    [
      'nothing is against the cause itself',
      [step(soon, 1, {}, causeWith({ id: 'other' })), step(ALWAYS, 1, {}, CARE)],
      'act-now',
    ],
  ])('%s', (_, steps, expected) => {
    expect(verdict(lead(), steps)).toBe(expected);
  });

  it('is the work of a professional where that does most', () => {
    const climb = (gain: number) => step(ALWAYS, gain, { rung: 'professional' });
    expect(verdict(lead(), [step(ALWAYS, 1), climb(2), step(ALWAYS, 1)])).toBe('professional');
    expect(verdict(lead(), [step(ALWAYS, 2), climb(1)])).toBe('act-now');
    expect(verdict(lead(), [step(ALWAYS, 2), climb(2)])).toBe('act-now');
  });
});

describe('when a question of care is done', () => {
  const care = (steps: readonly Chosen[]) => verdict(lead(0.9, 0, CARE), steps);
  it.each([
    ['a step for it is open', [step(ALWAYS, 1, {}, CARE)], 'act-now'],
    ['only a step against something else is open', [step(ALWAYS)], 'wait'],
    [
      'one of several seasonal steps is open',
      [step(opensIn(TODAY, 9), 1, {}, CARE), step(OPEN, 1, {}, CARE)],
      'act-now',
    ],
    [
      'a step that holds at any time goes with one that is to come',
      [step(opensIn(TODAY, 9), 1, {}, CARE), step(ALWAYS, 1, {}, CARE)],
      'wait',
    ],
    ['its step opens next year', [step(opensIn(TODAY, 300), 1, {}, CARE)], 'wait'],
    ['its step is open now', [step(OPEN, 1, {}, CARE), step(ALWAYS, 1, {}, CARE)], 'act-now'],
  ])('%s', (_, steps, expected) => {
    expect(care(steps)).toBe(expected);
  });
});

describe('the step to wait for', () => {
  const next = (...steps: Chosen[]) => nextOf(steps, TODAY);
  it('is the soonest of those nearly as good as the best', () => {
    const [weak, good, best] = [later(5, 0.39), later(20, 0.4), later(40, 1)];
    expect(next(weak, best, good)).toBe(good);
    expect(next(weak, good, best)).toBe(good);
  });
  it('is the first of two that open on one day', () => {
    const [one, two] = [later(20), later(20)];
    expect(next(one, two)).toBe(one);
  });
  it('lies ahead, or is none', () => {
    const [now, ahead] = [step(ALWAYS, 9), later(1, 0.1)];
    expect(next(now, ahead)).toBe(ahead);
    expect(next(now)).toBeNull();
    expect(next()).toBeNull();
  });
});

it('speaks of the likelier of two causes that lead together, with the likeliest other', () => {
  const library = miniLibrary(
    [
      { id: 'holes', extra: { background: 'telltale' } },
      { id: 'fuzz', extra: { background: 'telltale' } },
    ],
    [
      { id: 'worm', findings: { holes: 'usual' }, extra: { category: 'insect' } },
      { id: 'mold', findings: { fuzz: 'always' } },
      { id: 'other', findings: { fuzz: 'seldom' } },
    ],
  );
  const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
  const seen = ['holes', 'fuzz'].map((id) => ({ finding: findingId(id), value: true, sure: 0.99 }));
  const { posterior } = weighAll(library, network, seen, 0);
  const found = leadOf(network, posterior);
  const probability = (id: string) =>
    posterior.causes[network.causes.findIndex((cause) => cause.id === id)] ?? NaN;
  const inOrder = ['worm', 'mold', 'other'].map(probability).sort((a, b) => b - a);
  expect(posterior.explanation).toHaveLength(2);
  expect(found?.probability).toBe(inOrder[0]);
  expect(found?.next).toBe(inOrder[1]);
  expect(leadOf(network, { ...posterior, explanation: [] })).toBeNull();
});

describe('how much is affected', () => {
  const { little, much, over } = RELIED_ON.findings;
  const HARMS = {
    bearable: { looks: 'moderate', pace: 'weeks' },
    deadly: { plant: 'serious', pace: 'weeks' },
  };
  it.each([
    ['bearable', little, 'leave'],
    ['bearable', over, 'leave'],
    ['bearable', much, 'act-now'],
    ['deadly', little, 'act-now'],
    ['deadly', over, 'act-now'],
  ] as const)('of a %s trouble with %s gives %s', (harm, said, expected) => {
    const pest = causeWith({ harm: HARMS[harm] });
    const found = verdictOf(lead(0.9, 0, pest), [step(OPEN, 1, {}, pest)], {
      ...CONTEXT,
      reported: new Set([said]),
    });
    expect(found).toBe(expected);
  });
});
