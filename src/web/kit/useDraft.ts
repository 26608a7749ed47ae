import { useState } from 'react';

const keyOf = (name: string): string => `sounding.draft.${name}`;

function read(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** A browser that denies or has no room for storage keeps the draft for as long as its field is shown. */
function write(key: string, text: string): void {
  try {
    if (text === '') localStorage.removeItem(key);
    else localStorage.setItem(key, text);
  } catch {
    return;
  }
}

/** A text being typed. */
interface Draft {
  readonly text: string;
  readonly take: (typed: string) => void;
  /** What is shown stays, and is kept elsewhere from now on. */
  readonly forget: () => void;
}

/**
 * A text that is not yet part of the case and is there again after a look elsewhere or a reload; emptying it forgets it.
 * `name` is its own for every field of every plant; a changed one needs a field of its own (a `key`).
 */
export function useDraft(name: string, start: () => string = () => ''): Draft {
  const key = keyOf(name);
  const [text, setText] = useState(() => read(key) ?? start());
  const take = (typed: string): void => {
    setText(typed);
    write(key, typed);
  };
  return { text, take, forget: () => write(key, '') };
}
