import { useEffect, useRef } from 'react';
import { nameOfKey } from './keys.ts';

/** Keys by name: a plain letter (`n`, `?`), which rests while something is typed, or `alt+y` and `escape`, which never do. */
export type Keys = Readonly<Record<string, () => void>>;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** A dialog covers the page: what is pressed belongs to it. */
const isCovered = (): boolean => document.querySelector('[role="dialog"]') !== null;

/**
 * Runs a function when its key is pressed, as long as the component is on the screen and no dialog covers it. A key that
 * is held down counts once.
 */
export function useKeys(keys: Keys): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey) return;
      if (!event.altKey && event.key !== 'Escape' && isTyping(event.target)) return;
      const action = current.current[nameOfKey(event)];
      if (!action || isCovered()) return;
      event.preventDefault();
      if (!event.repeat) action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
