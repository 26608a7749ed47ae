import { and, eq, isNotNull, lt } from 'drizzle-orm';
import {
  forgottenEvent,
  logWithout,
  namesWhole,
  recordWithout,
  type Forgetting,
} from '../../contracts/forgetting.ts';
import { newId } from '../../contracts/ids.ts';
import type { StoredEvent } from '../../contracts/caseEvents.ts';
import { writeAudit } from '../audit/auditLog.ts';
import { insertEvents, readCase, readEvents, saveCase } from './queries.ts';
import type { Database, Queries } from '../db/connect.ts';
import { removeOwn } from '../db/ownRows.ts';
import { caseEvents, cases, clinics, enquirers, savedSearches } from '../db/schema.ts';

/** Who forgets; null for the server, by the retention of the clinic. */
export interface Forgetter {
  readonly id: string;
  readonly name: string;
}

async function rewriteLog(tx: Queries, caseId: string, log: readonly StoredEvent[]): Promise<void> {
  for (const { version, event, conflicts } of log)
    await tx
      .update(caseEvents)
      .set({ event, conflicts: [...conflicts] })
      .where(and(eq(caseEvents.caseId, caseId), eq(caseEvents.version, version)));
}

/** Removes searches that were kept for somebody; what is searched for stands in the query of an address. */
async function removeSearches(
  tx: Queries,
  clinicId: number,
  names: (text: string) => boolean,
): Promise<void> {
  const kept = await tx.select().from(savedSearches).where(eq(savedSearches.clinicId, clinicId));
  for (const { id, name, query } of kept)
    if (names(name) || names(new URLSearchParams(query).get('words') ?? ''))
      await removeOwn(tx, savedSearches, { clinicId, id });
}

async function removeEnquirer(tx: Queries, caseId: string): Promise<void> {
  const [head] = await tx
    .select({ enquirer: cases.enquirerId })
    .from(cases)
    .where(eq(cases.id, caseId));
  await tx.update(cases).set({ enquirerId: null }).where(eq(cases.id, caseId));
  if (head?.enquirer !== null && head?.enquirer !== undefined)
    await tx.delete(enquirers).where(eq(enquirers.id, head.enquirer));
}

/**
 * Takes personal data out of a case, its log and what it is found by, in one transaction; what is counted stays. An event
 * says so, so that pages that show the case take it in. False when there is no such case.
 */
export function forgetCase(
  db: Database,
  clinicId: number,
  caseId: string,
  { how, by }: { readonly how: Forgetting; readonly by: Forgetter | null },
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const before = await readCase(tx, clinicId, caseId, true);
    if (!before) return false;
    const log = await readEvents(tx, caseId, { after: 0 });
    await rewriteLog(tx, caseId, logWithout(log, before.enquirer, how));
    const version = before.version + 1;
    const after = { ...recordWithout(before, how), version };
    const said: StoredEvent = {
      id: newId(),
      version,
      author: by?.name ?? '',
      device: 'server',
      event: forgottenEvent(after),
      conflicts: [],
    };
    await saveCase(tx, before, after, { clinicId, personId: null });
    await removeEnquirer(tx, caseId);
    await removeSearches(tx, clinicId, namesWhole(before.enquirer));
    await insertEvents(tx, caseId, { baseVersion: before.version, personId: by?.id ?? null }, [
      said,
    ]);
    await writeAudit(tx, {
      clinicId,
      personId: by?.id ?? null,
      action: how === 'all' ? 'case-forgotten' : 'names-forgotten',
      subject: caseId,
    });
    return true;
  });
}

const DAY_MS = 86_400_000;
/** Cases of one clinic that are forgotten in one go; the next go takes the rest. */
const MOST_AT_ONCE = 500;

/** Takes the names out of cases that a clinic has kept for longer than it keeps personal data. Returns how many. */
export async function forgetDue(db: Database, now: Date): Promise<number> {
  let forgotten = 0;
  const keepers = await db.select({ id: clinics.id, days: clinics.retentionDays }).from(clinics);
  for (const { id: clinicId, days } of keepers) {
    const due = await db
      .select({ id: cases.id })
      .from(cases)
      .where(
        and(
          eq(cases.clinicId, clinicId),
          isNotNull(cases.enquirerId),
          lt(cases.openedAt, new Date(now.getTime() - days * DAY_MS)),
        ),
      )
      .limit(MOST_AT_ONCE);
    for (const { id } of due)
      if (await forgetCase(db, clinicId, id, { how: 'names', by: null })) forgotten++;
  }
  return forgotten;
}
