import { miniLibrary } from '../test/miniLibrary.ts';
import { day } from '../test/setting.ts';
import type { PlanSchedule } from '../core/advice/planSchedule.ts';
import { createConsultant } from '../core/consult/consult.ts';
import { isoDay } from '../core/timing/calendar.ts';
import { answerSchedule, type ScheduleQuery } from './answerSchedule.ts';
import { NO_PLAN } from '../contracts/cases.ts';

const library = miniLibrary(
  [{ id: 'webbing', extra: { phrases: ['webbing'] } }],
  [
    {
      id: 'mites',
      findings: { webbing: 'always' },
      extra: {
        category: 'mite',
        common: 'very-common',
        harm: { plant: 'severe', pace: 'weeks' },
        treatments: [{ use: 'soap', effect: 'strong' }],
      },
    },
  ],
  {
    'treatments/t.yaml': [
      {
        id: 'soap',
        name: 'Soap',
        rung: 'low-toxicity',
        text: 'Spray soap on both sides of the leaves.',
        limits: { rainFreeHours: 6 },
        amount: 'every 7..10 days, 3 times',
        source: 'practice',
      },
    ],
  },
);
const consultant = createConsultant(library);
const QUERY: ScheduleQuery = {
  body: { words: 'webbing on the fern', date: '2026-06-13', place: { lat: 40, lon: -83 } },
  plan: NO_PLAN,
  today: '2026-06-13',
  weather: [],
  simulated: false,
};
const ask = (change: Partial<ScheduleQuery> = {}): PlanSchedule => {
  const made = answerSchedule(library, consultant, { ...QUERY, ...change });
  if (!made.ok) throw new Error(made.error.message);
  return made.value;
};
const days = (schedule: PlanSchedule): string[] =>
  (schedule.steps[0]?.list ?? []).map(({ on }) => isoDay(on).slice(5));

it('dates the steps of the advice from the day of the call', () => {
  const schedule = ask();
  expect(schedule).toMatchObject({ today: day('2026-06-13'), food: false });
  expect(schedule.steps.map(({ step }) => step)).toEqual(['soap']);
  expect(days(schedule)[0]).toBe('06-13');
});

it('dates a case that is opened again from the clinic’s day on', () => {
  expect(days(ask({ today: '2026-06-27' }))[0]).toBe('06-27');
  expect(days(ask({ today: '2026-06-01' }))[0]).toBe('06-13');
});

it('moves the next spray when rain since the last has washed it off', () => {
  const done = [{ step: 'soap', on: '2026-06-13' }];
  const later = { today: '2026-06-16', plan: { ...NO_PLAN, done } };
  const wet = ['14', '15'].map((date) => ({
    day: `2026-06-${date}`,
    minCelsius: 12,
    maxCelsius: 20,
    rainMillimetres: 20,
    windKmh: null,
  }));
  expect(days(ask(later))).toEqual(['06-13', '06-20', '06-27']);
  expect(days(ask({ ...later, weather: wet }))[1]).not.toBe('06-20');
});

it('passes on what is wrong with the enquiry', () => {
  const made = answerSchedule(library, consultant, { ...QUERY, body: { words: 3 } });
  expect(made.ok).toBe(false);
});
