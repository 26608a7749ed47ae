import { findingIdSchema } from '../schema/common.ts';
import { resolveExclusiveGroups, type Chosen } from './chosen.ts';

const chosen = (name: string, rest: Partial<Chosen> = {}): Chosen => ({
  finding: findingIdSchema.parse(name),
  value: true,
  sure: 0.8,
  span: { start: 0, end: 1 },
  group: undefined,
  strength: 1,
  ...rest,
});
const names = (all: readonly Chosen[]): string[] =>
  resolveExclusiveGroups(all).map(({ finding, value }) => `${value ? '' : '!'}${finding}`);

describe('one reading for each finding', () => {
  it('prefers what was affirmed to what was denied elsewhere', () => {
    expect(names([chosen('a', { value: false, sure: 0.9 }), chosen('a')])).toEqual(['a']);
  });

  it('prefers the surer, then the stronger', () => {
    const [sure, strong] = [chosen('a', { sure: 0.9 }), chosen('a', { strength: 5 })];
    expect(resolveExclusiveGroups([sure, strong])).toEqual([sure]);
    expect(resolveExclusiveGroups([chosen('a'), strong])).toEqual([strong]);
  });

  it('keeps the strongest of an exclusive group, and what is denied of it', () => {
    const group = 'age';
    expect(
      names([
        chosen('old', { group, strength: 0.6 }),
        chosen('new', { group, strength: 0.8 }),
        chosen('all', { group, value: false }),
        chosen('spots'),
      ]),
    ).toEqual(['new', '!all', 'spots']);
  });
});
