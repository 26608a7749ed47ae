interface Options<K> {
  /** What distinguishes arguments; the argument itself by default. Arguments of equal keys share a result. */
  readonly keyOf?: (argument: K) => unknown;
  /** How many results stay, at least 1; all by default. Of more, the one used longest ago goes. */
  readonly max?: number;
}

/** A function that works each result out once, also where it is null or undefined. An exception is not kept. */
export function memoize<K, V>(
  make: (argument: K) => V,
  { keyOf = (argument) => argument, max = Infinity }: Options<K> = {},
): (argument: K) => V {
  const results = new Map<unknown, { readonly value: V }>();
  const bounded = max < Infinity;
  return (argument) => {
    const key = keyOf(argument);
    const known = results.get(key);
    if (known && !bounded) return known.value;
    const result = known ?? { value: make(argument) };
    if (bounded) {
      results.delete(key);
      if (results.size >= max) results.delete(results.keys().next().value);
    }
    results.set(key, result);
    return result.value;
  };
}

/** The same for an argument that is an object: a result stays as long as its argument does. */
export function memoizeByObject<K extends object, V>(make: (argument: K) => V): (argument: K) => V {
  const results = new WeakMap<K, { readonly value: V }>();
  return (argument) => {
    const result = results.get(argument) ?? { value: make(argument) };
    results.set(argument, result);
    return result.value;
  };
}

/** A value that is made at the first call. */
export function once<V>(make: () => V): () => V {
  const known = memoize<null, V>(make);
  return () => known(null);
}
