import {
  and,
  asc,
  desc,
  eq,
  gt,
  gte,
  inArray,
  isNotNull,
  lte,
  ne,
  sql,
  type SQL,
} from 'drizzle-orm';
import type { ReleaseState } from '../../contracts/access.ts';
import type { StoredEvent } from '../../contracts/caseEvents.ts';
import { dueOf, lookAgainOf } from '../../contracts/dues.ts';
import type { CasePlant, CaseRecord, CaseSummary } from '../../contracts/cases.ts';
import type { Queries } from '../db/connect.ts';
import { caseEvents, casePlants, cases, enquirers, observations } from '../db/schema.ts';
import { announce } from '../live/announce.ts';
import { keepSearchRow } from './searchRow.ts';
import { observationRows, plantRow, toRecord } from './rows.ts';

/** Reads a case of a clinic; `lock` keeps other writers out until the transaction ends. Null when there is none. */
export async function readCase(
  db: Queries,
  clinicId: number,
  id: string,
  lock: boolean,
): Promise<CaseRecord | null> {
  const query = db
    .select({ head: cases, enquirer: enquirers })
    .from(cases)
    .leftJoin(enquirers, eq(enquirers.id, cases.enquirerId))
    .where(and(eq(cases.id, id), eq(cases.clinicId, clinicId)));
  const [found] = await (lock ? query.for('update', { of: cases }) : query);
  if (!found) return null;
  const plants = await db
    .select()
    .from(casePlants)
    .where(eq(casePlants.caseId, id))
    .orderBy(asc(casePlants.position));
  const seen = await db
    .select()
    .from(observations)
    .where(eq(observations.caseId, id))
    .orderBy(asc(observations.position));
  return toRecord({ ...found, plants, observations: seen });
}

/** Characters of the words that a line of the Desk shows. */
const SUMMARY_CHARACTERS = 300;

/** A page of the Desk: so many lines, those behind `after`. */
export interface PageQuery {
  readonly limit: number;
  readonly after: PageKey | null;
}

/** The last line of a page: what it is sorted by, and its id. */
export interface PageKey {
  readonly value: string;
  readonly id: string;
}

const SUMMARY = {
  id: cases.id,
  number: cases.number,
  status: cases.status,
  channel: cases.channel,
  openedAt: cases.openedAt,
  dueOn: cases.dueOn,
  dueWhy: cases.dueWhy,
  lookAgainOn: cases.lookAgainOn,
  enquirer: enquirers.name,
  words: sql<string>`left(${casePlants.words}, ${SUMMARY_CHARACTERS})`,
  plant: casePlants.plant,
  leading: casePlants.leading,
  assignee: sql<string | null>`${cases.assignee} ->> 'name'`,
  release: sql<ReleaseState | null>`${cases.release} ->> 'state'`,
  plantCount: sql<number>`(select count(*)::int from ${casePlants} as p where p.case_id = ${cases.id})`,
};

async function readSummaries(
  db: Queries,
  { where, order, limit }: { where: SQL | undefined; order: SQL[]; limit: number },
): Promise<CaseSummary[]> {
  const rows = await db
    .select(SUMMARY)
    .from(cases)
    .innerJoin(casePlants, and(eq(casePlants.caseId, cases.id), eq(casePlants.position, 0)))
    .leftJoin(enquirers, eq(enquirers.id, cases.enquirerId))
    .where(where)
    .orderBy(...order)
    .limit(limit);
  return rows.map(({ dueOn, dueWhy, ...row }) => ({
    ...row,
    due: dueOn === null || dueWhy === null ? null : { on: dueOn, why: dueWhy },
    openedAt: row.openedAt.toISOString(),
    enquirer: row.enquirer ?? '',
  }));
}

