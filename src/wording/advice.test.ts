import { day } from '../test/setting.ts';
import { whenText } from './advice.ts';

const today = day('2026-06-24');
const span = (from: string, to: string) => ({ from: day(from), to: day(to) });

it.each([
  [{ kind: 'always' } as const, 'now'],
  [{ kind: 'open', span: span('2026-06-01', '2026-07-10') } as const, 'now, until about 10 July'],
  [
    { kind: 'opens', span: span('2026-08-10', '2026-09-01'), closedSince: null } as const,
    'about 10 August to 1 September',
  ],
  [
    {
      kind: 'opens',
      span: span('2027-04-20', '2027-05-12'),
      closedSince: day('2026-06-02'),
    } as const,
    'about 20 April 2027 to 12 May 2027; the last window closed about 2 June',
  ],
  [
    {
      kind: 'opens',
      span: span('2027-04-20', '2027-05-12'),
      closedSince: day('2026-05-14'),
    } as const,
    'about 20 April 2027 to 12 May 2027',
  ],
  [
    { kind: 'never', why: 'too-cool' } as const,
    'not here: a normal year here does not get warm enough for it',
  ],
])('%j', (state, words) => {
  expect(whenText(state, today)).toBe(words);
});
