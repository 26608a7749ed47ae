import { addAt, entryAt, indexAt, numberAt } from './entryAt.ts';

it('reads and adds where there is a value', () => {
  const column = new Float64Array([1, 0]);
  addAt(column, 1, 2.5);
  expect([numberAt(column, 0), numberAt(column, 1)]).toEqual([1, 2.5]);
  expect([entryAt(['fern', ''], 1), indexAt(new Int32Array([7]), 0)]).toEqual(['', 7]);
});

it.each([-1, 2, 0.5, NaN])('refuses an index of %p', (index) => {
  expect(() => entryAt([1, 2], index)).toThrow(RangeError);
  expect(() => indexAt(new Int32Array(2), index)).toThrow(RangeError);
  expect(() => numberAt(new Float64Array(2), index)).toThrow(RangeError);
  expect(() => {
    addAt(new Float64Array(2), index, 1);
  }).toThrow(RangeError);
});
