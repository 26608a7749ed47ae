import { desc, eq, isNotNull, sql } from 'drizzle-orm';
import { Router } from 'express';
import { learningSchema, type ClinicExperience, type TiedPhrases } from '../../contracts/cases.ts';
import { experienceIn, type Outcome } from '../../core/diagnosis/learning.ts';
import { causeIdSchema } from '../../core/schema/common.ts';
import type { Connection, Database } from '../db/connect.ts';
import { caseEvents, casePlants, clinics } from '../db/schema.ts';
import { readBody } from '../http/problems.ts';
import { fromDatabase, type Reply } from '../http/respond.ts';
import type { ClinicContext } from './clinicContext.ts';

const monthOf = (isoDate: string): number => Number(isoDate.slice(5, 7));

/** Outcomes of all cases; a row whose cause is no id (from an older library) is left out. */
async function readOutcomes(db: Database): Promise<Outcome[]> {
  const rows = await db
    .select({
      cause: casePlants.outcomeCause,
      confirmed: casePlants.outcomeConfirmed,
      on: casePlants.outcomeOn,
    })
    .from(casePlants)
    .where(isNotNull(casePlants.outcomeCause));
  return rows.flatMap(({ cause, confirmed, on }) => {
    const id = causeIdSchema.safeParse(cause);
    if (!id.success || confirmed === null || on === null) return [];
    return [{ cause: id.data, confirmed, month: monthOf(on) }];
  });
}

async function readExperience(db: Database, office: ClinicContext): Promise<ClinicExperience> {
  const [row] = await db
    .select({ learning: clinics.learning })
    .from(clinics)
    .where(eq(clinics.id, office.id));
  const counts = experienceIn(monthOf(office.today()), await readOutcomes(db));
  const seen = [...counts]
    .map(([cause, cases]) => ({ cause, cases }))
    .sort((a, b) => b.cases - a.cases || (a.cause < b.cause ? -1 : 1));
  return { learning: row?.learning ?? true, seen };
}

const MAX_PHRASES = 500;

/** Words that advisors tied to findings, over all cases of the clinic. */
async function readTiedPhrases(db: Database): Promise<TiedPhrases> {
  const finding = sql<string>`${caseEvents.event} ->> 'finding'`;
  const said = sql<string>`lower(${caseEvents.event} ->> 'said')`;
  const times = sql<number>`count(*)::int`;
  const phrases = await db
    .select({ finding, said, times })
    .from(caseEvents)
    .where(sql`${caseEvents.event} ->> 'kind' = 'phrase-tied'`)
    .groupBy(finding, said)
    .orderBy(desc(times), finding, said)
    .limit(MAX_PHRASES);
  return { phrases };
}

/** The clinic, and what it has learned from its confirmed cases. */
export function clinicRoutes(connection: Connection, office: ClinicContext): Router {
  const routes = Router();
  routes.get('/', (_request, response) => {
    const { name, region, place, country } = office;
    response.json({ name, region, place, country, today: office.today() });
  });
  routes.get(
    '/experience',
    fromDatabase(connection, async (db) => ({ body: await readExperience(db, office) })),
  );
  routes.get(
    '/phrases',
    fromDatabase(connection, async (db) => ({ body: await readTiedPhrases(db) })),
  );
  routes.post(
    '/learning',
    fromDatabase(connection, async (db, request): Promise<Reply> => {
      const body = readBody(learningSchema, request.body);
      if (!body.ok) return { problem: body.error };
      await db.update(clinics).set(body.value).where(eq(clinics.id, office.id));
      return { body: await readExperience(db, office) };
    }),
  );
  return routes;
}
