import fc from 'fast-check';
import { addDays } from '../core/timing/calendar.ts';
import { day } from '../test/setting.ts';
import { sheetCalendar } from './sheetCalendar.ts';

const TODAY = day('2026-06-13');

it('begins on the Monday of this week and ends with the last thing to do (13 June 2026 is a Saturday)', () => {
  const weeks = sheetCalendar([[TODAY, day('2026-06-24')], [day('2026-06-15')]], null, TODAY);
  expect(weeks.map(({ from }) => from)).toEqual(['8 June', '15 June', '22 June']);
  const marks = weeks.flatMap(({ days }) =>
    days.flatMap(({ dayOfMonth, steps }) => (steps.length > 0 ? [[dayOfMonth, ...steps]] : [])),
  );
  expect(marks).toEqual([
    [13, 1],
    [15, 2],
    [24, 1],
  ]);
  expect(weeks[0]?.days.map(({ past }) => past)).toEqual([
    true,
    true,
    true,
    true,
    true,
    false,
    false,
  ]);
});

it('marks the day to look again, and leaves out what is more than six weeks off', () => {
  const look = day('2026-06-27');
  const weeks = sheetCalendar([[TODAY, day('2026-10-01')]], look, TODAY);
  expect(weeks).toHaveLength(3);
  expect(weeks.flatMap(({ days }) => days).find(({ look: is }) => is)?.day).toBe(look);
});

it('is empty where nothing falls into the next weeks', () => {
  expect(sheetCalendar([[day('2027-04-01')], []], day('2026-07-01'), TODAY)).toEqual([]);
});

it('shows each near day once, in whole weeks', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 3000 }),
      fc.array(fc.array(fc.integer({ min: -20, max: 80 }), { maxLength: 4 }), { maxLength: 4 }),
      (offset, steps) => {
        const today = addDays(TODAY, offset);
        const dates = steps.map((of) => [...new Set(of)].map((one) => addDays(today, one)));
        const weeks = sheetCalendar(dates, null, today);
        const sinceMonday = (new Date(today * 86_400_000).getUTCDay() + 6) % 7;
        const start = today - sinceMonday;
        const near = dates.flat().filter((one) => one >= today && one < start + 42).length;
        const shown = weeks.flatMap(({ days }) => days.flatMap((one) => one.steps)).length;
        return weeks.every(({ days }) => days.length === 7) && shown === near;
      },
    ),
    { seed: 5, numRuns: 300 },
  );
});
