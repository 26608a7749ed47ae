import { eq } from 'drizzle-orm';
import type { Request, RequestHandler } from 'express';
import { can, type Action, type Role } from '../../contracts/access.ts';
import { PERSON_HEADER } from '../../contracts/people.ts';
import type { Spelling } from '../../wording/spelling.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { clinicContext, type ClinicContext, type ClinicSettings } from '../office/clinicContext.ts';
import type { Connection, Database, Queries } from '../db/connect.ts';
import { clinics, people } from '../db/schema.ts';
import { fromDatabase, type Reply } from '../http/respond.ts';

/** Who is signed in, and the clinic they work for. */
export interface Actor {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly clinicId: number;
  readonly office: ClinicContext;
  /** Null takes that of the clinic. */
  readonly spelling: Spelling | null;
}

/** What every guarded route works with. */
export interface Door {
  readonly connection: Connection;
  readonly settings: ClinicSettings;
}

export const SIGNED_OUT: Problem = {
  code: 'signed-out',
  field: null,
  message: 'Nobody is signed in here.',
  cure: 'Sign in; what was typed is kept on this device.',
};
export const FORBIDDEN: Problem = {
  code: 'forbidden',
  field: null,
  message: 'Your role at this clinic does not include that.',
  cure: 'Ask a coordinator to do it, or to change your role.',
};

/**
 * The person of the session of a request; null when there is none, it has ended, the account was closed, or the page that
 * asks belongs to somebody else.
 */
export async function actorOf(
  db: Queries,
  request: Request,
  settings: ClinicSettings,
): Promise<Actor | null> {
  const { personId, epoch } = request.session;
  const claimed = request.get(PERSON_HEADER);
  if (personId === undefined || (claimed !== undefined && claimed !== personId)) return null;
  const [found] = await db
    .select({ person: people, clinic: clinics })
    .from(people)
    .innerJoin(clinics, eq(clinics.id, people.clinicId))
    .where(eq(people.id, personId));
  if (!found?.person.active || found.person.epoch !== epoch) return null;
  const { id, name, role, clinicId, spelling } = found.person;
  return { id, name, role, clinicId, spelling, office: clinicContext(found.clinic, settings) };
}

/** Who asks, where they may do what they ask for; else why not. */
export async function admitted(
  db: Queries,
  request: Request,
  settings: ClinicSettings,
  action: Action,
): Promise<Result<Actor, Problem>> {
  const actor = await actorOf(db, request, settings);
  if (!actor) return fail(SIGNED_OUT);
  return can(actor, action, actor) ? ok(actor) : fail(FORBIDDEN);
}

/** Answers a request from the database for who may ask it; everything else is refused before it is looked at. */
export function guarded(
  { connection, settings }: Door,
  action: Action,
  work: (db: Database, request: Request, actor: Actor) => Promise<Reply>,
): RequestHandler {
  return fromDatabase(connection, async (db, request): Promise<Reply> => {
    const admission = await admitted(db, request, settings, action);
    return admission.ok ? work(db, request, admission.value) : { problem: admission.error };
  });
}
