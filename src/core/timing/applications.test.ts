import fc from 'fast-check';
import { day } from '../../test/setting.ts';
import { movesBetween, planApplications, type StepTerms } from './applications.ts';
import { addDays, isoDay } from './calendar.ts';
import type { DayCheck } from './dayCheck.ts';

const TODAY = day('2026-06-13');
const GO: DayCheck = { go: 'go', reasons: [], hours: { from: 6, to: 10 } };
const WET: DayCheck = {
  go: 'no-go',
  reasons: [{ code: 'rain-likely', probability: 0.8 }],
  hours: null,
};
const NO_LABEL = { daysToHarvest: null, reentryHours: null, mostPerYear: null, everyDays: null };
const terms = (change: Partial<StepTerms> = {}): StepTerms => ({
  today: TODAY,
  window: { from: day('2026-06-01'), to: day('2026-08-31') },
  everyDays: 10,
  times: 3,
  done: [],
  checks: Array.from({ length: 10 }, () => GO),
  rain: [],
  closedForBees: null,
  harvest: null,
  label: NO_LABEL,
  ...change,
});
const days = (change: Partial<StepTerms> = {}): string[] =>
  planApplications(terms(change)).list.map(({ on }) => isoDay(on).slice(5));

it('repeats by the interval from today on', () => {
  expect(days()).toEqual(['06-13', '06-23', '07-03']);
});

it('starts when the window opens', () => {
  expect(days({ window: { from: day('2026-06-20'), to: day('2026-08-31') } })[0]).toBe('06-20');
});

it('waits for the first day that suits it, and says why', () => {
  const { list } = planApplications(terms({ checks: [WET, WET, GO, GO] }));
  expect(isoDay(list[0]?.on ?? TODAY)).toBe('2026-06-15');
  expect(list[0]?.why).toEqual({ code: 'weather', on: TODAY, reasons: WET.reasons });
  expect(isoDay(list[1]?.on ?? TODAY)).toBe('2026-06-25');
});

it('goes on after what was done, and at once when it is overdue', () => {
  expect(days({ done: [day('2026-06-09')] })).toEqual(['06-09', '06-19', '06-29']);
  expect(days({ done: [day('2026-05-20')] })).toEqual(['05-20', '06-13', '06-23']);
});

// Common practice: about an inch of rain (25 mm) takes a spray off the leaves.
it('begins again when an inch of rain has washed the last one off', () => {
  const rain = [10, 11].map((date, i) => ({
    day: day(`2026-06-${date}`),
    minCelsius: 8,
    maxCelsius: 15,
    rainMillimetres: 12 + 2 * i,
    windKmh: null,
  }));
  const { list } = planApplications(terms({ done: [day('2026-06-09')], rain }));
  expect(isoDay(list[1]?.on ?? TODAY)).toBe('2026-06-13');
  expect(list[1]?.why).toEqual({
    code: 'washed-off',
    millimetres: 26,
    since: day('2026-06-09'),
  });
});

it('keeps off open blossom', () => {
  const bloom = { from: day('2026-06-10'), to: day('2026-06-20') };
  const { list } = planApplications(terms({ closedForBees: bloom }));
  expect(isoDay(list[0]?.on ?? TODAY)).toBe('2026-06-21');
  expect(list[0]?.why).toEqual({ code: 'in-flower', until: bloom.to });
});

it.each([
  [
    'the window',
    { window: { from: TODAY, to: day('2026-06-25') } },
    2,
    { code: 'window-closes', on: day('2026-06-25') },
  ],
  [
    'the harvest',
    { harvest: day('2026-07-01'), label: { ...NO_LABEL, daysToHarvest: 14 } },
    1,
    { code: 'days-to-harvest', days: 14, harvest: day('2026-07-01') },
  ],
  [
    'the time the label keeps people away',
    { harvest: day('2026-06-24'), label: { ...NO_LABEL, reentryHours: 48 } },
    1,
    { code: 're-entry', hours: 48, harvest: day('2026-06-24') },
  ],
  [
    'the label',
    { label: { ...NO_LABEL, mostPerYear: 2, everyDays: null } },
    2,
    { code: 'most-in-a-year', times: 2 },
  ],
])('ends at %s', (_, change, count, reason) => {
  const found = planApplications(terms(change));
  expect(found.list).toHaveLength(count);
  expect(found.stopped).toMatchObject({ code: 'stopped', done: count, of: 3, reason });
});

it('tells what moved since the dates were told', () => {
  const kept = [
    { number: 1, on: TODAY },
    { number: 2, on: day('2026-06-23') },
    { number: 3, on: day('2026-07-03') },
  ];
  expect(movesBetween(kept, planApplications(terms()))).toEqual([]);
  const later = planApplications(
    terms({ checks: [WET, WET, GO], window: { from: TODAY, to: day('2026-07-01') } }),
  );
  const moves = movesBetween(kept, later);
  expect(moves.map(({ number, to }) => [number, to === null ? null : isoDay(to)])).toEqual([
    [1, '2026-06-15'],
    [2, '2026-06-25'],
    [3, null],
  ]);
  expect(moves[1]?.why.code).toBe('weather');
  expect(moves[2]?.why).toMatchObject({ code: 'stopped', reason: { code: 'window-closes' } });
});

it('says why a day came nearer', () => {
  const [sooner] = movesBetween([{ number: 1, on: day('2026-06-18') }], planApplications(terms()));
  expect(sooner?.why).toEqual({ code: 'free-again' });
  const done = planApplications(terms({ done: [day('2026-06-11')] }));
  const [, next] = movesBetween(
    [
      { number: 1, on: day('2026-06-13') },
      { number: 2, on: day('2026-06-23') },
    ],
    done,
  );
  expect(next ?? movesBetween([{ number: 2, on: day('2026-06-23') }], done)[0]).toMatchObject({
    number: 2,
    why: { code: 'after-one-before' },
  });
});

it('keeps the interval, the window and the order (property)', () => {
  const check = fc.constantFrom(GO, WET);
  fc.assert(
    fc.property(
      fc.array(check, { maxLength: 12 }),
      fc.integer({ min: 1, max: 30 }),
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: -60, max: -1 }),
      (checks, everyDays, times, ago) => {
        const made = terms({ checks, everyDays, times, done: [addDays(TODAY, ago)] });
        const { list } = planApplications(made);
        return list.every(({ on, done }, i) => {
          const before = list[i - 1];
          const inWindow = done || (on >= TODAY && on <= day('2026-08-31'));
          return inWindow && (!before || on - before.on >= everyDays);
        });
      },
    ),
    { numRuns: 300, seed: 20260613 },
  );
});
