import { adviceContext } from '../../test/adviceContext.ts';
import { candidateOf, causeWith, opensIn } from '../../test/candidate.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { day } from '../../test/setting.ts';
import { askingFor } from '../knowledge/careTopics.ts';
import type { Cause } from '../schema/cause.ts';
import type { Chosen } from './choose.ts';
import { headlineOf } from './headline.ts';
import type { Verdict } from './verdict.ts';

const TODAY = day('2026-06-13');
const CONTEXT = adviceContext(miniLibrary([], []), 44.6, '2026-06-13');
const PEST = causeWith();
const CARE = causeWith({
  category: 'care',
  findings: { [askingFor(PEST.id)]: 'always' },
});

function ends(verdict: Verdict, cause: Cause = PEST, steps: readonly Chosen[] = []) {
  const lead = { cause, probability: 0.8, next: 0.1 };
  const found = headlineOf(verdict, lead, [cause], steps, CONTEXT);
  return found.code === 'lead' ? found.then : found;
}
const step = (state: Chosen['candidate']['state']): Chosen => ({
  candidate: candidateOf({}, [], { state }),
  cautions: [],
  planCautions: [],
  referTo: [],
  forbidden: null,
  notBefore: null,
  gain: 1,
});

it.each([
  [
    'leave',
    causeWith({ leave: 'It does no harm.' }),
    { code: 'library', text: 'It does no harm.' },
  ],
  ['leave', causeWith({ category: 'normal' }), { code: 'leave-normal' }],
  ['leave', PEST, { code: 'leave-and-watch' }],
  ['act-now', PEST, { code: 'start-now' }],
  ['act-now', CARE, null],
  ['find-out', PEST, { code: 'find-out' }],
  ['find-out', CARE, { code: 'ask-again' }],
  ['professional', PEST, { code: 'professional' }],
] as const)('ends %s on %j', (verdict, cause, expected) => {
  expect(ends(verdict, cause)).toEqual(expected);
});

it.each([{ code: 'wait' }, { code: 'too-late', why: null }] as const)(
  'names the next window: %j',
  (end) => {
    const verdict = end.code;
    const opens = opensIn(TODAY, 30);
    if (opens.kind !== 'opens') throw new Error('it does not open');
    expect(ends(verdict, PEST, [step({ kind: 'always' }), step(opens)])).toEqual({
      ...end,
      next: opens.span,
    });
    expect(ends(verdict, PEST, [step({ kind: 'never', why: 'too-cool' })])).toEqual({
      ...end,
      next: null,
    });
    expect(ends(verdict)).toEqual({ ...end, next: null });
  },
);

it('says why nothing helps any more', () => {
  const past = causeWith({ pastHelp: { why: 'Split fruit does not close.' } });
  expect(ends('leave', past)).toEqual({ code: 'library', text: 'Split fruit does not close.' });
  expect(ends('too-late', past)).toMatchObject({ why: 'Split fruit does not close.' });
});

it('names the causes that are at work together, the lead first', () => {
  const other = causeWith({ id: 'blight', name: 'Blight' });
  const lead = { cause: PEST, probability: 0.8, next: 0.1 };
  expect(headlineOf('act-now', lead, [other, PEST], [], CONTEXT)).toEqual({
    code: 'lead',
    cause: 'Pest',
    probability: 0.8,
    together: ['Blight'],
    say: 'A pest for tests.',
    isCare: false,
    then: { code: 'start-now' },
  });
});

it('says that no cause leads yet', () => {
  expect(headlineOf('find-out', null, [], [], CONTEXT)).toEqual({
    code: 'no-cause-yet',
  });
});
