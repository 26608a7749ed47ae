import { and, asc, desc, eq, ne, sql } from 'drizzle-orm';
import type { CaseEvent, CasePlant, CaseRecord, CaseSummary } from '../../contracts/cases.ts';
import type { Queries } from '../db/connect.ts';
import { caseEvents, casePlants, cases, enquirers, observations } from '../db/schema.ts';
import { observationRows, plantRow, toRecord } from './rows.ts';

/** Reads a case; `lock` keeps other writers out until the transaction ends. Null when there is none. */
export async function readCase(db: Queries, id: string, lock: boolean): Promise<CaseRecord | null> {
  const query = db.select().from(cases).where(eq(cases.id, id));
  const [head] = await (lock ? query.for('update') : query);
  if (!head) return null;
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
  const [enquirer] =
    head.enquirerId === null
      ? []
      : await db.select().from(enquirers).where(eq(enquirers.id, head.enquirerId));
  return toRecord({ head, enquirer: enquirer ?? null, plants, observations: seen });
}

/** Cases that are not closed, the newest first; closed ones on request. */
export async function listCases(db: Queries, closed: boolean): Promise<CaseSummary[]> {
  const rows = await db
    .select({
      id: cases.id,
      number: cases.number,
      status: cases.status,
      channel: cases.channel,
      openedAt: cases.openedAt,
      callBackOn: cases.callBackOn,
      enquirer: enquirers.name,
      words: casePlants.words,
      plant: casePlants.plant,
      plantCount: sql<number>`(select count(*)::int from ${casePlants} as p where p.case_id = ${cases.id})`,
    })
    .from(cases)
    .innerJoin(casePlants, and(eq(casePlants.caseId, cases.id), eq(casePlants.position, 0)))
    .leftJoin(enquirers, eq(enquirers.id, cases.enquirerId))
    .where(closed ? eq(cases.status, 'closed') : ne(cases.status, 'closed'))
    .orderBy(desc(cases.openedAt))
    .limit(500);
  return rows.map((row) => ({
    ...row,
    openedAt: row.openedAt.toISOString(),
    enquirer: row.enquirer ?? '',
  }));
}

/** Starts a case with one empty plant. Returns false when the id is taken. */
export async function insertCase(
  db: Queries,
  clinicId: number,
  record: Pick<CaseRecord, 'id' | 'channel' | 'openedAt'> & { readonly plant: CasePlant },
): Promise<boolean> {
  const { id, channel, openedAt, plant } = record;
  const rows = await db
    .insert(cases)
    .values({ id, clinicId, status: 'open', channel, openedAt: new Date(openedAt), version: 0 })
    .onConflictDoNothing()
    .returning({ id: cases.id });
  if (rows.length === 0) return false;
  await db.insert(casePlants).values(plantRow(id, plant, 0));
  return true;
}

async function saveEnquirer(
  db: Queries,
  record: CaseRecord,
  clinicId: number,
  purgeOn: string,
): Promise<number | null> {
  const [head] = await db
    .select({ id: cases.enquirerId })
    .from(cases)
    .where(eq(cases.id, record.id));
  const known = head?.id ?? null;
  const { name, contact } = record.enquirer;
  if (known !== null) {
    await db.update(enquirers).set({ name, contact }).where(eq(enquirers.id, known));
    return known;
  }
  if (name === '' && contact === '') return null;
  const [made] = await db
    .insert(enquirers)
    .values({ clinicId, name, contact, purgeOn })
    .returning({ id: enquirers.id });
  return made?.id ?? null;
}

/** Writes a record over the rows of its case. Must run inside a transaction that holds the lock. */
export async function saveCase(
  db: Queries,
  record: CaseRecord,
  clinicId: number,
  purgeOn: string,
): Promise<void> {
  const { id, status, channel, callBackOn, version } = record;
  const enquirerId = await saveEnquirer(db, record, clinicId, purgeOn);
  await db
    .update(cases)
    .set({ status, channel, callBackOn, version, enquirerId })
    .where(eq(cases.id, id));
  await db.delete(observations).where(eq(observations.caseId, id));
  await db.delete(casePlants).where(eq(casePlants.caseId, id));
  await db
    .insert(casePlants)
    .values(record.plants.map((plant, position) => plantRow(id, plant, position)));
  const answers = record.plants.flatMap((plant) => observationRows(id, plant));
  if (answers.length > 0) await db.insert(observations).values(answers);
}

/** Keeps events under the versions they made. */
export async function insertEvents(
  db: Queries,
  caseId: string,
  first: number,
  events: readonly CaseEvent[],
): Promise<void> {
  await db
    .insert(caseEvents)
    .values(events.map((event, i) => ({ caseId, version: first + i, event })));
}

/** Every event of a case in order. */
export async function readEvents(db: Queries, caseId: string) {
  return db
    .select({ version: caseEvents.version, at: caseEvents.at, event: caseEvents.event })
    .from(caseEvents)
    .where(eq(caseEvents.caseId, caseId))
    .orderBy(asc(caseEvents.version));
}
