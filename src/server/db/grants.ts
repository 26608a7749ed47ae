import { sql } from 'drizzle-orm';
import type { Database } from './connect.ts';

/** Gives the role of a server what it works with, and nothing by which it could change tables or the log. */
export async function grantTo(owner: Database, role: string): Promise<void> {
  const app = sql.identifier(role);
  await owner.execute(sql`grant usage on schema public, drizzle to ${app}`);
  await owner.execute(
    sql`grant select, insert, update, delete on all tables in schema public to ${app}`,
  );
  await owner.execute(sql`grant usage on all sequences in schema public to ${app}`);
  await owner.execute(sql`revoke update, delete on audit_log from ${app}`);
  await owner.execute(sql`grant select on all tables in schema drizzle to ${app}`);
}

/** Whether a role is the one that asks: it owns what it works with. */
export async function isOwn(owner: Database, role: string): Promise<boolean> {
  const { rows } = await owner.execute<{ name: string }>(sql`select current_user as name`);
  return rows[0]?.name === role;
}

/** The role of an address. */
export const roleOf = (databaseUrl: string): string =>
  decodeURIComponent(new URL(databaseUrl).username);
