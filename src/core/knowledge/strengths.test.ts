import { causeWith } from '../../test/candidate.ts';
import { findingId } from '../../test/setting.ts';
import type { FindingId } from '../schema/common.ts';
import { shownBy, strengthsOf } from './strengths.ts';

const implied = (id: FindingId): readonly FindingId[] =>
  id === 'black-spots' ? [id, findingId('spots')] : [id];
const isContext = (id: FindingId): boolean => id.startsWith('spell');
const strengths = (findings: Record<string, string>) =>
  Object.fromEntries(strengthsOf(causeWith({ findings }), implied, isContext));

it('gives a thing in general the strength of its most frequent kind', () => {
  expect(strengths({ 'black-spots': 'usual' })).toEqual({ 'black-spots': 0.75, spots: 0.75 });
  expect(strengths({ 'black-spots': 'seldom', spots: 'often' })).toEqual({
    'black-spots': 0.12,
    spots: 0.55,
  });
});

it.each([
  ['often', 0.275],
  ['usual', 0.375],
  ['never', 0],
  // The cause hardly comes without it.
  ['nearly-always', 0.9],
  ['always', 0.97],
])('counts circumstances that go before it %s as %d', (word, strength) => {
  expect(strengths({ 'spell-hot': word })).toEqual({ 'spell-hot': strength });
});

it('turns the table round, without what a cause never shows', () => {
  const cause = causeWith({ findings: { spots: 'usual', holes: 'never' } });
  const table = shownBy(new Map([[cause.id, strengthsOf(cause, implied, isContext)]]));
  expect(table.get(findingId('spots'))?.get(cause.id)).toBe(0.75);
  expect(table.get(findingId('holes'))?.size).toBe(0);
});
