import { jest } from '@jest/globals';
import { civilDay, makeClock } from './clinicContext.ts';

afterEach(() => {
  jest.useRealTimers();
});

// Four in the morning and eight in the evening at 67.9 W, and noon at both ends of the day line.
it.each([
  ['2026-12-02T01:25:00Z', -67.9],
  ['2026-12-02T23:59:59Z', -67.9],
  ['2026-12-02T12:00:00Z', 179.5],
  ['2026-12-02T12:00:00Z', -179.5],
  ['2026-12-02T00:00:00Z', 0],
])('at %s a pinned clock shows its day at %d degrees, and the time of day there', (now, lon) => {
  jest.useFakeTimers({ now: new Date(now) });
  const moment = makeClock('2026-06-13', lon)();
  expect(civilDay(moment, lon)).toBe('2026-06-13');
  const days = (moment.getTime() - Date.parse(now)) / 86_400_000;
  expect(Number.isInteger(days)).toBe(true);
});

it('runs with the time where no day is pinned', () => {
  jest.useFakeTimers({ now: new Date('2026-12-02T01:25:00Z') });
  expect(makeClock(undefined, -67.9)().toISOString()).toBe('2026-12-02T01:25:00.000Z');
});
