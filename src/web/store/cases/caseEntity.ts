import { applyCaseEvent, applyStoredEvent } from '../../../contracts/applyCaseEvent.ts';
import { MAX_EVENTS, type SentEvent, type StoredEvent } from '../../../contracts/caseEvents.ts';
import type { CaseRecord } from '../../../contracts/cases.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { rebaseEvents, withoutFirst, wordsByPlant } from '../../../contracts/rebaseEvents.ts';
import { applyEdits, diffText, joinEdits, type TextEdits } from '../../../contracts/textEdits.ts';
import { withArrivals, type Arrival } from './arrivals.ts';

/** A change that the server has not acknowledged. */
export interface PendingEvent extends SentEvent {
  /** It was on its way once, so the server may have it: it must not change any more. */
  readonly sent: boolean;
}

/** A change that the server did not take, set aside with the reason. */
export interface RefusedEvent extends SentEvent {
  readonly problem: Problem;
}

/** Where the sending of a case stands. */
export type SyncState =
  | { readonly kind: 'idle' }
  /** The first `count` pending events are on their way. */
  | { readonly kind: 'sending'; readonly count: number }
  /** The last try failed for a reason that passes; `problem` says which. */
  | { readonly kind: 'waiting'; readonly problem: Problem };

/** One case on this page: what the server confirmed, and what was done on top of it. */
export interface CaseEntity {
  readonly confirmed: CaseRecord;
  readonly pending: readonly PendingEvent[];
  readonly refused: readonly RefusedEvent[];
  readonly sync: SyncState;
  /** What others did to words that this page showed, the newest last. */
  readonly arrivals: readonly Arrival[];
}

/** What is sent and what happened before it. */
export interface Sending {
  readonly baseVersion: number;
  readonly events: readonly SentEvent[];
}

/** A case as it was loaded, with changes that were kept of it. */
export function openedEntity(
  confirmed: CaseRecord,
  kept: Partial<Pick<CaseEntity, 'pending' | 'refused'>> = {},
): CaseEntity {
  const { pending = [], refused = [] } = kept;
  return { confirmed, pending, refused, sync: { kind: 'idle' }, arrivals: [] };
}

/** The record with everything that was done, confirmed or not. */
export function currentRecord({
  confirmed,
  pending,
}: Pick<CaseEntity, 'confirmed' | 'pending'>): CaseRecord {
  return pending.reduce<CaseRecord>(
    (record, { event }) => applyCaseEvent(record, event),
    confirmed,
  );
}

const sizeOf = ({ event }: SentEvent): number =>
  event.kind === 'words-edited'
    ? event.edits.reduce((sum, { remove, insert }) => sum + remove.length + insert.length, 0)
    : 0;

/** What was only typed on, or only taken out, at its place; null for all else. */
function joinedEdits(words: string, first: TextEdits, second: TextEdits): TextEdits | null {
  const [one, other] = [first[0], second[0]];
  if (!one || !other || first.length > 1 || second.length > 1) return null;
  const joined = joinEdits(words, one, other);
  if (!joined || (joined.remove !== '' && joined.insert !== '')) return null;
  return joined.remove === joined.insert ? [] : [joined];
}

/** One edit for two that follow each other in one place and were not sent; null when they stay two. */
function joinedEdit(
  before: CaseRecord,
  last: PendingEvent | undefined,
  next: PendingEvent,
): PendingEvent | null {
  if (!last || last.sent || last.conflicts.length > 0) return null;
  if (last.event.kind !== 'words-edited' || next.event.kind !== 'words-edited') return null;
  const { plantId } = last.event;
  if (plantId !== next.event.plantId) return null;
  const words = before.plants.find(({ id }) => id === plantId)?.words ?? '';
  const between = applyEdits(words, last.event.edits);
  const after = between === null ? null : applyEdits(between, next.event.edits);
  if (after === null) return null;
  const edits = joinedEdits(words, last.event.edits, next.event.edits) ?? diffText(words, after);
  const joined = { ...last, event: { ...last.event, edits: [...edits] } };
  return sizeOf(joined) <= sizeOf(last) + sizeOf(next) ? joined : null;
}

/** Adds a change; typing on in one place makes one edit of what was not sent yet. */
export function withChange(entity: CaseEntity, change: SentEvent): CaseEntity {
  const next: PendingEvent = { ...change, sent: false };
  const { pending } = entity;
  const earlier = { ...entity, pending: pending.slice(0, -1) };
  const joined =
    next.event.kind === 'words-edited'
      ? joinedEdit(currentRecord(earlier), pending.at(-1), next)
      : null;
  return { ...entity, pending: joined ? [...earlier.pending, joined] : [...pending, next] };
}

/** Marks the next changes as sent; null when there is nothing to send or something is on its way. */
export function startSending(
  entity: CaseEntity,
): { readonly entity: CaseEntity; readonly sending: Sending } | null {
  const { pending, confirmed, sync } = entity;
  if (pending.length === 0 || sync.kind === 'sending') return null;
  const first = pending.slice(0, MAX_EVENTS);
  const marked = pending.map((one, i) => (i < first.length ? { ...one, sent: true } : one));
  return {
    entity: { ...entity, pending: marked, sync: { kind: 'sending', count: first.length } },
    sending: {
      baseVersion: confirmed.version,
      events: first.map(({ id, author, device, event, conflicts }) => ({
        id,
        author,
        device,
        event,
        conflicts,
      })),
    },
  };
}

/** The sending is over, whatever came of it. */
export function endSending(entity: CaseEntity, problem: Problem | null): CaseEntity {
  return { ...entity, sync: problem ? { kind: 'waiting', problem } : { kind: 'idle' } };
}

/**
 * Takes in events that the server stored. Those that are known already are passed over; null when there is a gap, so
 * that the missing ones must be asked for.
 */
export function withStored(entity: CaseEntity, stored: readonly StoredEvent[]): CaseEntity | null {
  const { confirmed, pending, refused, arrivals } = entity;
  const fresh = stored.filter(({ version }) => version > confirmed.version);
  if (fresh.some(({ version }, i) => version !== confirmed.version + 1 + i)) return null;
  if (fresh.length === 0) return entity;
  const ids = new Set(fresh.map(({ id }) => id));
  const sent = new Map(pending.map((one) => [one.id, one.sent]));
  const rebased = rebaseEvents(wordsByPlant(confirmed), pending, fresh);
  return {
    ...entity,
    confirmed: fresh.reduce<CaseRecord>(applyStoredEvent, confirmed),
    pending: rebased.pending.map((one) => ({ ...one, sent: sent.get(one.id) ?? false })),
    arrivals: withArrivals(arrivals, wordsByPlant(currentRecord(entity)), rebased.arrived),
    refused: refused.filter(({ id }) => !ids.has(id)),
  };
}

/** Sets the oldest pending change aside, as the server does not take it; those behind it go on without it. */
export function setAside(entity: CaseEntity, id: string, problem: Problem): CaseEntity {
  const { confirmed, pending, refused } = entity;
  const [first] = pending;
  if (first?.id !== id) return entity;
  const { sent: _sent, ...event } = first;
  const rest = withoutFirst(wordsByPlant(confirmed), pending);
  return {
    ...entity,
    pending: rest.map((one, i) => ({ ...one, sent: pending[i + 1]?.sent ?? false })),
    refused: [...refused, { ...event, problem }],
  };
}

/** Forgets a change that was set aside. */
export function withoutRefused(entity: CaseEntity, id: string): CaseEntity {
  return { ...entity, refused: entity.refused.filter((one) => one.id !== id) };
}
