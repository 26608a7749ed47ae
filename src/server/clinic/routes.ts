import { and, asc, count, desc, eq, isNotNull, sql } from 'drizzle-orm';
import { Router } from 'express';
import {
  clinicLabelSchema,
  clinicSettingsSchema,
  learningSchema,
  MAX_LABELS,
  removeLabelSchema,
  type Clinic,
  type ClinicSettingsChange,
  type ClinicExperience,
  type ClinicLabels,
  type TiedPhrases,
} from '../../contracts/cases.ts';
import { experienceIn, type Outcome } from '../../core/diagnosis/learning.ts';
import { causeIdSchema } from '../../core/schema/common.ts';
import { guarded, SIGNED_OUT, type Actor, type Door } from '../access/guard.ts';
import { writeAudit } from '../audit/auditLog.ts';
import type { Database } from '../db/connect.ts';
import { caseEvents, casePlants, cases, clinicLabels, clinics } from '../db/schema.ts';
import { keepContact, readContacts, removeContact } from './contacts.ts';
import { fullness, removeOwn } from '../db/ownRows.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';
import { countrySchema, stateSchema } from '../../core/schema/place.ts';
import { clinicContext, type ClinicContext } from '../office/clinicContext.ts';

const monthOf = (isoDate: string): number => Number(isoDate.slice(5, 7));

/** Outcomes of all cases of a clinic, counted; a cause that is no id (from an older library) is left out. */
async function readOutcomes(db: Database, clinicId: number): Promise<Outcome[]> {
  const { outcomeCause: cause, outcomeConfirmed: confirmed, outcomeOn } = casePlants;
  const month = sql<number>`extract(month from ${outcomeOn})::int`;
  const rows = await db
    .select({ cause, confirmed, month, cases: count() })
    .from(casePlants)
    .where(and(eq(casePlants.clinicId, clinicId), isNotNull(cause), isNotNull(outcomeOn)))
    .groupBy(cause, confirmed, month);
  return rows.flatMap(({ cause: named, confirmed: how, ...rest }) => {
    const id = causeIdSchema.safeParse(named);
    return id.success && how !== null ? [{ cause: id.data, confirmed: how, ...rest }] : [];
  });
}

export async function readExperience(
  db: Database,
  office: ClinicContext,
): Promise<ClinicExperience> {
  const [row] = await db
    .select({ learning: clinics.learning })
    .from(clinics)
    .where(eq(clinics.id, office.id));
  const counts = experienceIn(monthOf(office.today()), await readOutcomes(db, office.id));
  const seen = [...counts]
    .map(([cause, cases]) => ({ cause, cases }))
    .sort((a, b) => b.cases - a.cases || (a.cause < b.cause ? -1 : 1));
  return { learning: row?.learning ?? true, seen };
}

const MAX_PHRASES = 500;

/** Words that advisors tied to findings, over all cases of the clinic. */
async function readTiedPhrases(db: Database, clinicId: number): Promise<TiedPhrases> {
  const finding = sql<string>`${caseEvents.event} ->> 'finding'`;
  const said = sql<string>`lower(${caseEvents.event} ->> 'said')`;
  const times = sql<number>`count(*)::int`;
  const phrases = await db
    .select({ finding, said, times })
    .from(caseEvents)
    .innerJoin(cases, eq(cases.id, caseEvents.caseId))
    .where(and(eq(cases.clinicId, clinicId), sql`${caseEvents.event} ->> 'kind' = 'phrase-tied'`))
    .groupBy(finding, said)
    .orderBy(desc(times), finding, said)
    .limit(MAX_PHRASES);
  return { phrases };
}

async function readLabels(db: Database, { id }: ClinicContext): Promise<ClinicLabels> {
  const labels = await db
    .select({ id: clinicLabels.id, name: clinicLabels.name, text: clinicLabels.text })
    .from(clinicLabels)
    .where(eq(clinicLabels.clinicId, id))
    .orderBy(asc(clinicLabels.name), asc(clinicLabels.id))
    .limit(MAX_LABELS);
  return { labels };
}

/** Keeps a label, or writes it anew under the same id, so that a repeated request keeps it once. */
async function keepLabel(db: Database, office: ClinicContext, body: unknown): Promise<Reply> {
  const label = readBody(clinicLabelSchema, body);
  if (!label.ok) return { problem: label.error };
  const { id, name, text } = label.value;
  const own = { clinicId: office.id, id };
  const full = await fullness(db, clinicLabels, own, { most: MAX_LABELS, what: 'labels' });
  if (full) return { problem: full };
  await db
    .insert(clinicLabels)
    .values({ id, clinicId: office.id, name, text })
    .onConflictDoUpdate({
      target: clinicLabels.id,
      set: { name, text },
      setWhere: eq(clinicLabels.clinicId, office.id),
    });
  return { body: await readLabels(db, office) };
}

