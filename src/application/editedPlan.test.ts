import fc from 'fast-check';
import type { ConsultResponse } from '../contracts/consult.ts';
import { NO_PLAN } from '../contracts/cases.ts';
import { editedPlan, movedStep } from './editedPlan.ts';

const step = (id: string): ConsultResponse['advice']['steps'][number] => ({
  id,
  name: null,
  text: `Do ${id}.`,
  rung: 'hand',
  when: { from: '2026-06-13', to: null, note: 'now' },
  cautions: [],
  amount: null,
  product: false,
});
const advised = ['a', 'b', 'c'].map(step);
const own = [{ id: 'mine', text: 'Ring the neighbor.', on: null }];
const ids = (plan: Partial<typeof NO_PLAN>) =>
  editedPlan(advised, { ...NO_PLAN, ...plan }).steps.map(({ id }) => id);

it('is the advice while nothing was changed, with own steps at its end', () => {
  expect(ids({})).toEqual(['a', 'b', 'c']);
  expect(ids({ own })).toEqual(['a', 'b', 'c', 'mine']);
});

it('leaves steps out and can say which', () => {
  expect(ids({ leftOut: ['b'] })).toEqual(['a', 'c']);
  expect(editedPlan(advised, { ...NO_PLAN, leftOut: ['b', 'gone'] }).leftOut).toEqual([step('b')]);
});

it('keeps the order that was given, also where the advice has changed since', () => {
  expect(ids({ own, order: ['mine', 'c', 'a', 'b'] })).toEqual(['mine', 'c', 'a', 'b']);
  expect(ids({ order: ['c', 'gone', 'a'] })).toEqual(['c', 'a', 'b']);
});

it('moves a step by one place and no further than the ends', () => {
  const plan = editedPlan(advised, NO_PLAN);
  expect(movedStep(plan, 'b', -1)).toEqual(['b', 'a', 'c']);
  expect(movedStep(plan, 'b', 1)).toEqual(['a', 'c', 'b']);
  expect(movedStep(plan, 'a', -1)).toBeNull();
  expect(movedStep(plan, 'c', 1)).toBeNull();
  expect(movedStep(plan, 'none', 1)).toBeNull();
});

it('never loses or doubles a step, whatever the order says', () => {
  const some = fc.subarray(['a', 'b', 'c', 'mine', 'gone'], { minLength: 0 });
  fc.assert(
    fc.property(some, some, (leftOut, order) => {
      const made = ids({ own, leftOut, order });
      const wanted = ['a', 'b', 'c'].filter((id) => !leftOut.includes(id)).concat('mine');
      return [...made].sort().join() === [...wanted].sort().join();
    }),
    { seed: 3, numRuns: 300 },
  );
});
