/** A function that works each answer out once. Keeps every answer, so it is for few and small ones. */
export function memoizeWeakly<K, V>(make: (key: K) => V): (key: K) => V {
  const known = new Map<K, V>();
  return (key) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const made = make(key);
    known.set(key, made);
    return made;
  };
}