/** Cases that are not closed, the newest first; closed ones on request. */
export function listCases(
  db: Queries,
  clinicId: number,
  closed: boolean,
  { limit, after }: PageQuery,
): Promise<CaseSummary[]> {
  return readSummaries(db, {
    where: and(
      eq(cases.clinicId, clinicId),
      closed ? eq(cases.status, 'closed') : ne(cases.status, 'closed'),
      after
        ? sql`(${cases.openedAt}, ${cases.id}) < (${after.value}::timestamptz, ${after.id}::uuid)`
        : undefined,
    ),
    order: [desc(cases.openedAt), desc(cases.id)],
    limit,
  });
}

/** The cases of these ids, the newest first. */
export function listByIds(db: Queries, ids: string[]): Promise<CaseSummary[]> {
  return readSummaries(db, {
    where: inArray(cases.id, ids),
    order: [desc(cases.openedAt), desc(cases.id)],
    limit: ids.length,
  });
}

/** Cases for which something is to be done on a day, closed or not, the most overdue first. */
export function listDue(
  db: Queries,
  clinicId: number,
  { limit, after }: PageQuery,
): Promise<CaseSummary[]> {
  return readSummaries(db, {
    where: and(
      eq(cases.clinicId, clinicId),
      isNotNull(cases.dueOn),
      after
        ? sql`(${cases.dueOn}, ${cases.id}) > (${after.value}::date, ${after.id}::uuid)`
        : undefined,
    ),
    order: [asc(cases.dueOn), asc(cases.id)],
    limit,
  });
}

/**
 * Closed cases whose advice said to look again between two days and that nobody has heard of since, the earliest first.
 */
export function listLookAgain(
  db: Queries,
  clinicId: number,
  { from, to }: { readonly from: string; readonly to: string },
  { limit, after }: PageQuery,
): Promise<CaseSummary[]> {
  const look = cases.lookAgainOn;
  return readSummaries(db, {
    where: and(
      eq(cases.clinicId, clinicId),
      gte(look, from),
      lte(look, to),
      after ? sql`(${look}, ${cases.id}) > (${after.value}::date, ${after.id}::uuid)` : undefined,
    ),
    order: [asc(look), asc(cases.id)],
    limit,
  });
}

const NOBODY = { name: '', contact: '' };

/** Starts a case with one empty plant, by somebody or by the server. Returns false when the id is taken. */
export async function insertCase(
  db: Queries,
  clinicId: number,
  record: Pick<CaseRecord, 'id' | 'channel' | 'openedAt'> & { readonly plant: CasePlant },
  personId: string | null,
): Promise<boolean> {
  const { id, channel, openedAt, plant } = record;
  const rows = await db
    .insert(cases)
    .values({ id, clinicId, status: 'open', channel, openedAt: new Date(openedAt), version: 0 })
    .onConflictDoNothing()
    .returning({ id: cases.id });
  if (rows.length === 0) return false;
  await db.insert(casePlants).values(plantRow({ caseId: id, clinicId }, plant, 0));
  const opened = { id, openedAt, status: 'open' as const, plants: [plant], enquirer: NOBODY };
  await keepSearchRow(db, clinicId, { before: null, after: opened, personId });
  await announce(db, { clinicId, id, version: 0 });
  return true;
}

async function saveEnquirer(
  db: Queries,
  { id, enquirer: { name, contact } }: CaseRecord,
  clinicId: number,
): Promise<void> {
  const [head] = await db.select({ id: cases.enquirerId }).from(cases).where(eq(cases.id, id));
  const known = head?.id ?? null;
  if (known !== null) {
    await db.update(enquirers).set({ name, contact }).where(eq(enquirers.id, known));
    return;
  }
  const [made] = await db
    .insert(enquirers)
    .values({ clinicId, name, contact })
    .returning({ id: enquirers.id });
  if (made) await db.update(cases).set({ enquirerId: made.id }).where(eq(cases.id, id));
}

