import { appendEvents } from '../../contracts/appendEvents.ts';
import { emptyPlant } from '../../contracts/applyCaseEvent.ts';
import type { Appended, Changes } from '../../contracts/caseEvents.ts';
import type { CaseRecord, OpenCase } from '../../contracts/cases.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import type { Actor } from '../access/guard.ts';
import type { Database, Queries } from '../db/connect.ts';
import { isTaken } from '../db/errors.ts';
import { refusalOf } from './mayHappen.ts';
import {
  insertCase,
  insertEvents,
  readCase,
  readEvents,
  readVersion,
  saveCase,
} from './queries.ts';

/** Why a case could not be changed. */
export type CaseProblem =
  | { readonly code: 'not-found' }
  /** The sender's version is not there, as after a restored backup, or too far back to go on from. */
  | { readonly code: 'other-version'; readonly version: number }
  /** An event of that id is kept already, with another case or far back. */
  | { readonly code: 'id-taken' };

/** Most events of one answer; the next ones are asked for with the last version. */
const MAX_CHANGES = 300;

/** All reads of one moment: between two of them another server may write. */
const SNAPSHOT = 'isolation level repeatable read read only';

/** A case as it stands; null when there is none. */
export function findCase(db: Database, clinicId: number, id: string): Promise<CaseRecord | null> {
  return db.transaction((tx) => readCase(tx, clinicId, id, false), SNAPSHOT);
}

/**
 * Opens a case with one empty plant at the clinic's place and date; the same id again returns the case that is there. Null
 * when another clinic has a case of that id.
 */
export async function openCase(
  db: Database,
  { id: personId, office }: Actor,
  { id, channel }: OpenCase,
): Promise<CaseRecord | null> {
  const { approach, place } = office;
  const plant = { ...emptyPlant('plant-1', office.today(), place), approach };
  await db.transaction((tx) =>
    insertCase(
      tx,
      office.id,
      { id, channel, openedAt: office.now().toISOString(), plant },
      personId,
    ),
  );
  return findCase(db, office.id, id);
}

interface Sending {
  readonly baseVersion: number;
  readonly events: readonly unknown[];
}

/** The id that an event came with, whatever else of it may be wrong. */
const idOfSent = (sent: unknown): unknown =>
  typeof sent === 'object' && sent !== null && 'id' in sent ? sent.id : null;

/** Appends inside a transaction. */
async function appendLocked(
  tx: Queries,
  actor: Actor,
  id: string,
  { baseVersion, events }: Sending,
): Promise<Result<Appended, CaseProblem>> {
  const before = await readCase(tx, actor.clinicId, id, true);
  if (!before) return fail({ code: 'not-found' });
  const { version } = before;
  if (version < baseVersion || version - baseVersion > MAX_CHANGES)
    return fail({ code: 'other-version', version });
  const log = await readEvents(tx, id, { after: baseVersion });
  const { office, name: author } = actor;
  const ids = new Set(events.map(idOfSent));
  const unseen = log.filter(({ id: known }) => !ids.has(known));
  const { record, applied, refused } = appendEvents(before, log, events, {
    author,
    mayHappen: (at, event) => refusalOf(actor, at, event, unseen),
  });
  if (applied.length > 0) {
    await saveCase(tx, before, record, { clinicId: office.id, personId: actor.id });
    await insertEvents(tx, id, { baseVersion, personId: actor.id }, applied);
  }
  const since = log.map(({ at: _at, ...event }) => event);
  return ok({ version: record.version, events: [...since, ...applied], refused });
}

/**
 * Appends events to a case, each once however often it is sent, on top of what happened since the version they were made
 * on. Answers with everything since that version, and with the first event that could not be applied.
 */
export async function append(
  db: Database,
  actor: Actor,
  id: string,
  sending: Sending,
): Promise<Result<Appended, CaseProblem>> {
  try {
    return await db.transaction((tx) => appendLocked(tx, actor, id, sending));
  } catch (error) {
    // Nothing but the id of an event is made by the sender and must be the only one of its kind.
    if (isTaken(error)) return fail({ code: 'id-taken' });
    throw error;
  }
}

/** What happened to a case behind a version; null when there is no such case. */
export async function changesSince(
  db: Database,
  clinicId: number,
  id: string,
  after: number,
): Promise<Changes | null> {
  return db.transaction(async (tx) => {
    const version = await readVersion(tx, clinicId, id);
    if (version === null) return null;
    const events = await readEvents(tx, id, { after, limit: MAX_CHANGES });
    return { version, events, more: (events.at(-1)?.version ?? version) < version };
  }, SNAPSHOT);
}
