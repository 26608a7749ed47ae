import { asc, eq } from 'drizzle-orm';
import {
  clinicContactSchema,
  MAX_CONTACTS,
  removeContactSchema,
  type ClinicContacts,
} from '../../contracts/contacts.ts';
import type { Database } from '../db/connect.ts';
import { fullness, removeOwn } from '../db/ownRows.ts';
import { clinicContacts } from '../db/schema.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';

/** Whom the clinic sends people to, by trade and name. */
export async function readContacts(db: Database, clinicId: number): Promise<ClinicContacts> {
  const { id, trade, name, reach, area } = clinicContacts;
  const contacts = await db
    .select({ id, trade, name, reach, area })
    .from(clinicContacts)
    .where(eq(clinicContacts.clinicId, clinicId))
    .orderBy(asc(trade), asc(name), asc(id))
    .limit(MAX_CONTACTS);
  return { contacts };
}

/** Keeps a contact, or writes it anew under the same id, so that a repeated request keeps it once. */
export async function keepContact(db: Database, clinicId: number, body: unknown): Promise<Reply> {
  const contact = readBody(clinicContactSchema, body);
  if (!contact.ok) return { problem: contact.error };
  const { id, ...rest } = contact.value;
  const full = await fullness(
    db,
    clinicContacts,
    { clinicId, id },
    { most: MAX_CONTACTS, what: 'contacts' },
  );
  if (full) return { problem: full };
  await db
    .insert(clinicContacts)
    .values({ id, clinicId, ...rest })
    .onConflictDoUpdate({
      target: clinicContacts.id,
      set: rest,
      setWhere: eq(clinicContacts.clinicId, clinicId),
    });
  return { body: await readContacts(db, clinicId) };
}

export async function removeContact(db: Database, clinicId: number, body: unknown): Promise<Reply> {
  const which = readBody(removeContactSchema, body);
  if (!which.ok) return { problem: which.error };
  await removeOwn(db, clinicContacts, { clinicId, id: which.value.id });
  return { body: await readContacts(db, clinicId) };
}