async function savePlant(
  db: Queries,
  { caseId, clinicId }: { readonly caseId: string; readonly clinicId: number },
  {
    plant,
    position,
    before,
  }: { plant: CasePlant; position: number; before: CasePlant | undefined },
): Promise<void> {
  const row = plantRow({ caseId, clinicId }, plant, position);
  await db
    .insert(casePlants)
    .values(row)
    .onConflictDoUpdate({ target: [casePlants.caseId, casePlants.id], set: row });
  if (plant.answers === before?.answers) return;
  await db
    .delete(observations)
    .where(and(eq(observations.caseId, caseId), eq(observations.plantId, plant.id)));
  const answers = observationRows(caseId, plant);
  if (answers.length > 0) await db.insert(observations).values(answers);
}

async function removePlants(db: Queries, caseId: string, ids: string[]): Promise<void> {
  await db
    .delete(observations)
    .where(and(eq(observations.caseId, caseId), inArray(observations.plantId, ids)));
  await db
    .delete(casePlants)
    .where(and(eq(casePlants.caseId, caseId), inArray(casePlants.id, ids)));
}

/** Writes what differs between two states of a case. Must run inside a transaction that holds the lock. */
export async function saveCase(
  db: Queries,
  before: CaseRecord,
  after: CaseRecord,
  { clinicId, personId }: { readonly clinicId: number; readonly personId: string | null },
): Promise<void> {
  const { id, status, channel, callBackOn, version, conflicts, release, consent } = after;
  const { assignee, notes } = after;
  const due = dueOf(after);
  const isClosing = status === 'closed' && before.status !== 'closed';
  if (after.enquirer !== before.enquirer) await saveEnquirer(db, after, clinicId);
  await db
    .update(cases)
    .set({
      ...{ status, channel, callBackOn, version, conflicts, release, consent, assignee, notes },
      dueOn: due?.on ?? null,
      dueWhy: due?.why ?? null,
      lookAgainOn: lookAgainOf(after),
      ...(isClosing ? { closedBy: personId } : {}),
    })
    .where(eq(cases.id, id));
  const kept = new Set(after.plants.map((plant) => plant.id));
  const removed = before.plants.map((plant) => plant.id).filter((plantId) => !kept.has(plantId));
  if (removed.length > 0) await removePlants(db, id, removed);
  for (const [position, plant] of after.plants.entries()) {
    const known = before.plants.find((one) => one.id === plant.id);
    if (plant !== known || removed.length > 0)
      await savePlant(db, { caseId: id, clinicId }, { plant, position, before: known });
  }
  await keepSearchRow(db, clinicId, { before, after, personId });
  await announce(db, { clinicId, id, version });
}

/** Keeps events under the versions they made. */
export async function insertEvents(
  db: Queries,
  caseId: string,
  { baseVersion, personId }: { readonly baseVersion: number; readonly personId: string | null },
  events: readonly StoredEvent[],
): Promise<void> {
  if (events.length === 0) return;
  await db.insert(caseEvents).values(
    events.map(({ id, version, at, author, device, event, conflicts }) => ({
      ...(at === undefined ? {} : { at: new Date(at) }),
      caseId,
      version,
      eventId: id,
      author,
      device,
      baseVersion,
      personId,
      event,
      conflicts,
    })),
  );
}

/** The events of a case behind a version, in order, at most `limit`. */
export async function readEvents(
  db: Queries,
  caseId: string,
  { after, limit }: { readonly after: number; readonly limit?: number },
): Promise<StoredEvent[]> {
  const query = db
    .select({
      id: caseEvents.eventId,
      version: caseEvents.version,
      at: caseEvents.at,
      author: caseEvents.author,
      device: caseEvents.device,
      event: caseEvents.event,
      conflicts: caseEvents.conflicts,
    })
    .from(caseEvents)
    .where(and(eq(caseEvents.caseId, caseId), gt(caseEvents.version, after)))
    .orderBy(asc(caseEvents.version));
  const rows = await (limit === undefined ? query : query.limit(limit));
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}

/** The version of a case of a clinic; null when there is none. */
export async function readVersion(
  db: Queries,
  clinicId: number,
  id: string,
): Promise<number | null> {
  const [head] = await db
    .select({ version: cases.version })
    .from(cases)
    .where(and(eq(cases.id, id), eq(cases.clinicId, clinicId)));
  return head?.version ?? null;
}
