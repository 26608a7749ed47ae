import { connectionTexts } from '../texts/connectionTexts.ts';
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

/** This browser, as colleagues read it; people sign nothing yet. */
export function thisDesk(): Author {
  const device = deviceId();
  return { device, author: connectionTexts.deskName(device.slice(0, 4)) };
}
