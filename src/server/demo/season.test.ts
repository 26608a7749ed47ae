import { readCheckedLibrary } from '../knowledge/loadLibrary.ts';
import { CLOSED_SEASON } from './season.ts';
import { DEMO_PEOPLE } from './people.ts';

const library = readCheckedLibrary('knowledge');
if (!library.ok) throw new Error('the library cannot be read');
const causes = new Set<string>(library.value.causes.map(({ id }) => id));

it('names causes of the library and people of the clinic, on days before the pinned one', () => {
  for (const { on, proved, by, name } of CLOSED_SEASON) {
    expect([name, proved === undefined || causes.has(proved[0])]).toEqual([name, true]);
    expect(DEMO_PEOPLE[by]).toBeDefined();
    for (const day of [`2026-${on}`, proved?.[2] ?? '2026-06-13'])
      expect(day >= '2026-03-01' && day <= '2026-06-13').toBe(true);
    expect(proved === undefined || proved[2] >= `2026-${on}`).toBe(true);
  }
});

it('gives every enquirer another name', () => {
  expect(new Set(CLOSED_SEASON.map(({ name }) => name)).size).toBe(CLOSED_SEASON.length);
});
