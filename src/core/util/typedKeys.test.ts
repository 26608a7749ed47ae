import { entriesOf, keysOf } from './typedKeys.ts';

const MONTHS: Partial<Record<'may' | 'june', number>> = { may: 5, june: 6 };

it('lists keys and entries in the order of the record, empty for an empty one', () => {
  const keys: ('may' | 'june')[] = keysOf(MONTHS);
  expect(keys).toEqual(['may', 'june']);
  expect(entriesOf(MONTHS)).toEqual([
    ['may', 5],
    ['june', 6],
  ]);
  expect([keysOf({}), entriesOf({})]).toEqual([[], []]);
});