async function removeLabel(db: Database, office: ClinicContext, body: unknown): Promise<Reply> {
  const which = readBody(removeLabelSchema, body);
  if (!which.ok) return { problem: which.error };
  await removeOwn(db, clinicLabels, { clinicId: office.id, id: which.value.id });
  return { body: await readLabels(db, office) };
}

/** Switches learning from confirmed cases. It changes the ranking for every advisor, so it is audited. */
async function setLearning(db: Database, actor: Actor, sent: unknown): Promise<Reply> {
  const body = readBody(learningSchema, sent);
  if (!body.ok) return { problem: body.error };
  const { id: personId, clinicId, office } = actor;
  const action = body.value.learning ? 'learning-on' : 'learning-off';
  await db.transaction(async (tx) => {
    await tx.update(clinics).set(body.value).where(eq(clinics.id, clinicId));
    await writeAudit(tx, { clinicId, personId, action, subject: String(clinicId) });
  });
  return { body: await readExperience(db, office) };
}

function clinicOf(office: ClinicContext): Clinic {
  const { name, region, place, country, state, retentionDays, spelling } = office;
  const { address, hours, languages, approach } = office;
  const said = { name, region, place, address, hours, languages, approach, spelling };
  return {
    ...said,
    country: countrySchema.nullable().catch(null).parse(country),
    state: stateSchema.nullable().catch(null).parse(state),
    retentionDays,
    today: office.today(),
    now: office.now().toISOString(),
  };
}

/** The columns that a change names; a place stands in three of them. */
function columnsOf({ place, ...rest }: ClinicSettingsChange): Partial<typeof clinics.$inferInsert> {
  const at = place && {
    latitude: place.lat,
    longitude: place.lon,
    height: place.height ?? null,
  };
  const named = Object.entries({ ...rest, ...at }).filter(([, value]) => value !== undefined);
  return Object.fromEntries(named);
}

/** Changes what the clinic says of itself, and how long it keeps names. */
async function changeSettings(
  db: Database,
  { settings }: Door,
  { id: personId, clinicId, office }: Actor,
  sent: unknown,
): Promise<Reply> {
  const body = readBody(clinicSettingsSchema, sent);
  if (!body.ok) return { problem: body.error };
  const changed = await db.transaction(async (tx) => {
    const [row] = await tx
      .update(clinics)
      .set({ name: office.name, ...columnsOf(body.value) })
      .where(eq(clinics.id, clinicId))
      .returning();
    const entry = { clinicId, personId, action: 'clinic-changed', subject: String(clinicId) };
    await writeAudit(tx, entry);
    return row;
  });
  return changed ? { body: clinicOf(clinicContext(changed, settings)) } : { problem: SIGNED_OUT };
}

/** The clinic, and what it has learned from its confirmed cases. */
export function clinicRoutes(door: Door): Router {
  const routes = Router();
  routes.get(
    '/',
    guarded(door, 'clinic.read', (_db, _request, { office }) => {
      return Promise.resolve({ body: clinicOf(office) });
    }),
  );
  routes.post(
    '/settings',
    guarded(door, 'clinic.write', (db, { body }, actor) => changeSettings(db, door, actor, body)),
  );
  routes.get(
    '/experience',
    guarded(door, 'clinic.read', async (db, _request, { office }) => ({
      body: await readExperience(db, office),
    })),
  );
  routes.get(
    '/phrases',
    guarded(door, 'cases.read', async (db, _request, { clinicId }) => ({
      body: await readTiedPhrases(db, clinicId),
    })),
  );
  routes.get(
    '/labels',
    guarded(door, 'clinic.read', async (db, _request, { office }) => ({
      body: await readLabels(db, office),
    })),
  );
  routes.post(
    '/labels',
    guarded(door, 'labels.write', (db, { body }, { office }) => keepLabel(db, office, body)),
  );
  routes.post(
    '/labels/remove',
    guarded(door, 'labels.write', (db, { body }, { office }) => removeLabel(db, office, body)),
  );
  routes.get(
    '/contacts',
    guarded(door, 'clinic.read', async (db, _request, { clinicId }) => ({
      body: await readContacts(db, clinicId),
    })),
  );
  routes.post(
    '/contacts',
    guarded(door, 'clinic.write', (db, { body }, { clinicId }) => keepContact(db, clinicId, body)),
  );
  routes.post(
    '/contacts/remove',
    guarded(door, 'clinic.write', (db, { body }, { clinicId }) =>
      removeContact(db, clinicId, body),
    ),
  );
  routes.post(
    '/learning',
    guarded(door, 'clinic.learn', (db, { body }, actor) => setLearning(db, actor, body)),
  );
  return routes;
}
