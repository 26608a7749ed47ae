import { and, asc, count, eq, exists, isNotNull, ne, or, sql } from 'drizzle-orm';
import type { InferSelectModel } from 'drizzle-orm';
import type {
  Account,
  ChangePerson,
  NewPerson,
  OwnSpelling,
  Person,
  SessionState,
} from '../../contracts/people.ts';
import type { Queries } from '../db/connect.ts';
import { passkeys, people } from '../db/schema.ts';

/** A row of the table of people. */
export type PersonRow = InferSelectModel<typeof people>;

/** What colleagues see of a person. */
export const toPerson = ({
  id,
  name,
  role,
  clinicId,
}: Pick<PersonRow, 'id' | 'name' | 'role' | 'clinicId'>): Person => ({ id, name, role, clinicId });

/** Whether somebody has a passkey; correlated with the row of the person. */
const hasPasskey = (db: Queries) =>
  exists(
    db
      .select({ one: sql`1` })
      .from(passkeys)
      .where(eq(passkeys.personId, people.id)),
  );

/** Whether somebody can sign in by themselves. */
const isReady = (db: Queries) => or(isNotNull(people.password), hasPasskey(db));

/** The people of a clinic by name; those who left come last. */
export async function listAccounts(db: Queries, clinicId: number): Promise<Account[]> {
  const rows = await db
    .select({
      id: people.id,
      name: people.name,
      role: people.role,
      clinicId: people.clinicId,
      email: people.email,
      active: people.active,
      demo: people.demo,
      ready: sql<boolean>`${isReady(db)}`,
    })
    .from(people)
    .where(eq(people.clinicId, clinicId))
    .orderBy(sql`not ${people.active}`, asc(people.name), asc(people.id));
  return rows;
}

/** Sets the spelling in which a person reads texts. */
export async function setSpelling(
  db: Queries,
  id: string,
  { spelling }: OwnSpelling,
): Promise<void> {
  await db.update(people).set({ spelling }).where(eq(people.id, id));
}

/** A person by their id; `clinicId` also asks that they are of that clinic. Null when there is none. */
export async function findPerson(
  db: Queries,
  id: string,
  clinicId?: number,
): Promise<PersonRow | null> {
  const [row] = await db
    .select()
    .from(people)
    .where(
      and(eq(people.id, id), clinicId === undefined ? undefined : eq(people.clinicId, clinicId)),
    );
  return row ?? null;
}

/** Who signs in by an e-mail address; null when nobody does, or their account was closed. */
export async function findByEmail(db: Queries, email: string): Promise<PersonRow | null> {
  const [row] = await db
    .select()
    .from(people)
    .where(and(eq(people.email, email), eq(people.active, true)));
  return row ?? null;
}

/** People of the demonstration. */
export function listDemoPeople(db: Queries): Promise<SessionState['demo']> {
  return db
    .select({ id: people.id, name: people.name, role: people.role })
    .from(people)
    .where(and(eq(people.demo, true), eq(people.active, true)))
    .orderBy(asc(people.name));
}

/** Whether somebody can sign in and let others in. */
export async function hasCoordinator(db: Queries, otherThan?: string): Promise<boolean> {
  const [row] = await db
    .select({ found: count() })
    .from(people)
    .where(
      and(
        eq(people.role, 'coordinator'),
        eq(people.active, true),
        isReady(db),
        otherThan === undefined ? undefined : ne(people.id, otherThan),
      ),
    );
  return (row?.found ?? 0) > 0;
}

/** Adds a person. Returns false when the id is taken, as by the same request before. */
export async function insertPerson(
  db: Queries,
  clinicId: number,
  { id, name, email, role }: NewPerson,
): Promise<boolean> {
  const rows = await db
    .insert(people)
    .values({ id, clinicId, name, email, role })
    .onConflictDoNothing({ target: people.id })
    .returning({ id: people.id });
  return rows.length > 0;
}

/** Writes what changed; another role, or leaving, ends the sessions of the person. */
export async function changePerson(
  db: Queries,
  before: PersonRow,
  { name, role, active }: ChangePerson,
): Promise<void> {
  const ends = (role !== undefined && role !== before.role) || (active !== undefined && !active);
  await db
    .update(people)
    .set({
      name: name ?? before.name,
      role: role ?? before.role,
      active: active ?? before.active,
      epoch: ends ? before.epoch + 1 : before.epoch,
    })
    .where(eq(people.id, before.id));
}

/** Ends every session of a person. Returns the number that new ones carry. */
export async function endSessionsOf(db: Queries, id: string): Promise<number> {
  const [row] = await db
    .update(people)
    .set({ epoch: sql`${people.epoch} + 1` })
    .where(eq(people.id, id))
    .returning({ epoch: people.epoch });
  return row?.epoch ?? 0;
}

/** Sets a password and ends every session that was begun before. Returns the number that new ones carry. */
export async function setPassword(db: Queries, id: string, hash: string): Promise<number> {
  await db.update(people).set({ password: hash }).where(eq(people.id, id));
  return endSessionsOf(db, id);
}
