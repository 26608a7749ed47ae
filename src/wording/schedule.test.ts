import { day } from '../test/setting.ts';
import type { MoveReason } from '../core/timing/applications.ts';
import type { DayReason } from '../core/timing/dayCheck.ts';
import { dayReasonText, moveReasonText, rotationText, windowReasonText } from './schedule.ts';

const today = day('2026-06-13');

it.each<[DayReason, string, string]>([
  [{ code: 'too-hot', celsius: 33.4, limit: 32 }, '33 C', '33 C: above 32 C it burns or fails'],
  [{ code: 'too-cold', celsius: 9, limit: 13 }, '9 C', '9 C at most: below 13 C it does not work'],
  [{ code: 'frost' }, 'frost', 'frost: a wet spray would freeze on the plant'],
  [{ code: 'no-hours' }, 'no hours', 'no hours of the day suit it'],
  [{ code: 'wind-unknown', limit: 16 }, 'wind?', 'wind is not known: not above 16 km/h'],
  [{ code: 'windy', kmh: 15.2, limit: 12 }, 'wind 15', 'wind of 15 km/h: above 12 it drifts'],
  [{ code: 'maybe-too-hot', limit: 32 }, 'heat?', 'it may become hotter than 32 C'],
  [{ code: 'rain-likely', probability: 0.8 }, 'rain 80 %', 'rain is likely (80 %)'],
  [{ code: 'rain-possible', probability: 0.34 }, 'rain 34 %', 'rain may come (34 %)'],
])('words %j', (reason, brief, text) => {
  expect(dayReasonText(reason)).toEqual({ brief, text });
});

it.each<[MoveReason, string]>([
  [
    { code: 'washed-off', millimetres: 26.2, since: day('2026-06-09') },
    '26 mm of rain since 9 June washed it off',
  ],
  [{ code: 'was-due', on: day('2026-06-11') }, 'it was due on 11 June'],
  [
    { code: 'weather', on: today, reasons: [{ code: 'frost' }, { code: 'no-hours' }] },
    '13 June: frost: a wet spray would freeze on the plant, no hours of the day suit it',
  ],
  [
    { code: 'in-flower', until: day('2026-06-20') },
    'it is in flower until about 20 June, for the bees',
  ],
  [
    {
      code: 'stopped',
      done: 1,
      of: 3,
      reason: { code: 'days-to-harvest', days: 14, harvest: day('2026-07-01') },
      next: day('2026-06-23'),
    },
    '1 of 3: the label wants 14 days before the harvest on 1 July, and the next would be on 23 June',
  ],
  [{ code: 'left-out' }, 'it is no longer part of the plan'],
])('words %j', (reason, text) => {
  expect(moveReasonText(reason, today)).toBe(text);
});

it('says what resistance asks for', () => {
  expect(rotationText({ code: 'change-group', group: 'FRAC 3', after: 2 })).toMatch(
    /^After 2 in a row of group FRAC 3/,
  );
});

it('names the reference place where the library does not', () => {
  const reason = {
    code: 'calendar',
    from: { month: 4, day: 25 },
    to: { month: 5, day: 20 },
  } as const;
  expect(windowReasonText({ ...reason, place: null })).toBe(
    '25 April to 20 May in the reference place, carried here by the heat of the season',
  );
});
