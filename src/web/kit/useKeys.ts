import { useEffect, useRef } from 'react';

/** Keys by name: a plain letter (`n`, `?`), which rests while something is typed, or `alt+y`, which never does. */
export type Keys = Readonly<Record<string, () => void>>;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Names the key of an event; with Alt the position on the keyboard decides, as some layouts type other signs then. */
function nameOf(event: KeyboardEvent): string {
  if (!event.altKey) return event.key.toLowerCase();
  return `alt+${event.code.replace(/^(Key|Digit)/, '').toLowerCase()}`;
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
      const action = current.current[nameOf(event)];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
