import { useEffect, useRef } from 'react';
import { nameOfKey } from './keys.ts';

/** Keys by name: a plain letter (`n`, `?`), which rests while something is typed, or `alt+y`, which never does. */
export type Keys = Readonly<Record<string, () => void>>;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Runs a function when its key is pressed, as long as the component is on the screen. */
export function useKeys(keys: Keys): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || (!event.altKey && isTyping(event.target))) return;
      const action = current.current[nameOfKey(event)];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
