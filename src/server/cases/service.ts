import { applyCaseEvent, freshPlant } from '../../contracts/applyCaseEvent.ts';
import type { AppendEvents, CaseRecord, OpenCase } from '../../contracts/cases.ts';
import { addDays, isoDay, parseDay } from '../../core/timing/calendar.ts';
import { fail, ok, type Result } from '../../core/result.ts';
import type { ClinicOffice } from '../clinic/office.ts';
import type { Database } from '../db/connect.ts';
import { insertCase, insertEvents, readCase, saveCase } from './queries.ts';

/** Why a case could not be changed. */
export type CaseProblem =
  | { readonly code: 'not-found' }
  /** Somebody else was faster; `record` is what stands now. */
  | { readonly code: 'conflict'; readonly record: CaseRecord };

/** Personal data of an enquirer is kept for a year. */
const KEEP_ENQUIRER_DAYS = 365;

function purgeDate(today: string): string {
  const day = parseDay(today);
  if (!day.ok) throw new Error(`the clinic clock is not a date: ${today}`);
  return isoDay(addDays(day.value, KEEP_ENQUIRER_DAYS));
}

/** Opens a case with one empty plant at the clinic's place and date; the same id again returns the case that is there. */
export async function openCase(
  db: Database,
  office: ClinicOffice,
  { id, channel }: OpenCase,
): Promise<CaseRecord> {
  const known = await readCase(db, id, false);
  if (known) return known;
  const plant = freshPlant('plant-1', office.today(), office.place);
  await db.transaction((tx) =>
    insertCase(tx, office.id, { id, channel, openedAt: office.now().toISOString(), plant }),
  );
  const record = await readCase(db, id, false);
  if (!record) throw new Error(`case ${id} was written and cannot be read`);
  return record;
}

/**
 * Appends events to a case, all or none. `baseVersion` must be the version the sender last saw.
 */
export async function appendEvents(
  db: Database,
  office: ClinicOffice,
  id: string,
  { baseVersion, events }: AppendEvents,
): Promise<Result<CaseRecord, CaseProblem>> {
  return db.transaction(async (tx) => {
    const before = await readCase(tx, id, true);
    if (!before) return fail({ code: 'not-found' });
    if (before.version !== baseVersion) return fail({ code: 'conflict', record: before });
    const changed = events.reduce<CaseRecord>(applyCaseEvent, before);
    const after: CaseRecord = { ...changed, version: before.version + events.length };
    await saveCase(tx, after, office.id, purgeDate(office.today()));
    await insertEvents(tx, id, before.version + 1, events);
    return ok(after);
  });
}
