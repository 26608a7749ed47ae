import { asc, desc, sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import type { Queries } from '../db/connect.ts';
import { auditLog } from '../db/schema.ts';

/** What is written down. The subject is an id; words, names and numbers do not belong here. */
export interface AuditEntry {
  readonly clinicId: number | null;
  readonly personId: string | null;
  readonly action: string;
  readonly subject: string;
}

interface Line extends AuditEntry {
  readonly seq: number;
  readonly at: Date;
}

/** Stands before the first line. */
const BEGINNING = '';

function hashOf(before: string, { seq, at, clinicId, personId, action, subject }: Line): string {
  const line = JSON.stringify([before, seq, at.toISOString(), clinicId, personId, action, subject]);
  return createHash('sha256').update(line).digest('hex');
}

/** Any number that no one else locks on. */
const AUDIT_LOCK = 4_310_614;

/** Adds a line behind the last one. Must run inside a transaction, and keeps other writers out until that ends. */
export async function writeAudit(tx: Queries, entry: AuditEntry): Promise<void> {
  await tx
    .select({ locked: sql`pg_advisory_xact_lock(${AUDIT_LOCK})` })
    .from(sql`(select 1) as one`);
  const [last] = await tx
    .select({ seq: auditLog.seq, hash: auditLog.hash })
    .from(auditLog)
    .orderBy(desc(auditLog.seq))
    .limit(1);
  const line: Line = { ...entry, seq: (last?.seq ?? 0) + 1, at: new Date() };
  await tx.insert(auditLog).values({ ...line, hash: hashOf(last?.hash ?? BEGINNING, line) });
}

/** What a reading of the whole log says: how many lines hold together, and the first that does not. */
export interface AuditCheck {
  readonly lines: number;
  readonly brokenAt: number | null;
}

/** Reads the log in pieces and follows its chain. */
export async function checkAudit(db: Queries, piece = 5000): Promise<AuditCheck> {
  let before = BEGINNING;
  let lines = 0;
  for (;;) {
    const rows = await db
      .select()
      .from(auditLog)
      .where(sql`${auditLog.seq} > ${lines}`)
      .orderBy(asc(auditLog.seq))
      .limit(piece);
    for (const { hash, ...line } of rows) {
      if (line.seq !== lines + 1 || hash !== hashOf(before, line))
        return { lines, brokenAt: lines + 1 };
      before = hash;
      lines++;
    }
    if (rows.length < piece) return { lines, brokenAt: null };
  }
}
