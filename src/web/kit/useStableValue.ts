import { useEffect, useRef } from 'react';

/** A value shown for this long has been read, in milliseconds. */
const STABLE_MS = 500;

interface Shown<T> {
  readonly id: string | undefined;
  readonly value: T;
  readonly since: number;
  /** The last value that was stable before it; null if none was. */
  readonly before: { readonly value: T } | null;
}

/**
 * Returns the value, by its `id`, that was last shown for half a second: a key pressed just as another value appears refers
 * to the one that was read.
 */
export function useStableValue<T>(value: T, id: string | undefined): () => T {
  const shown = useRef<Shown<T>>({ id: undefined, value, since: 0, before: null });
  useEffect(() => {
    const last = shown.current;
    const now = performance.now();
    const wasStable = last.id !== undefined && now - last.since >= STABLE_MS;
    shown.current =
      last.id === id
        ? { ...last, value }
        : { id, value, since: now, before: wasStable ? { value: last.value } : last.before };
  }, [value, id]);
  return () => {
    const { value: now, since, before } = shown.current;
    return before && performance.now() - since < STABLE_MS ? before.value : now;
  };
}
