import { candidateOf, causeWith, opensIn } from '../../test/candidate.ts';
import { day } from '../../test/setting.ts';
import { askingFor } from '../knowledge/careTopics.ts';
import type { Cause } from '../schema/cause.ts';
import type { Chosen } from './choose.ts';
import { headlineOf } from './headline.ts';
import type { Verdict } from './verdict.ts';

const TODAY = day('2026-06-13');
const PEST = causeWith();
const CARE = causeWith({
  category: 'care',
  findings: { [askingFor(PEST.id)]: 'always' },
});

function ends(verdict: Verdict, cause: Cause = PEST, steps: readonly Chosen[] = []) {
  const lead = { cause, probability: 0.8, next: 0.1 };
  const found = headlineOf(verdict, lead, [cause], steps, { today: TODAY, kinds: [] });
  return found.code === 'lead' ? found.then : found;
}
const step = (state: Chosen['candidate']['state']): Chosen => ({
  candidate: candidateOf({}, [], { state }),
  cautions: [],
  planCautions: [],
  referTo: [],
  forbidden: null,
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

it.each(['wait', 'too-late'] as const)('names the next window: %s', (verdict) => {
  const opens = opensIn(TODAY, 30);
  if (opens.kind !== 'opens') throw new Error('it does not open');
  expect(ends(verdict, PEST, [step({ kind: 'always' }), step(opens)])).toEqual({
    code: verdict,
    next: opens.span,
  });
  expect(ends(verdict, PEST, [step({ kind: 'never', why: 'too-cool' })])).toEqual({
    code: verdict,
    next: null,
  });
  expect(ends(verdict)).toEqual({ code: verdict, next: null });
});

it('names the causes that are at work together, the lead first', () => {
  const other = causeWith({ id: 'blight', name: 'Blight' });
  const lead = { cause: PEST, probability: 0.8, next: 0.1 };
  expect(headlineOf('act-now', lead, [other, PEST], [], { today: TODAY, kinds: [] })).toEqual({
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
  expect(headlineOf('find-out', null, [], [], { today: TODAY, kinds: [] })).toEqual({
    code: 'no-cause-yet',
  });
});
