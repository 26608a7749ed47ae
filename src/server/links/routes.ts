import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import {
  readLinkSchema,
  takeLinkSchema,
  type LinkPurpose,
  type TakeLink,
} from '../../contracts/people.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import type { Door } from '../access/guard.ts';
import { hashPassword } from '../access/passwords.ts';
import { writeAudit } from '../audit/auditLog.ts';
import { openClinicContext } from '../office/clinicContext.ts';
import type { Queries } from '../db/connect.ts';
import { isTaken } from '../db/errors.ts';
import { readBody, sendProblem } from '../http/problems.ts';
import { fromDatabase, type Reply } from '../http/respond.ts';
import { findPerson, insertPerson, setPassword, type PersonRow } from '../people/accounts.ts';
import { EMAIL_TAKEN } from '../people/service.ts';
import { answerSignedIn } from '../session/routes.ts';
import { readLink, useUpLink, type KnownLink } from '../access/oneTimeLinks.ts';

const NO_LINK: Problem = {
  code: 'not-recognized',
  field: 'token',
  message: 'This link was used already, is older than a day, or was never made.',
  cure: 'Ask a coordinator for a new one; the first coordinator starts the server again.',
};
const NEEDS_NAME: Problem = {
  code: 'invalid-field',
  field: 'email',
  message: 'The first coordinator needs a name and an e-mail address.',
  cure: 'Fill in both.',
};
async function describe(db: Queries, link: KnownLink | null): Promise<LinkPurpose | null> {
  if (!link) return null;
  if (link.personId === null) return { purpose: link.purpose, name: '' };
  const person = await findPerson(db, link.personId);
  return person?.active === true ? { purpose: link.purpose, name: person.name } : null;
}

/** The person that a link is for; the first coordinator is made. */
async function personOf(
  tx: Queries,
  link: KnownLink,
  clinicId: number,
  { name, email }: TakeLink,
): Promise<PersonRow | null> {
  if (link.personId !== null) return findPerson(tx, link.personId);
  if (name === undefined || email === undefined) return null;
  const id = randomUUID();
  await insertPerson(tx, clinicId, { id, name, email, role: 'coordinator' });
  return findPerson(tx, id);
}

/** Routes below `/api/links`. */
export function linkRoutes(door: Door): Router {
  const { connection, settings } = door;

  async function take(body: TakeLink): Promise<Result<PersonRow, Problem>> {
    const { token, password, name, email } = body;
    const known = await connection.run((db) => readLink(db, token, new Date()));
    if (!known) return fail(NO_LINK);
    const isNew = known.personId === null;
    if (isNew && (name === undefined || email === undefined)) return fail(NEEDS_NAME);
    const hash = await hashPassword(password);
    const office = await connection.run((db) => openClinicContext(db, settings));
    return connection.run((db) =>
      db.transaction(async (tx) => {
        const link = await useUpLink(tx, token, new Date());
        const person = link && (await personOf(tx, link, office.id, body));
        if (!person?.active) return fail(NO_LINK);
        const { id, clinicId } = person;
        const epoch = await setPassword(tx, id, hash);
        await writeAudit(tx, { clinicId, personId: id, action: 'password-set', subject: id });
        return ok({ ...person, epoch });
      }),
    );
  }

  const routes = Router();
  routes.post(
    '/read',
    fromDatabase(connection, async (db, request): Promise<Reply> => {
      const body = readBody(readLinkSchema, request.body);
      if (!body.ok) return { problem: body.error };
      const purpose = await describe(db, await readLink(db, body.value.token, new Date()));
      return purpose ? { body: purpose } : { problem: NO_LINK };
    }),
  );
  routes.post('/use', async (request, response) => {
    const body = readBody(takeLinkSchema, request.body);
    const taken = body.ok
      ? await take(body.value).catch((error: unknown) => {
          if (isTaken(error)) return fail(EMAIL_TAKEN);
          throw error;
        })
      : body;
    if (taken.ok) await answerSignedIn(door, request, response, taken.value);
    else sendProblem(response, taken.error);
  });
  return routes;
}
