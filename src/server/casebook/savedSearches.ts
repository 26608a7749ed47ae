import { asc, eq } from 'drizzle-orm';
import {
  MAX_SEARCHES,
  removeSearchSchema,
  savedSearchSchema,
  type SavedSearches,
} from '../../contracts/importing.ts';
import type { Database } from '../db/connect.ts';
import { fullness, removeOwn } from '../db/ownRows.ts';
import { savedSearches } from '../db/schema.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';

/** Searches of the clinic, by name. */
export async function readSearches(db: Database, clinicId: number): Promise<SavedSearches> {
  const { id, name, query } = savedSearches;
  const searches = await db
    .select({ id, name, query })
    .from(savedSearches)
    .where(eq(savedSearches.clinicId, clinicId))
    .orderBy(asc(name), asc(id))
    .limit(MAX_SEARCHES);
  return { searches };
}

/** Keeps a search, or writes it anew under the same id. */
export async function keepSearch(db: Database, clinicId: number, body: unknown): Promise<Reply> {
  const search = readBody(savedSearchSchema, body);
  if (!search.ok) return { problem: search.error };
  const { id, ...rest } = search.value;
  const full = await fullness(
    db,
    savedSearches,
    { clinicId, id },
    { most: MAX_SEARCHES, what: 'searches' },
  );
  if (full) return { problem: full };
  await db
    .insert(savedSearches)
    .values({ id, clinicId, ...rest })
    .onConflictDoUpdate({
      target: savedSearches.id,
      set: rest,
      setWhere: eq(savedSearches.clinicId, clinicId),
    });
  return { body: await readSearches(db, clinicId) };
}

export async function removeSearch(db: Database, clinicId: number, body: unknown): Promise<Reply> {
  const which = readBody(removeSearchSchema, body);
  if (!which.ok) return { problem: which.error };
  await removeOwn(db, savedSearches, { clinicId, id: which.value.id });
  return { body: await readSearches(db, clinicId) };
}
