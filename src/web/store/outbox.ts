import { z } from 'zod';
import { caseEventSchema, type CaseEvent } from '../../contracts/cases.ts';

/** Events that the server has not confirmed, kept on this device so that a dying page loses nothing. */
const keyOf = (caseId: string): string => `sounding.outbox.${caseId}`;

const stored = z.array(caseEventSchema);

/** Events kept for a case; entries that cannot be read any more are left out. */
export function loadOutbox(caseId: string): readonly CaseEvent[] {
  try {
    const parsed = stored.safeParse(JSON.parse(localStorage.getItem(keyOf(caseId)) ?? '[]'));
    return parsed.success ? parsed.data : [];
  } catch {
    return [];
  }
}

/** Keeps the events of a case, or forgets them when there are none. A full or closed storage is no error: the server still gets them. */
export function storeOutbox(caseId: string, events: readonly CaseEvent[]): void {
  try {
    if (events.length === 0) localStorage.removeItem(keyOf(caseId));
    else localStorage.setItem(keyOf(caseId), JSON.stringify(events));
  } catch {
    // The page goes on; only the copy on this device is missing.
  }
}

/** Adds an event; typing on replaces the words that were not sent yet. */
export function addToOutbox(
  outbox: readonly CaseEvent[],
  event: CaseEvent,
  sending: number,
): CaseEvent[] {
  const last = outbox.at(-1);
  const replaces =
    outbox.length > sending &&
    event.kind === 'words-set' &&
    last?.kind === 'words-set' &&
    last.plantId === event.plantId;
  return replaces ? [...outbox.slice(0, -1), event] : [...outbox, event];
}
