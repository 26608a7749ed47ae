import type { StoredEvent } from '../../../contracts/caseEvents.ts';
import { EVENT_WORDS, RELEASE_DEEDS, STATUS_DEEDS } from '../../texts/casebookTexts.ts';

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

/** What an event did, in words; the state that a case or a release came to is what readers look for. */
function inWords(event: StoredEvent['event']): string {
  if (event.kind === 'status-set') return STATUS_DEEDS[event.status];
  if (event.kind === 'release-set') return RELEASE_DEEDS[event.release.state];
  return EVENT_WORDS[event.kind];
}

/** What happened to a case, in order; the same done again at once makes one line. */
export function happenings(events: readonly StoredEvent[]): readonly Happening[] {
  const lines: { key: number; at: string | null; author: string; text: string; times: number }[] =
    [];
  for (const { version, at, author, event } of events) {
    if (BY_ITSELF.includes(event.kind)) continue;
    const text = inWords(event);
    const last = lines.at(-1);
    if (last?.author === author && last.text === text) last.times++;
    else lines.push({ key: version, at: at ?? null, author, text, times: 1 });
  }
  return lines.map(({ times, text, ...line }) => ({
    ...line,
    text: times === 1 ? text : `${text} (${times} times)`,
  }));
}
