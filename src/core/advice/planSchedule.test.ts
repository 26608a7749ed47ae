import { advise, ADVICE_DAY, pestLibrary, treatmentEntry } from '../../test/advised.ts';
import { day, findingId, plantId } from '../../test/setting.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { addDays } from '../timing/calendar.ts';
import { planSchedule, type ScheduleWish } from './planSchedule.ts';

const FERN = { id: 'fern', name: 'Fern', source: 'judgement' };
const wish: ScheduleWish = {
  plant: plantId('fern'),
  at: { lat: 42, lon: -83 },
  today: day(ADVICE_DAY),
  observed: [],
  simulated: true,
  seen: new Map(),
  harvest: null,
  labels: {},
  done: [],
};
const CULPRIT: Readonly<Record<string, string>> = { miticide: 'mite', fungicide: 'fungus' };
const uses = (...ids: string[]) => ({
  confirm: 'Look at one by day.',
  treatments: ids.map((use) => ({ use, effect: 'strong', when: '05-20..08-30' })),
});

/** The schedule of advice on one pest with these treatments, on a fern with these traits. */
function scheduled(
  treatments: Record<string, unknown>[],
  traits: Record<string, unknown> = {},
  change: Partial<ScheduleWish> = {},
) {
  const classes = treatments.flatMap((one) => one['classes'] ?? []).map(String);
  const category = classes.map((one) => CULPRIT[one]).find((one) => one !== undefined) ?? 'insect';
  const library = pestLibrary(
    { ...uses(...treatments.map(({ id }) => String(id))), category },
    treatments,
    { 'plants/a.yaml': [{ ...FERN, traits }] },
  );
  return planSchedule(library, advise(library, {}, true, 0.6), { ...wish, ...change });
}

const first = (...parts: Parameters<typeof scheduled>) => {
  const [step] = scheduled(...parts).steps;
  if (!step) throw new Error('no step was scheduled');
  return step;
};

it('holds the steps with work to do, not those that find out', () => {
  expect(scheduled([treatmentEntry('pick')]).steps.map(({ step }) => step)).toEqual(['pick']);
});

it('knows whether the plant is grown to eat', () => {
  const pick = treatmentEntry('pick');
  expect(scheduled([pick]).food).toBe(false);
  expect(scheduled([pick], { edible: 'none' }).food).toBe(false);
  expect(scheduled([pick], { edible: 'leaf' }).food).toBe(true);
  expect(scheduled([pick], { edible: 'leaf' }, { plant: null }).food).toBe(false);
});

it.each([
  ['how long it must stay dry', { rainFreeHours: 6 }],
  ['the wind it bears', { maxWindKmh: 15 }],
])('takes a treatment for a spray by %s', (_, limits) => {
  const step = first([treatmentEntry('spray', { limits })]);
  expect(step.checks.flatMap(({ reasons }) => reasons.map(({ code }) => code))).toContain(
    'rain-possible',
  );
});

it('takes work that only heat limits for no spray', () => {
  const step = first([treatmentEntry('prune', { limits: { maxCelsius: 50 } })]);
  expect(step.checks).toHaveLength(10);
  expect(step.checks.flatMap(({ reasons }) => reasons)).toEqual([]);
});

it('asks for no weather where the treatment has no limits, or the plant a roof', () => {
  expect(first([treatmentEntry('prune')]).checks).toEqual([]);
  const spray = treatmentEntry('spray', { limits: { rainFreeHours: 6 } });
  expect(first([spray], { indoors: true }).checks).toEqual([]);
});

it('repeats as the amount says, and asks for another group of products', () => {
  const spray = treatmentEntry('spray', {
    amount: 'every 7..10 days, 3 times',
    modeOfAction: 'FRAC 3',
  });
  const step = first([spray]);
  expect(step.list.map(({ on }) => on)).toEqual([0, 7, 14].map((days) => day(ADVICE_DAY) + days));
  expect(step.rotation).toEqual({ code: 'change-group', group: 'FRAC 3', after: 2 });
  expect(first([treatmentEntry('prune')]).rotation).toBeNull();
});

describe('open flowers', () => {
  const inFlower = { bloom: '06-10..07-10' };
  const daysOf = (classes: string[], change: Partial<ScheduleWish> = {}) =>
    first([treatmentEntry('spray', { classes })], inFlower, change).list.map(({ on }) => on);

  it.each(['insecticide', 'miticide'])('put off a product that is %s', (one) => {
    expect(daysOf([one])[0]).toBeGreaterThan(day(ADVICE_DAY));
  });

  it('do not put off others, nor where the plant is unknown', () => {
    expect(daysOf(['fungicide'])).toEqual([day(ADVICE_DAY)]);
    expect(daysOf(['insecticide'], { plant: null })).toEqual([day(ADVICE_DAY)]);
  });
});

describe('rain after a spray', () => {
  const today = day(ADVICE_DAY);
  const rained = {
    observed: [
      {
        day: addDays(today, -2),
        minCelsius: 10,
        maxCelsius: 20,
        rainMillimetres: 60,
        windKmh: null,
      },
    ],
    done: [{ step: 'spray', on: addDays(today, -3) }],
  };
  const next = (systemic: boolean) =>
    first(
      [
        treatmentEntry('spray', {
          hazards: systemic ? ['systemic'] : [],
          limits: { rainFreeHours: 6 },
          amount: 'every 14 days, 3 times',
        }),
      ],
      {},
      rained,
    ).list.find(({ done }) => !done);

  it('washes it off, so that it is done again before its time', () => {
    expect(next(false)?.on).toBeLessThan(addDays(today, 11));
  });

  it('leaves what the plant has taken up', () => {
    expect(next(true)).toMatchObject({ on: addDays(today, 11), why: null });
  });
});

it('dates a step that safety postpones from the day on which it may be done', () => {
  const spray = treatmentEntry('soap', {
    rung: 'low-toxicity',
    classes: ['insecticide'],
    limits: { rainFreeHours: 6 },
    amount: 'every 7 days, 2 times',
  });
  const library = pestLibrary(
    {
      category: 'insect',
      harm: { plant: 'serious', pace: 'weeks' },
      treatments: [{ use: 'soap', effect: 'strong' }],
    },
    [spray],
  );
  const reported = new Set([findingId('sign'), RELIED_ON.findings.inBloom]);
  const advice = advise(library, { reported }, true, 0.95);
  const until = addDays(day(ADVICE_DAY), 21);
  expect(advice.steps.map(({ when }) => when.from)).toEqual([until]);
  const [step] = planSchedule(library, advice, wish).steps;
  expect(step?.state).toMatchObject({ kind: 'opens', span: { from: until } });
  expect(step?.list.every(({ on }) => on >= until)).toBe(true);
  // Once that day has come it is dated like any other.
  const later = planSchedule(library, advice, { ...wish, today: addDays(until, 3) }).steps[0];
  expect(later?.state.kind).toBe('always');
});
