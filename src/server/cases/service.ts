import { appendEvents } from '../../contracts/appendEvents.ts';
import { freshPlant } from '../../contracts/applyCaseEvent.ts';
import type { Appended, Changes } from '../../contracts/caseEvents.ts';
import type { CasePage, CaseRecord, CaseSummary, OpenCase } from '../../contracts/cases.ts';
import { addDays, isoDay, parseDay } from '../../core/timing/calendar.ts';
import { fail, ok, type Result } from '../../core/result.ts';
import type { ClinicOffice } from '../clinic/office.ts';
import type { Database } from '../db/connect.ts';
import {
  insertCase,
  insertEvents,
  isElsewhere,
  readCase,
  readEvents,
  readVersion,
  saveCase,
  type PageKey,
  type PageQuery,
} from './queries.ts';

/** Why a case could not be changed. */
export type CaseProblem =
  | { readonly code: 'not-found' }
  /** The sender has seen a version that this database does not have, as after a restored backup. */
  | { readonly code: 'ahead'; readonly version: number }
  /** An event of that id belongs to another case. */
  | { readonly code: 'elsewhere' };

/** Personal data of an enquirer is kept for a year. */
const KEEP_ENQUIRER_DAYS = 365;
/** Most events of one answer; the next ones are asked for with the last version. */
const MAX_CHANGES = 500;

function purgeDate(today: string): string {
  const day = parseDay(today);
  if (!day.ok) throw new Error(`the clinic clock is not a date: ${today}`);
  return isoDay(addDays(day.value, KEEP_ENQUIRER_DAYS));
}

/** All reads of one moment: between two of them another server may write. */
const SNAPSHOT = { isolationLevel: 'repeatable read', accessMode: 'read only' } as const;

/** A case as it stands; null when there is none. */
export function findCase(db: Database, id: string): Promise<CaseRecord | null> {
  return db.transaction((tx) => readCase(tx, id, false), SNAPSHOT);
}

/** Opens a case with one empty plant at the clinic's place and date; the same id again returns the case that is there. */
export async function openCase(
  db: Database,
  office: ClinicOffice,
  { id, channel }: OpenCase,
): Promise<CaseRecord> {
  const plant = freshPlant('plant-1', office.today(), office.place);
  await db.transaction((tx) =>
    insertCase(tx, office.id, { id, channel, openedAt: office.now().toISOString(), plant }),
  );
  const record = await findCase(db, id);
  if (!record) throw new Error(`case ${id} was written and cannot be read`);
  return record;
}

interface Sending {
  readonly baseVersion: number;
  readonly events: readonly unknown[];
}

const idOf = (sent: unknown): string[] =>
  typeof sent === 'object' && sent !== null && 'id' in sent && typeof sent.id === 'string'
    ? [sent.id]
    : [];
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/**
 * Appends events to a case, each once however often it is sent, on top of what happened since the version they were made
 * on. Answers with everything since that version, and with the first event that could not be applied.
 */
export async function append(
  db: Database,
  office: ClinicOffice,
  id: string,
  { baseVersion, events }: Sending,
): Promise<Result<Appended, CaseProblem>> {
  return db.transaction(async (tx) => {
    const before = await readCase(tx, id, true);
    if (!before) return fail({ code: 'not-found' });
    if (before.version < baseVersion) return fail({ code: 'ahead', version: before.version });
    const ids = events.flatMap(idOf).filter((one) => UUID.test(one));
    if (ids.length > 0 && (await isElsewhere(tx, id, ids))) return fail({ code: 'elsewhere' });
    const log = await readEvents(tx, id, { after: baseVersion });
    const { record, applied, refused } = appendEvents(before, log, events);
    if (applied.length > 0) {
      await saveCase(tx, record, office.id, purgeDate(office.today()));
      await insertEvents(tx, id, baseVersion, applied);
    }
    const since = log.map(({ at: _at, ...event }) => event);
    return ok({ version: record.version, events: [...since, ...applied], refused });
  });
}

/** What happened to a case behind a version; null when there is no such case. */
export async function changesSince(
  db: Database,
  id: string,
  after: number,
): Promise<Changes | null> {
  return db.transaction(async (tx) => {
    const version = await readVersion(tx, id);
    if (version === null) return null;
    const events = await readEvents(tx, id, { after, limit: MAX_CHANGES });
    return { version, events, more: (events.at(-1)?.version ?? version) < version };
  }, SNAPSHOT);
}

/** Lines of one page of the Desk. */
export const PAGE_LINES = 100;

const toKey = ({ value, id }: PageKey): string => `${value},${id}`;

/** Reads a key as an earlier page gave it; null when it is none. */
export function readPageKey(text: string): PageKey | null {
  const [value, id] = text.split(',');
  const isMoment = value !== undefined && /^\d{4}-\d{2}-\d{2}(T[\d:.]{8,12}Z)?$/.test(value);
  return isMoment && !Number.isNaN(Date.parse(value)) && id !== undefined && UUID.test(id)
    ? { value, id }
    : null;
}

/** A page of lines, and the key of the next one. */
export async function readPage(
  list: (query: PageQuery) => Promise<CaseSummary[]>,
  after: PageKey | null,
  valueOf: (line: CaseSummary) => string,
): Promise<CasePage> {
  const lines = await list({ limit: PAGE_LINES + 1, after });
  const cases = lines.slice(0, PAGE_LINES);
  const last = cases.at(-1);
  const more = lines.length > PAGE_LINES && last !== undefined;
  return { cases, next: more ? toKey({ value: valueOf(last), id: last.id }) : null };
}
