import { and, desc, eq, lt, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { Router } from 'express';
import { z } from 'zod';
import type { AuditPage } from '../../contracts/people.ts';
import { guarded, type Door } from '../access/guard.ts';
import type { Queries } from '../db/connect.ts';
import { auditLog, people } from '../db/schema.ts';

/** Whom a line is about, where it is about a person. */
const about = alias(people, 'about');
const PAGE_LINES = 100;
const MAX_SEQ = 2_000_000_000;
const beforeSchema = z.coerce.number().int().min(1).max(MAX_SEQ).catch(MAX_SEQ);

async function readPage(db: Queries, clinicId: number, before: number): Promise<AuditPage> {
  const rows = await db
    .select({
      seq: auditLog.seq,
      at: auditLog.at,
      by: people.name,
      action: auditLog.action,
      subject: sql<string>`coalesce(${about.name}, '')`,
    })
    .from(auditLog)
    .leftJoin(people, eq(people.id, auditLog.personId))
    .leftJoin(about, eq(sql`${about.id}::text`, auditLog.subject))
    .where(and(eq(auditLog.clinicId, clinicId), lt(auditLog.seq, before)))
    .orderBy(desc(auditLog.seq))
    .limit(PAGE_LINES + 1);
  const lines = rows
    .slice(0, PAGE_LINES)
    .map(({ at, by, ...rest }) => ({ ...rest, at: at.toISOString(), by: by ?? '' }));
  return { lines, next: rows.length > PAGE_LINES ? (lines.at(-1)?.seq ?? null) : null };
}

/** Routes below `/api/audit`. */
export function auditRoutes(door: Door): Router {
  const routes = Router();
  routes.get(
    '/',
    guarded(door, 'audit.read', async (db, { query }, { clinicId }) => ({
      body: await readPage(db, clinicId, beforeSchema.parse(query.before ?? MAX_SEQ)),
    })),
  );
  return routes;
}
