import { dayOf } from '../core/timing/calendar.ts';
import { dayInWords, monthDayInWords } from './days.ts';

const today = dayOf(2026, 6, 13);

it('names the year only when it differs', () => {
  expect(dayInWords(dayOf(2026, 5, 19), today)).toBe('19 May');
  expect(dayInWords(dayOf(2027, 4, 20), today)).toBe('20 April 2027');
});

it('names a day of any year', () => {
  expect(monthDayInWords({ month: 12, day: 1 })).toBe('1 December');
});
