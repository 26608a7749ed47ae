import { readMini } from '../../test/miniLibrary.ts';
import { day } from '../../test/setting.ts';
import { limitsSchema } from '../schema/treatment.ts';
import { parseWindow } from '../schema/window.ts';
import { isoDay } from './calendar.ts';
import { scheduleFor, type PlannedStep, type ScheduleRequest } from './schedule.ts';

const { library } = readMini([{ id: 'spots' }], [{ id: 'a', findings: { spots: 'usual' } }]);
const spray: PlannedStep = {
  id: 'spray',
  rule: parseWindow('dd10 150..900'),
  notBefore: null,
  limits: limitsSchema.parse({ rainFreeHours: 6 }),
  repeat: { everyDays: 10, times: 3 },
  spray: true,
  systemic: false,
  insecticide: true,
  modeOfAction: 'IRAC 5',
};
const request: ScheduleRequest = {
  places: library.places,
  at: { lat: 40, lon: -83 },
  today: day('2026-06-13'),
  observed: [],
  simulated: true,
  bloom: null,
  indoors: false,
  seen: new Map(),
  harvest: null,
  steps: [spray],
  labels: {},
  done: [],
};
const only = (change: Partial<ScheduleRequest>) => {
  const [step] = scheduleFor({ ...request, ...change }).steps;
  if (!step) throw new Error('no step');
  return step;
};

it('gives a step its window with the reason, ten days and dates', () => {
  const step = only({});
  expect(step.state.kind).toBe('open');
  expect(step.reason).toMatchObject({ code: 'degree-days', from: 150, to: 900, baseCelsius: 10 });
  expect(step.checks).toHaveLength(10);
  expect(step.list.length).toBeGreaterThan(0);
});

it('is the same each time', () => {
  expect(scheduleFor(request)).toEqual(scheduleFor(request));
});

it('brackets next year’s opening when this year’s is over', () => {
  const rule = parseWindow('04-25..05-20');
  const step = only({ steps: [{ ...spray, rule }] });
  const { band, state } = step;
  if (!band || state.kind !== 'opens') throw new Error('it should be over');
  expect(isoDay(state.span.from)).toMatch(/^2027-04-2/);
  expect(band.from.early <= state.span.from && state.span.from <= band.from.late).toBe(true);
  expect(step.checks).toEqual([]);
});

it('asks for another group after two in a row, and for none where resistance does not build up', () => {
  expect(only({}).rotation).toEqual({ code: 'change-group', group: 'IRAC 5', after: 2 });
  expect(only({ steps: [{ ...spray, modeOfAction: 'FRAC M5' }] }).rotation).toBeNull();
  expect(only({ steps: [spray, { ...spray, id: 'other' }] }).rotation?.code).toBe(
    'same-group-twice',
  );
});

it('checks no weather indoors', () => {
  expect(only({ indoors: true }).checks).toEqual([]);
});

it('waits until the plant has flowered before it kills insects', () => {
  const bloom = parseWindow('06-01..06-25');
  expect(only({ bloom }).list[0]?.on).toBeGreaterThan(day('2026-06-25'));
});
