import { useEffect, useRef, type RefObject } from 'react';

/** What a part of the page is called by for whoever does not see it; its buttons stand for each other. */
const PART = 'section, nav, [role="region"]';

/**
 * When what had the focus goes from the page, as an answered question does, the first button of the part it stood in takes
 * it, else what `home` gives: what is pressed or typed next must not be lost.
 */
export function useKeptFocus(
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
