import { useEffect, useState } from 'react';

/** Typing rests so long before it is passed on, in milliseconds. */
const REST_MS = 250;

/**
 * A text that is typed here and passed on when typing rests, so that no letter waits for what it leads to. A value that
 * changes from elsewhere takes its place.
 */
export function useRested(
  value: string,
  onRest: (text: string) => void,
): readonly [string, (text: string) => void] {
  const [typed, setTyped] = useState(value);
  const [from, setFrom] = useState(value);
  if (value !== from) {
    setFrom(value);
    setTyped(value);
  }
  useEffect(() => {
    if (typed === from) return undefined;
    const timer = setTimeout(() => onRest(typed), REST_MS);
    return () => clearTimeout(timer);
  }, [typed, from, onRest]);
  return [typed, setTyped];
}
