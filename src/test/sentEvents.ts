import { newId } from '../contracts/ids.ts';
import type { CaseEvent, SentEvent } from '../contracts/caseEvents.ts';

/** An event with its sender, for tests. */
export function sentEvent(event: CaseEvent, author = 'Desk 1'): SentEvent {
  return { id: newId(), author, device: author, event, conflicts: [] };
}

/** Words written into an empty plant. */
export function wordsEvent(words: string, plantId = 'plant-1'): CaseEvent {
  return { kind: 'words-edited', plantId, edits: [{ at: 0, remove: '', insert: words }] };
}
