/** Apart from its callers, so that those stay small enough to be inlined. */
function refuse(index: number, length: number): never {
  throw new RangeError(`no value at ${index} of ${length}`);
}

/**
 * The value at an index from 0 to length - 1, for arrays whose length the code around knows. Throws a RangeError for
 * any other index: a mistake of the programmer, not of the data.
 */
export function entryAt<T>(values: ArrayLike<T>, index: number): T {
  return values[index] ?? refuse(index, values.length);
}

/** {@link entryAt} of a column of numbers. One function for each kind of array keeps access in inner loops fast. */
export function numberAt(values: Float64Array, index: number): number {
  return values[index] ?? refuse(index, values.length);
}

/** {@link entryAt} of a list of positions. */
export function indexAt(
  values: Int32Array | Uint32Array | Uint16Array | Uint8Array,
  index: number,
): number {
  return values[index] ?? refuse(index, values.length);
}

/** Adds to the value at an index of a column of numbers; throws like {@link entryAt}. */
export function addAt(values: Float64Array, index: number, more: number): void {
  values[index] = numberAt(values, index) + more;
}
