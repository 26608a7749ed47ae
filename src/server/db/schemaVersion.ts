import { sql } from 'drizzle-orm';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import type { Database } from './connect.ts';

const journalSchema = z.object({ entries: z.array(z.object({ when: z.number() })).min(1) });
const newestSchema = z.object({ newest: z.coerce.number().nullable() });

/** Moment of the newest migration that this version of the application knows. */
function newestKnown(folder: string): number {
  const journal: unknown = JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8'));
  return Math.max(...journalSchema.parse(journal).entries.map(({ when }) => when));
}

/** Whether a newer version of the application has migrated the database; this one could not read it. */
export async function isFromNewerVersion(db: Database, folder: string): Promise<boolean> {
  const known = await db.execute(
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as made`,
  );
  if (known.rows[0]?.['made'] !== true) return false;
  const { rows } = await db.execute(
    sql`select max(created_at) as newest from drizzle.__drizzle_migrations`,
  );
  return (newestSchema.parse(rows[0]).newest ?? 0) > newestKnown(folder);
}
