import type { StoredEvent } from '../../../contracts/caseEvents.ts';
import { EVENT_WORDS } from '../../texts/casebookTexts.ts';

/** A line of what happened: one thing, done by one person, however often in a row. */
export interface Happening {
  readonly key: number;
  /** When it was first done; null for events of earlier versions. */
  readonly at: string | null;
  readonly author: string;
  readonly text: string;
}

/** What the program does by itself is no deed of anybody. */
const BY_ITSELF: readonly StoredEvent['event']['kind'][] = ['consulted', 'closing-answer-stored'];

/** What happened to a case, in order; the same done again at once makes one line. */
export function happenings(events: readonly StoredEvent[]): readonly Happening[] {
  const lines: { key: number; at: string | null; author: string; kind: string; times: number }[] =
    [];
  for (const { version, at, author, event } of events) {
    if (BY_ITSELF.includes(event.kind)) continue;
    const last = lines.at(-1);
    if (last?.author === author && last.kind === event.kind) last.times++;
    else lines.push({ key: version, at: at ?? null, author, kind: event.kind, times: 1 });
  }
  return lines.map(({ key, at, author, kind, times }) => {
    const words = Object.entries(EVENT_WORDS).find(([known]) => known === kind)?.[1] ?? kind;
    return { key, at, author, text: times === 1 ? words : `${words} (${times} times)` };
  });
}
