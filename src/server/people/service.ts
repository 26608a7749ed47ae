import { count, eq } from 'drizzle-orm';
import {
  askLinkSchema,
  changePersonSchema,
  MAX_PEOPLE,
  newPersonSchema,
  type Account,
} from '../../contracts/people.ts';
import type { Problem } from '../../contracts/problem.ts';
import { writeAudit } from '../audit/auditLog.ts';
import type { Actor } from '../access/guard.ts';
import type { Database, Queries } from '../db/connect.ts';
import { isTaken } from '../db/errors.ts';
import { people } from '../db/schema.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';
import { makeLink } from '../access/oneTimeLinks.ts';
import {
  changePerson,
  findPerson,
  hasCoordinator,
  insertPerson,
  listAccounts,
} from './accounts.ts';

const NOBODY: Problem = {
  code: 'not-found',
  field: 'id',
  message: 'There is no such person at this clinic.',
  cure: 'Choose one of the list.',
};
/** Two people cannot sign in by one address. */
export const EMAIL_TAKEN: Problem = {
  code: 'conflict',
  field: 'email',
  message: 'Somebody signs in by that e-mail address already.',
  cure: 'Use another one, or open the account that has it.',
};
const FULL: Problem = {
  code: 'conflict',
  field: null,
  message: `The clinic has ${MAX_PEOPLE} people already.`,
  cure: 'Ask whoever runs the server.',
};
const LAST_COORDINATOR: Problem = {
  code: 'conflict',
  field: 'role',
  message: 'Nobody else could let people in then.',
  cure: 'Make somebody else a coordinator first, and let them sign in once.',
};

async function accountsOf(db: Queries, actor: Actor): Promise<{ people: Account[] }> {
  return { people: await listAccounts(db, actor.clinicId) };
}

const note = (tx: Queries, actor: Actor, action: string, subject: string): Promise<void> =>
  writeAudit(tx, { clinicId: actor.clinicId, personId: actor.id, action, subject });

/** The people of a clinic. */
export async function readPeople(db: Database, actor: Actor): Promise<Reply> {
  return { body: await accountsOf(db, actor) };
}

/** Adds somebody, once however often it is asked; they sign in after the first link was used. */
export async function addPerson(db: Database, actor: Actor, sent: unknown): Promise<Reply> {
  const body = readBody(newPersonSchema, sent);
  if (!body.ok) return { problem: body.error };
  const [known] = await db
    .select({ here: count() })
    .from(people)
    .where(eq(people.clinicId, actor.clinicId));
  if ((known?.here ?? 0) >= MAX_PEOPLE) return { problem: FULL };
  try {
    await db.transaction(async (tx) => {
      if (await insertPerson(tx, actor.clinicId, body.value))
        await note(tx, actor, 'person-added', body.value.id);
    });
  } catch (error) {
    if (isTaken(error)) return { problem: EMAIL_TAKEN };
    throw error;
  }
  return { body: await accountsOf(db, actor) };
}

/** Changes name or role of somebody, or closes and opens their account. */
export async function editPerson(db: Database, actor: Actor, sent: unknown): Promise<Reply> {
  const body = readBody(changePersonSchema, sent);
  if (!body.ok) return { problem: body.error };
  const { id, role, active } = body.value;
  const problem = await db.transaction(async (tx): Promise<Problem | null> => {
    const before = await findPerson(tx, id, actor.clinicId);
    if (!before) return NOBODY;
    const stays = (active ?? before.active) && (role ?? before.role) === 'coordinator';
    if (before.role === 'coordinator' && before.active && !stays && !(await hasCoordinator(tx, id)))
      return LAST_COORDINATOR;
    await changePerson(tx, before, body.value);
    await note(tx, actor, 'person-changed', id);
    return null;
  });
  return problem ? { problem } : { body: await accountsOf(db, actor) };
}

/** Makes the link by which somebody sets a password; earlier ones are worth nothing then. */
export async function linkFor(db: Database, actor: Actor, sent: unknown): Promise<Reply> {
  const body = readBody(askLinkSchema, sent);
  if (!body.ok) return { problem: body.error };
  return db.transaction(async (tx): Promise<Reply> => {
    const person = await findPerson(tx, body.value.id, actor.clinicId);
    if (!person?.active) return { problem: NOBODY };
    await note(tx, actor, 'link-made', person.id);
    return { body: await makeLink(tx, { purpose: 'password', personId: person.id }, new Date()) };
  });
}
