import { newId } from '../../contracts/ids.ts';
import type { Author } from './cases/changes.ts';

const KEY = 'sounding.device';

function deviceId(): string {
  try {
    const known = localStorage.getItem(KEY);
    if (known !== null && known !== '') return known.slice(0, 60);
    const made = newId();
    localStorage.setItem(KEY, made);
    return made;
  } catch {
    return newId();
  }
}

/** Somebody at this browser, as colleagues read it. */
export function authorHere(name: string): Author {
  return { device: deviceId(), author: name };
}
