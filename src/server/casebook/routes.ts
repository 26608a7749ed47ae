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
import type { ExportedCase } from '../../contracts/casebook.ts';
import type { Library } from '../../core/schema/library.ts';
import { problemFrom, type Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { actorOf, FORBIDDEN, guarded, SIGNED_OUT, type Actor, type Door } from '../access/guard.ts';
import { writeAudit } from '../audit/auditLog.ts';
import { NO_KEY, pageKeyOf, readPage } from '../cases/pageKey.ts';
import type { Connection, Database } from '../db/connect.ts';
import { caseSearch, people } from '../db/schema.ts';
import { sendProblem } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';
import { csvLines, exportedCases, jsonLines, MAX_WORKBOOK_ROWS, workbook } from './export.ts';
import { darwinCore, geoJson, MAX_OCCURRENCES, namesOf, type Names } from './occurrences.ts';
import { lookupIn, takeIn } from './importing.ts';
import { keepSearch, readSearches, removeSearch } from './savedSearches.ts';
import { readLearned } from './learned.ts';
import { conditionOf, searchCases } from './search.ts';

const NO_FORMAT: Problem = {
  code: 'invalid-field',
  field: 'format',
  message: 'There is no such form of the export.',
  cure: 'Ask for csv, xlsx, jsonl, geojson or dwca.',
};
const TOO_MANY_ROWS: Problem = {
  code: 'too-large',
  field: 'format',
  message: `A workbook holds at most ${MAX_WORKBOOK_ROWS} rows here, an archive ${MAX_OCCURRENCES}.`,
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

/** Forms of the export: the type of the file, and the ending of its name. */
const FORMATS: Readonly<Record<string, { readonly type: string; readonly ending: string }>> = {
  csv: { type: 'text/csv; charset=utf-8', ending: 'csv' },
  jsonl: { type: 'application/jsonl; charset=utf-8', ending: 'jsonl' },
  geojson: { type: 'application/geo+json; charset=utf-8', ending: 'geojson' },
  dwca: { type: 'application/zip', ending: 'dwca.zip' },
  xlsx: {
    type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    ending: 'xlsx',
  },
};

/** The file in pieces, or whole where it is made in memory; null where that is too large. */
async function fileOf(
  format: string,
  cases: AsyncGenerator<ExportedCase>,
  { office }: Actor,
  names: Names,
): Promise<AsyncGenerator<string> | Buffer | null> {
  const { name: clinic, country } = office;
  switch (format) {
    case 'xlsx':
      return workbook(cases);
    case 'dwca':
      return darwinCore(cases, names, { clinic, country, day: office.today() });
    case 'geojson':
      return geoJson(cases, names);
    case 'csv':
      return csvLines(cases);
    default:
      return jsonLines(cases);
  }
}

async function sendExport(
  response: Response,
  db: Database,
  actor: Actor,
  { query, format, names }: { query: CasebookQuery; format: string; names: Names },
): Promise<void> {
  const { clinicId, office } = actor;
  const cases = exportedCases(db, clinicId, conditionOf(office, query));
  const file = await fileOf(format, cases, actor, names);
  const form = FORMATS[format];
  if (file === null || !form) {
    sendProblem(response, TOO_MANY_ROWS);
    return;
  }
  response.set({
    'content-type': form.type,
    'content-disposition': `attachment; filename="casebook-${office.today()}.${form.ending}"`,
    'cache-control': 'no-store',
  });
  if (Buffer.isBuffer(file)) response.send(file);
  else await pipeline(Readable.from(file), response);
}

/** Sends what a search finds as a file, piece by piece; who took it is written down before. */
function exporting({ connection, settings, library }: CasebookParts): RequestHandler {
  const names = namesOf(library);
  return async (request, response) => {
    const actor = await connection.run((db) => actorOf(db, request, settings));
    const query = queryOf(request);
    const { format } = request.query;
    if (!actor) sendProblem(response, SIGNED_OUT);
    else if (!can(actor, 'cases.export', actor)) sendProblem(response, FORBIDDEN);
    else if (!query.ok) sendProblem(response, query.error);
    else if (typeof format !== 'string' || !(format in FORMATS)) sendProblem(response, NO_FORMAT);
    else {
      const { clinicId, id: personId } = actor;
      await connection.db.transaction((tx) =>
        writeAudit(tx, { clinicId, personId, action: 'cases-exported', subject: format }),
      );
      await sendExport(response, connection.db, actor, { query: query.value, format, names });
    }
  };
}

/** What the casebook works with: the door, where it is searched, and the library that names what was found. */
export interface CasebookParts extends Door {
  readonly reading: Connection;
  readonly library: Library;
}

/** Routes below `/api/casebook`. */
export function casebookRoutes(door: CasebookParts): Router {
  const routes = Router();
  const reads = { ...door, connection: door.reading };
  routes.get('/', guarded(reads, 'cases.read', findPage));
  routes.get(
    '/people',
    guarded(reads, 'cases.read', async (db, _request, { clinicId }) => ({
      body: await findPeople(db, clinicId),
    })),
  );
  routes.get('/learned', guarded(reads, 'cases.read', learned));
  routes.get('/export', exporting(door));
  const lookup = lookupIn(namesOf(door.library));
  routes.post(
    '/import',
    guarded(door, 'cases.import', (db, { body }, actor) => takeIn(db, actor, body, lookup)),
  );
  routes.get(
    '/searches',
    guarded(door, 'cases.read', async (db, _request, { clinicId }) => ({
      body: await readSearches(db, clinicId),
    })),
  );
  routes.post(
    '/searches',
    guarded(door, 'cases.write', (db, { body }, { clinicId }) => keepSearch(db, clinicId, body)),
  );
  routes.post(
    '/searches/remove',
    guarded(door, 'cases.write', (db, { body }, { clinicId }) => removeSearch(db, clinicId, body)),
  );
  return routes;
}
