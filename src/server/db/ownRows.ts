import { and, count, eq, ne } from 'drizzle-orm';
import type { AnyPgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Problem } from '../../contracts/problem.ts';
import type { Queries } from './connect.ts';

/** A short list that each clinic keeps, by ids that the sender makes. */
export type OwnTable = PgTable & { readonly id: AnyPgColumn; readonly clinicId: AnyPgColumn };

/** A row of a clinic. */
interface OwnRow {
  readonly clinicId: number;
  readonly id: string;
}

/** Why a row cannot be kept: the list is full without it; null where there is room, or it is in it already. */
export async function fullness(
  db: Queries,
  table: OwnTable,
  { clinicId, id }: OwnRow,
  { most, what }: { readonly most: number; readonly what: string },
): Promise<Problem | null> {
  const [others] = await db
    .select({ kept: count() })
    .from(table)
    .where(and(eq(table.clinicId, clinicId), ne(table.id, id)));
  if ((others?.kept ?? 0) < most) return null;
  return {
    code: 'conflict',
    field: null,
    message: `The clinic keeps ${most} ${what} already.`,
    cure: 'Remove one that is no longer used.',
  };
}

/** Removes a row of a clinic; one of another clinic stays. */
export async function removeOwn(
  db: Queries,
  table: OwnTable,
  { clinicId, id }: OwnRow,
): Promise<void> {
  await db.delete(table).where(and(eq(table.id, id), eq(table.clinicId, clinicId)));
}
