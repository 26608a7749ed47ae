import { sql } from 'drizzle-orm';
import type { Queries } from '../db/connect.ts';
import { caseChangedSchema, type CaseChanged } from '../../contracts/live.ts';

/** Channel of the database on which servers notify each other of changed cases. */
export const CHANNEL = 'sounding_cases';

/** A change of a case with the clinic it belongs to. */
export interface ClinicChange extends CaseChanged {
  readonly clinicId: number;
}

/** Notifies every server of a change when the transaction commits; nothing is sent when it rolls back. */
export async function announce(
  tx: Queries,
  { clinicId, id, version }: ClinicChange,
): Promise<void> {
  await tx.execute(sql`select pg_notify(${CHANNEL}, ${`${clinicId} ${version} ${id}`})`);
}

/** Parses the payload of `announce`; null for anything else. */
export function parseAnnouncement(payload: string): ClinicChange | null {
  const [clinicId, version, id] = payload.split(' ');
  const change = caseChangedSchema.safeParse({ id, version: Number(version) });
  const clinic = Number(clinicId);
  return change.success && Number.isInteger(clinic) ? { clinicId: clinic, ...change.data } : null;
}
