import ICAL from 'ical.js';
import { day } from '../../../../test/setting.ts';
import type { StepSchedule } from '../../../../core/timing/schedule.ts';
import { planCalendar, titleOfStep } from './planCalendar.ts';

const step = (id: string, change: Partial<StepSchedule> = {}): StepSchedule => ({
  step: id,
  state: { kind: 'always' },
  band: null,
  reason: null,
  event: null,
  checks: [],
  list: [],
  stopped: null,
  rotation: null,
  ...change,
});
const application = (number: number, on: string) => ({
  number,
  on: day(on),
  done: false,
  why: null,
});
const advice = {
  steps: [
    {
      id: 'soap',
      name: 'Insecticidal soap',
      text: 'Spray soap. Both sides of the leaves.',
      rung: 'low-toxicity' as const,
      when: { from: '2026-06-13', to: null, note: 'now' },
      cautions: [],
      amount: null,
      product: true,
    },
  ],
  lookAgain: '2026-07-01',
};

/** Read by a parser of another hand. */
function readBack(steps: readonly StepSchedule[]): string[] {
  const file = planCalendar('case-1', advice, { steps }, []);
  if (!file.ok) throw new Error(file.error);
  return ICAL.Component.fromString(file.value)
    .getAllSubcomponents('vevent')
    .map((one) => {
      const { summary, startDate, endDate } = new ICAL.Event(one);
      return `${summary} ${startDate.toString()} ${endDate.toString()}`;
    });
}

it('writes each application as a whole day, over a change of clocks, and the day to look again', () => {
  const list = [application(1, '2026-06-13'), application(2, '2026-10-25')];
  expect(readBack([step('soap', { list })])).toEqual([
    'Spray soap. (1 of 2) 2026-06-13 2026-06-14',
    'Spray soap. (2 of 2) 2026-10-25 2026-10-26',
    'Look at the plant again 2026-07-01 2026-07-02',
  ]);
});

it('writes a step that is done once in its window as the rest of the window', () => {
  const span = { from: day('2027-02-20'), to: day('2027-03-05') };
  const state = { kind: 'opens', span, closedSince: null } as const;
  expect(readBack([step('soap', { state, list: [application(1, '2027-02-20')] })])[0]).toBe(
    'Spray soap. 2027-02-20 2027-03-06',
  );
});

it('keeps the name of an entry when its date changes, so that a calendar moves it', () => {
  const uids = (on: string): string[] => {
    const steps = [step('soap', { list: [application(1, on)] })];
    const file = planCalendar('case-1', advice, { steps }, []);
    return file.ok ? (file.value.match(/UID:.*/g) ?? []) : [];
  };
  expect(uids('2026-06-13')).toEqual(uids('2026-06-15'));
  expect(uids('2026-06-13')).toHaveLength(2);
});

it('writes a step of the advisor that has a day, and none that has not', () => {
  const own = [
    { id: 'own-1', text: 'Ring the neighbor.', on: '2026-06-20' },
    { id: 'own-2', text: 'Think about a hedge.', on: null },
  ];
  const file = planCalendar('case-1', advice, { steps: [] }, own);
  const text = file.ok ? file.value : '';
  expect(text).toContain('SUMMARY:Ring the neighbor.');
  expect(text).toContain('20260620');
  expect(text).not.toContain('hedge');
});

it('cuts long titles', () => {
  expect(titleOfStep('Pick them off. Then look again.')).toBe('Pick them off.');
  expect(titleOfStep('word '.repeat(40)).length).toBeLessThanOrEqual(70);
});
