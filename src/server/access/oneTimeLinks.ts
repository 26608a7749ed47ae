import { and, eq, gt, lt } from 'drizzle-orm';
import type { Link } from '../../contracts/people.ts';
import { hashToken, newToken } from './secrets.ts';
import type { Queries } from '../db/connect.ts';
import { links } from '../db/schema.ts';

const LINK_HOURS = 24;
const HOUR_MS = 3_600_000;

/** What a link is for; `personId` null for the first coordinator. */
export interface KnownLink {
  readonly purpose: 'first-coordinator' | 'password';
  readonly personId: string | null;
}

/** Makes a link in place of those that were made for the same; it can be used for a day. */
export async function makeLink(
  db: Queries,
  { purpose, personId }: KnownLink,
  now: Date,
): Promise<Link> {
  const same = personId === null ? eq(links.purpose, purpose) : eq(links.personId, personId);
  await db.delete(links).where(same);
  await db.delete(links).where(lt(links.until, now));
  const token = newToken();
  const until = new Date(now.getTime() + LINK_HOURS * HOUR_MS);
  await db.insert(links).values({ hash: hashToken(token), purpose, personId, until });
  return { token, until: until.toISOString() };
}

const ofToken = (token: string, now: Date) =>
  and(eq(links.hash, hashToken(token)), gt(links.until, now));

/** What a link is for; null when there is none, it was used, or its day is over. */
export async function readLink(db: Queries, token: string, now: Date): Promise<KnownLink | null> {
  const [link] = await db.select().from(links).where(ofToken(token, now));
  return link ?? null;
}

/** Uses a link up; null as `readLink`. */
export async function useUpLink(db: Queries, token: string, now: Date): Promise<KnownLink | null> {
  const [link] = await db.delete(links).where(ofToken(token, now)).returning();
  return link ?? null;
}
