import {
  and,
  arrayContains,
  desc,
  eq,
  gte,
  inArray,
  isNotNull,
  lt,
  sql,
  type SQL,
} from 'drizzle-orm';
import type { CasebookLine, CasebookQuery } from '../../contracts/casebook.ts';
import { shiftDay } from '../../core/timing/calendar.ts';
import { listByIds, type PageQuery } from '../cases/queries.ts';
import { searchWords } from '../cases/searchWords.ts';
import type { Queries } from '../db/connect.ts';
import { casePlants, cases, caseSearch, people } from '../db/schema.ts';

/** Largest number of a case that PostgreSQL holds. */
const MAX_NUMBER = 2_147_483_647;
/** Fewer letters are in every second name. */
const MIN_NAME = 3;

/** A pattern that finds a text anywhere; what stands for others in patterns stands for itself. */
const anywhere = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`;

/** The ways in which a text may find a case: words of it, a name, its number. */
function waysOf(text: string): readonly SQL[] {
  const number = /^#?(\d+)$/.exec(text)?.[1];
  const known = number !== undefined && Number(number) <= MAX_NUMBER ? Number(number) : null;
  return [
    sql`${caseSearch.document} @@ websearch_to_tsquery('english', ${searchWords(text)})`,
    ...(text.length >= MIN_NAME ? [sql`${caseSearch.names} ilike ${anywhere(text)}`] : []),
    ...(known === null
      ? []
      : [
          sql`${caseSearch.caseId} = (select ${cases.id} from ${cases} where ${cases.number} = ${known})`,
        ]),
  ];
}

/** The moment at which a day begins, counted in solar time of the clinic; days are what people ask for. */
const beginning = (isoDate: string, longitude: number): Date =>
  new Date(new Date(`${isoDate}T00:00:00Z`).getTime() - (longitude / 15) * 3_600_000);

/** What the database is asked for: cases that it narrows to and that are found in one of the ways, if there are any. */
export interface Condition {
  readonly narrowed: SQL | undefined;
  readonly ways: readonly SQL[];
}

/** What the database is asked for a search. */
export function conditionOf(
  clinic: { readonly id: number; readonly place: { readonly lon: number } },
  { words = '', plant, cause, person, status, outcome, from, to }: CasebookQuery,
): Condition {
  const text = words.trim();
  const narrowed = and(
    eq(caseSearch.clinicId, clinic.id),
    plant === undefined ? undefined : arrayContains(caseSearch.plants, [plant]),
    cause === undefined ? undefined : arrayContains(caseSearch.causes, [cause]),
    person === undefined ? undefined : arrayContains(caseSearch.people, [person]),
    status === undefined ? undefined : eq(caseSearch.status, status),
    outcome === undefined ? undefined : eq(caseSearch.outcomeKnown, outcome === 'known'),
    from === undefined ? undefined : gte(caseSearch.openedAt, beginning(from, clinic.place.lon)),
    to === undefined
      ? undefined
      : lt(caseSearch.openedAt, beginning(shiftDay(to, 1), clinic.place.lon)),
  );
  return { narrowed, ways: text === '' ? [] : waysOf(text) };
}

/** So many of the newest cases are looked through before the index of words is asked. */
const RECENT = 5000;

/** A case that was found, and what lists are ordered by. */
interface Found extends Record<string, unknown> {
  readonly id: string;
  /** In seconds since 1970. */
  readonly opened: number;
}

/**
 * The newest cases that match in one way. A common word soon fills a page from the newest cases; a rare one has few entries
 * in its index. The planner misjudges which of the two applies, so both are asked in turn, and the added zero interval keeps
 * it from scanning all cases in order of opening.
 */
async function findBy(
  db: Queries,
  way: SQL,
  { within, limit }: { readonly within: SQL | undefined; readonly limit: number },
): Promise<readonly Found[]> {
  const columns = sql`${caseSearch.caseId} as id, extract(epoch from ${caseSearch.openedAt})::float8 as opened`;
  const order = sql`${caseSearch.openedAt} desc, ${caseSearch.caseId} desc`;
  const recent = await db.execute<Found>(sql`
    select ${columns} from (
      select * from ${caseSearch} where ${within} order by ${order} limit ${RECENT}
    ) as ${caseSearch} where ${way} order by ${order} limit ${limit}`);
  if (recent.rows.length >= limit) return recent.rows;
  const all = await db.execute<Found>(sql`
    select ${columns} from ${caseSearch} where ${and(within, way)}
    order by ${caseSearch.openedAt} + interval '0' desc, ${caseSearch.caseId} desc limit ${limit}`);
  return all.rows;
}

/** Ids of the cases that a condition names, the newest first; each way is asked by itself. */
export async function findIds(
  db: Queries,
  { narrowed, ways }: Condition,
  { limit, after }: PageQuery,
): Promise<string[]> {
  const behind = after
    ? sql`(${caseSearch.openedAt}, ${caseSearch.caseId}) < (${after.value}::timestamptz, ${after.id}::uuid)`
    : undefined;
  const within = and(narrowed, behind);
  if (ways.length === 0) {
    const rows = await db
      .select({ id: caseSearch.caseId })
      .from(caseSearch)
      .where(within)
      .orderBy(desc(caseSearch.openedAt), desc(caseSearch.caseId))
      .limit(limit);
    return rows.map(({ id }) => id);
  }
  const found = await Promise.all(ways.map((way) => findBy(db, way, { within, limit })));
  const newest = found.flat().sort((a, b) => b.opened - a.opened || (a.id < b.id ? 1 : -1));
  return [...new Set(newest.map(({ id }) => id))].slice(0, limit);
}

/** Who worked on cases, by the id of the case. */
async function namesByCase(db: Queries, ids: string[]): Promise<ReadonlyMap<string, string[]>> {
  const rows = await db
    .select({
      id: caseSearch.caseId,
      names: sql<string[]>`coalesce(array_agg(${people.name} order by ${people.name}), '{}')`,
    })
    .from(caseSearch)
    .innerJoin(people, sql`${people.id} = any(${caseSearch.people})`)
    .where(inArray(caseSearch.caseId, ids))
    .groupBy(caseSearch.caseId);
  return new Map(rows.map(({ id, names }) => [id, names]));
}

/** What the first plant of cases that has an outcome proved to have, by the id of the case. */
async function outcomesByCase(
  db: Queries,
  ids: string[],
): Promise<ReadonlyMap<string, CasebookLine['outcome']>> {
  const rows = await db
    .select({
      id: casePlants.caseId,
      cause: casePlants.outcomeCause,
      confirmed: casePlants.outcomeConfirmed,
    })
    .from(casePlants)
    .where(and(inArray(casePlants.caseId, ids), isNotNull(casePlants.outcomeCause)))
    .orderBy(desc(casePlants.position));
  return new Map(
    rows.flatMap(({ id, cause, confirmed }) =>
      cause === null || confirmed === null ? [] : [[id, { cause, confirmed }]],
    ),
  );
}

/** A page of the cases that a condition names, the newest first. */
export async function searchCases(
  db: Queries,
  condition: Condition,
  page: PageQuery,
): Promise<CasebookLine[]> {
  const ids = await findIds(db, condition, page);
  if (ids.length === 0) return [];
  const [lines, names, outcomes] = await Promise.all([
    listByIds(db, ids),
    namesByCase(db, ids),
    outcomesByCase(db, ids),
  ]);
  return lines.map((line) => ({
    ...line,
    outcome: outcomes.get(line.id) ?? null,
    people: names.get(line.id) ?? [],
  }));
}
