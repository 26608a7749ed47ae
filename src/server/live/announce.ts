import { sql } from 'drizzle-orm';
import type { Queries } from '../db/connect.ts';
import { caseChangedSchema, type CaseChanged } from '../../contracts/live.ts';

/** Channel of the database on which changes of cases are told between servers. */
export const CHANNEL = 'sounding_cases';

/** A change of a case with the clinic it belongs to. */
export interface ClinicChange extends CaseChanged {
  readonly clinicId: number;
}

/** Tells every server of a change when the transaction is committed, and nobody when it is not. */
export async function announce(
  tx: Queries,
  { clinicId, id, version }: ClinicChange,
): Promise<void> {
  await tx.execute(sql`select pg_notify(${CHANNEL}, ${`${clinicId} ${version} ${id}`})`);
}

/** Reads what `announce` wrote; null for anything else. */
export function readAnnounced(payload: string): ClinicChange | null {
  const [clinicId, version, id] = payload.split(' ');
  const change = caseChangedSchema.safeParse({ id, version: Number(version) });
  const clinic = Number(clinicId);
  return change.success && Number.isInteger(clinic) ? { clinicId: clinic, ...change.data } : null;
}
