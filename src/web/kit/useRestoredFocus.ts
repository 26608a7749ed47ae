import { useEffect, useRef, type RefObject } from 'react';

/** Regions of a page; another button of the same region takes the place of one that was removed. */
const PART = 'section, nav, [role="region"]';

/**
 * When the focused element is removed, as an answered question is, focus moves to the first button of its region, else to
 * `home()`: the next key must not be lost.
 */
export function useRestoredFocus(
  page: RefObject<HTMLElement | null>,
  home: () => HTMLElement | null,
): void {
  const homeNow = useRef(home);
  useEffect(() => {
    homeNow.current = home;
  });
  useEffect(() => {
    const root = page.current;
    if (!root) return undefined;
    let last: { readonly element: Element; readonly part: Element | null } | null = null;
    const note = ({ target }: FocusEvent): void => {
      last = target instanceof Element ? { element: target, part: target.closest(PART) } : null;
    };
    const keep = (): void => {
      if (!last || last.element.isConnected || document.activeElement !== document.body) return;
      const { part } = last;
      const next = part?.isConnected === true ? part.querySelector('button') : null;
      last = null;
      (next ?? homeNow.current())?.focus();
    };
    root.addEventListener('focusin', note);
    const observer = new MutationObserver(keep);
    observer.observe(root, { childList: true, subtree: true });
    return () => {
      root.removeEventListener('focusin', note);
      observer.disconnect();
    };
  }, [page]);
}
