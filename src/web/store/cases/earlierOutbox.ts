import { z } from 'zod';
import { applyCaseEvent } from '../../../contracts/applyCaseEvent.ts';
import {
  loggedEventSchema,
  type CaseEvent,
  type LoggedEvent,
} from '../../../contracts/caseEvents.ts';
import type { CaseRecord } from '../../../contracts/cases.ts';
import { newId } from '../../../contracts/ids.ts';
import { diffText, type TextEdits } from '../../../contracts/textEdits.ts';
import type { Author } from './changes.ts';
import type { ChainServices } from './chains.ts';

/** Where earlier versions kept changes that were not sent, by case. */
const KEY = 'sounding.outbox.';
/** No page writes as this one, so its chains are sent like those of any page that is gone. */
const WRITER = 'earlier-version';

const stored = z.array(loggedEventSchema);

/** What a text says as JSON; null when it is none. */
function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
}

/** Whole words of an earlier version over those that stand now: what others wrote since stays. */
function wordsOver(current: string, words: string): TextEdits {
  if (words.startsWith(current)) return diffText(current, words);
  if (current.includes(words)) return [];
  return [{ at: current.length, remove: '', insert: `\n${words}` }];
}

/** An event of an earlier version as one of this version; null when it changes nothing. */
function toEvent(record: CaseRecord, event: LoggedEvent): CaseEvent | null {
  switch (event.kind) {
    case 'words-set': {
      const { plantId } = event;
      const current = record.plants.find(({ id }) => id === plantId)?.words ?? '';
      return { kind: 'words-edited', plantId, edits: [...wordsOver(current, event.words)] };
    }
    case 'answer-given': {
      const { kind, plantId, answer } = event;
      return { kind, plantId, answer: 'id' in answer ? answer : { ...answer, id: newId() } };
    }
    case 'answer-withdrawn': {
      if ('answerId' in event) return event;
      const { kind, plantId, finding } = event;
      const plant = record.plants.find(({ id }) => id === plantId);
      const answer = plant?.answers.find((one) => one.finding === finding);
      return answer ? { kind, plantId, answerId: answer.id } : null;
    }
    default:
      return event;
  }
}

/** Events of an earlier version on top of a record, as events of this version. */
export function convertEarlier(
  record: CaseRecord,
  events: readonly LoggedEvent[],
): readonly CaseEvent[] {
  let state = record;
  return events.flatMap((one) => {
    const event = toEvent(state, one);
    if (!event) return [];
    state = applyCaseEvent(state, event);
    return [event];
  });
}

/** Hands what an earlier version kept in `storage` to the outbox; what the server does not answer for stays for the next time. */
export async function takeEarlierOutbox(
  storage: Storage,
  { api, outbox }: ChainServices,
  { author, device }: Author,
): Promise<void> {
  const keys = Object.keys(storage).filter((key) => key.startsWith(KEY));
  for (const key of keys) {
    const caseId = key.slice(KEY.length);
    const read = stored.safeParse(parsed(storage.getItem(key)));
    const record = await api.readCase(caseId);
    if (!read.success || !record.ok) continue;
    const pending = convertEarlier(record.value, read.data).map((event) => ({
      id: newId(),
      author,
      device,
      event,
      conflicts: [],
      sent: false,
    }));
    const base = record.value;
    await outbox.put({ caseId, writer: WRITER, base, pending, refused: [], updatedAt: Date.now() });
    storage.removeItem(key);
  }
}
