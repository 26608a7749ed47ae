import { useEffect, useRef } from 'react';

/** What stood still for so long has been read, in milliseconds. */
const STILL_MS = 500;

interface Shown<T> {
  readonly id: string | undefined;
  readonly value: T;
  readonly since: number;
  /** What stood still before it; null where nothing did. */
  readonly before: { readonly value: T } | null;
}

/**
 * Gives what was on the screen when it last stood still, told apart by `id`: a key that is pressed just as something else
 * comes up means what was read before.
 */
export function useStill<T>(value: T, id: string | undefined): () => T {
  const shown = useRef<Shown<T>>({ id: undefined, value, since: 0, before: null });
  useEffect(() => {
    const last = shown.current;
    const now = performance.now();
    const stood = last.id !== undefined && now - last.since >= STILL_MS;
    shown.current =
      last.id === id
        ? { ...last, value }
        : { id, value, since: now, before: stood ? { value: last.value } : last.before };
  }, [value, id]);
  return () => {
    const { value: now, since, before } = shown.current;
    return before && performance.now() - since < STILL_MS ? before.value : now;
  };
}
