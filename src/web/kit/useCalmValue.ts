import { useEffect, useState } from 'react';

/** Typing has paused when no letter came for so long, in milliseconds. */
const PAUSE_MS = 500;

const endsSentence = (words: string): boolean => /[.!?…\n]\s*$/.test(words);

interface Shown<T> {
  readonly value: T | null;
  /** What the value is about; that of another is shown at once. */
  readonly about: string;
  readonly words: string;
}

/**
 * A value that follows from words being typed, as it was at the last pause or end of a sentence, so that nothing moves while
 * somebody types on. The first value is shown at once, and so is one that changed without the words.
 */
export function useCalmValue<T>(value: T | null, words: string, about: string): T | null {
  const [shown, setShown] = useState<Shown<T>>({ value, about, words });
  const isNew = shown.value === null || value === null || shown.about !== about;
  const isAtOnce = isNew || shown.words === words || endsSentence(words);
  useEffect(() => {
    if (shown.value === value && shown.about === about) return undefined;
    const next = { value, about, words };
    if (isAtOnce) {
      setShown(next);
      return undefined;
    }
    const timer = setTimeout(() => setShown(next), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [value, about, words, isAtOnce, shown]);
  return isAtOnce ? value : shown.value;
}
