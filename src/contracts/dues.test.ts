import { OPENED_CASE } from '../test/caseRecord.ts';
import { answerOf } from '../test/consultAnswer.ts';
import type { CasePlant, CaseRecord } from './cases.ts';
import { dueOf, lookAgainOf } from './dues.ts';
import type { Sample } from './samples.ts';

const [first] = OPENED_CASE.plants;
if (!first) throw new Error('a case has a plant');
const SENT: Sample = {
  id: '7a1e5c0d-0000-4000-8000-000000000001',
  kind: 'soil-test',
  suspects: [],
  askedOn: '2026-06-01',
  sentOn: '2026-06-02',
  laboratory: '',
  dueOn: '2026-06-20',
  cost: null,
  result: null,
};
const caseWith = (change: Partial<CaseRecord>, ...plants: Partial<CasePlant>[]): CaseRecord => ({
  ...OPENED_CASE,
  ...change,
  plants: (plants.length === 0 ? [{}] : plants).map((plant) => ({ ...first, ...plant })),
});
const answered = (lookAgain: string): Partial<CasePlant> => ({
  closingAnswer: answerOf({ lookAgain }),
});
const NO_CALLS = { callBack: false, photographs: null };
const HEARD = { on: '2026-06-13', followed: 'all', result: 'better', note: '' } as const;
const PROVED = { cause: 'aphids', confirmed: 'in-hand', on: '2026-06-13' } as const;

describe('what is to be done for a case', () => {
  it('is nothing at first', () => expect(dueOf(OPENED_CASE)).toBeNull());

  it.each(['open', 'waiting', 'closed'] as const)(
    'is the promised call-back of a %s one',
    (status) => {
      expect(dueOf(caseWith({ status, callBackOn: '2026-06-15' }))).toEqual({
        on: '2026-06-15',
        why: 'call-back',
      });
    },
  );

  it('is the answer of a laboratory, where that comes first', () => {
    const record = caseWith({ callBackOn: '2026-06-25' }, { samples: [SENT] });
    expect(dueOf(record)).toEqual({ on: '2026-06-20', why: 'sample' });
    expect(dueOf({ ...record, callBackOn: '2026-06-20' })?.why).toBe('call-back');
  });

  it.each([
    ['was not sent', { sentOn: null }],
    ['has no day', { dueOn: null }],
    ['was answered', { result: { on: '2026-06-18', kind: 'report', cause: null, text: 'pH 5' } }],
  ] as const)('is not a sample that %s', (_what, change) => {
    expect(dueOf(caseWith({}, { samples: [{ ...SENT, ...change }] }))).toBeNull();
  });
});

describe('asking how it went', () => {
  it('comes up on the earliest day that the advice of a plant named', () => {
    const record = caseWith({ status: 'closed' }, answered('2026-07-01'), answered('2026-06-27'));
    expect(lookAgainOf(record)).toBe('2026-06-27');
  });

  it.each([
    ['while the case is open', { status: 'open' }, {}],
    ['where they want no call', { status: 'closed', consent: NO_CALLS }, {}],
    ['once it was heard', { status: 'closed' }, { followUp: HEARD }],
    ['once it proved to be something', { status: 'closed' }, { outcome: PROVED }],
    ['where no answer was kept', { status: 'closed' }, { closingAnswer: null }],
  ] as const)('does not come up %s', (_when, change, plant) => {
    expect(lookAgainOf(caseWith(change, { ...answered('2026-06-27'), ...plant }))).toBeNull();
  });
});
