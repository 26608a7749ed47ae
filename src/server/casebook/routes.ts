import { and, asc, eq, sql } from 'drizzle-orm';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { can } from '../../contracts/access.ts';
import {
  casebookQuerySchema,
  type CasebookPage,
  type CasebookPeople,
  type CasebookQuery,
} from '../../contracts/casebook.ts';
import { learnedQuerySchema, type Learned } from '../../contracts/learned.ts';
import { problemFrom, type Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { actorOf, FORBIDDEN, guarded, SIGNED_OUT, type Actor, type Door } from '../access/guard.ts';
import { writeAudit } from '../audit/auditLog.ts';
import { NO_KEY, pageKeyOf, readPage } from '../cases/pageKey.ts';
import type { Database } from '../db/connect.ts';
import { caseSearch, people } from '../db/schema.ts';
import { sendProblem } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';
import { csvLines, exportedCases, jsonLines, MAX_WORKBOOK_ROWS, workbook } from './export.ts';
import { readLearned } from './learned.ts';
import { conditionOf, searchCases } from './search.ts';

const NO_FORMAT: Problem = {
  code: 'invalid-field',
  field: 'format',
  message: 'There is no such form of the export.',
  cure: 'Ask for csv, xlsx or jsonl.',
};
const TOO_MANY_ROWS: Problem = {
  code: 'too-large',
  field: 'format',
  message: `A workbook holds at most ${MAX_WORKBOOK_ROWS} rows here.`,
  cure: 'Narrow the search, as by years, or take the export as CSV.',
};

/** What is searched for, without the parts of the address that say which page or form. */
function queryOf({ query }: Request): Result<CasebookQuery, Problem> {
  const { after: _after, format: _format, ...rest } = query;
  const parsed = casebookQuerySchema.safeParse(rest);
  return parsed.success ? ok(parsed.data) : fail(problemFrom(parsed.error));
}

async function findPage(db: Database, request: Request, { office }: Actor): Promise<Reply> {
  const query = queryOf(request);
  if (!query.ok) return { problem: query.error };
  const key = pageKeyOf(request);
  if (key === undefined) return { problem: NO_KEY };
  const condition = conditionOf(office, query.value);
  const page: CasebookPage = await readPage(
    (asked) => searchCases(db, condition, asked),
    key,
    ({ openedAt }) => openedAt,
  );
  return { body: page };
}

async function learned(db: Database, { query }: Request, actor: Actor): Promise<Reply> {
  const asked = learnedQuerySchema.safeParse(query);
  if (!asked.success) return { problem: problemFrom(asked.error) };
  const body: Learned = await readLearned(db, actor, asked.data);
  return { body };
}

/** Those who worked on a case of the clinic, by name. */
async function findPeople(db: Database, clinicId: number): Promise<CasebookPeople> {
  const rows = await db
    .select({ id: people.id, name: people.name })
    .from(people)
    .where(
      and(
        eq(people.clinicId, clinicId),
        sql`exists (select 1 from ${caseSearch} where ${caseSearch.people} @> array[${people.id}])`,
      ),
    )
    .orderBy(asc(people.name));
  return { people: rows };
}

const TYPES: Readonly<Record<string, string>> = {
  csv: 'text/csv; charset=utf-8',
  jsonl: 'application/jsonl; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
};

async function sendExport(
  response: Response,
  db: Database,
  { clinicId, office }: Actor,
  { query, format }: { readonly query: CasebookQuery; readonly format: string },
): Promise<void> {
  const cases = exportedCases(db, clinicId, conditionOf(office, query));
  const book = format === 'xlsx' ? await workbook(cases) : null;
  if (format === 'xlsx' && !book) {
    sendProblem(response, TOO_MANY_ROWS);
    return;
  }
  response.set({
    'content-type': TYPES[format] ?? '',
    'content-disposition': `attachment; filename="casebook-${office.today()}.${format}"`,
    'cache-control': 'no-store',
  });
  if (book) response.send(book);
  else
    await pipeline(Readable.from(format === 'csv' ? csvLines(cases) : jsonLines(cases)), response);
}

/** Sends what a search finds as a file, piece by piece; who took it is written down before. */
function exporting({ connection, settings }: Door): RequestHandler {
  return async (request, response) => {
    const actor = await connection.run((db) => actorOf(db, request, settings));
    const query = queryOf(request);
    const { format } = request.query;
    if (!actor) sendProblem(response, SIGNED_OUT);
    else if (!can(actor, 'cases.export', actor)) sendProblem(response, FORBIDDEN);
    else if (!query.ok) sendProblem(response, query.error);
    else if (typeof format !== 'string' || !(format in TYPES)) sendProblem(response, NO_FORMAT);
    else {
      const { clinicId, id: personId } = actor;
      await connection.db.transaction((tx) =>
        writeAudit(tx, { clinicId, personId, action: 'cases-exported', subject: format }),
      );
      await sendExport(response, connection.db, actor, { query: query.value, format });
    }
  };
}

/** Routes below `/api/casebook`. */
export function casebookRoutes(door: Door): Router {
  const routes = Router();
  routes.get('/', guarded(door, 'cases.read', findPage));
  routes.get(
    '/people',
    guarded(door, 'cases.read', async (db, _request, { clinicId }) => ({
      body: await findPeople(db, clinicId),
    })),
  );
  routes.get('/learned', guarded(door, 'cases.read', learned));
  routes.get('/export', exporting(door));
  return routes;
}
