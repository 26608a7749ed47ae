import { and, asc, count, eq, ne } from 'drizzle-orm';
import {
  clinicContactSchema,
  MAX_CONTACTS,
  removeContactSchema,
  type ClinicContacts,
} from '../../contracts/contacts.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { Database } from '../db/connect.ts';
import { clinicContacts } from '../db/schema.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';

const FULL: Problem = {
  code: 'conflict',
  field: null,
  message: `The clinic keeps ${MAX_CONTACTS} contacts already.`,
  cure: 'Remove one that is no longer used.',
};

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
  const [known] = await db
    .select({ kept: count() })
    .from(clinicContacts)
    .where(and(eq(clinicContacts.clinicId, clinicId), ne(clinicContacts.id, id)));
  if ((known?.kept ?? 0) >= MAX_CONTACTS) return { problem: FULL };
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
  await db
    .delete(clinicContacts)
    .where(and(eq(clinicContacts.id, which.value.id), eq(clinicContacts.clinicId, clinicId)));
  return { body: await readContacts(db, clinicId) };
}
