import { lastingInWords, briefDate, longDate, shortDate, sinceInWords } from './dates.ts';

it('writes dates with month names', () => {
  expect(longDate('2026-06-13')).toBe('Saturday 13 June 2026');
  expect(briefDate('2026-06-13')).toBe('Sat 13 Jun 2026');
  expect(shortDate('2026-07-01', '2026-06-13')).toBe('1 Jul');
  expect(shortDate('2027-04-20', '2026-06-13')).toBe('20 Apr 2027');
});

it.each([
  [5, '0:05'],
  [125, '2:05'],
  [3725, '1:02:05'],
])('writes %d seconds as %s', (seconds, words) => {
  expect(sinceInWords(seconds)).toBe(words);
});

it('says how long something has lasted in the greatest unit that tells', () => {
  const minute = 60_000;
  expect([-1, 0, 59, 60, 135, 24 * 60, 3 * 24 * 60].map((n) => lastingInWords(n * minute))).toEqual(
    [null, '0 min', '59 min', '1 h', '2 h', '1 day', '3 days'],
  );
});
