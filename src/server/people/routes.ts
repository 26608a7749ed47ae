import { Router } from 'express';
import {
  newPasswordSchema,
  ownSpellingSchema,
  removePasskeySchema,
  type PasskeyOptions,
} from '../../contracts/people.ts';
import type { Problem } from '../../contracts/problem.ts';
import { guarded, SIGNED_OUT, type Door } from '../access/guard.ts';
import { keepPasskey, listPasskeys, passkeyToMake, removePasskey } from './passkeys.ts';
import { hashPassword, isPassword } from '../access/passwords.ts';
import { beginSession, keepChallenge, takeChallenge } from '../access/sessions.ts';
import { writeAudit } from '../audit/auditLog.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';
import { findPerson, setPassword, setSpelling } from './accounts.ts';
import { addPerson, editPerson, linkFor, readPeople } from './service.ts';

const WRONG_PASSWORD: Problem = {
  code: 'not-recognized',
  field: 'current',
  message: 'That is not your password.',
  cure: 'Type the one that you signed in with.',
};

/** Routes below `/api/people`. */
export function peopleRoutes(door: Door): Router {
  const routes = Router();
  routes.get(
    '/',
    guarded(door, 'people.read', (db, _request, actor) => readPeople(db, actor)),
  );
  routes.post(
    '/',
    guarded(door, 'people.write', (db, { body }, actor) => addPerson(db, actor, body)),
  );
  routes.post(
    '/change',
    guarded(door, 'people.write', (db, { body }, actor) => editPerson(db, actor, body)),
  );
  routes.post(
    '/link',
    guarded(door, 'people.write', (db, { body }, actor) => linkFor(db, actor, body)),
  );
  routes.post(
    '/me/password',
    guarded(door, 'own.write', async (db, request, actor): Promise<Reply> => {
      const body = readBody(newPasswordSchema, request.body);
      if (!body.ok) return { problem: body.error };
      const person = await findPerson(db, actor.id);
      if (!(await isPassword(person?.password ?? null, body.value.current)))
        return { problem: WRONG_PASSWORD };
      const hash = await hashPassword(body.value.next);
      const epoch = await db.transaction(async (tx) => {
        const { id, clinicId } = actor;
        await writeAudit(tx, { clinicId, personId: id, action: 'password-set', subject: id });
        return setPassword(tx, id, hash);
      });
      await beginSession(request, { id: actor.id, epoch });
      return { body: { ok: true } };
    }),
  );
  routes.post(
    '/me/spelling',
    guarded(door, 'own.write', async (db, request, { id }): Promise<Reply> => {
      const body = readBody(ownSpellingSchema, request.body);
      if (!body.ok) return { problem: body.error };
      await setSpelling(db, id, body.value);
      return { body: body.value };
    }),
  );
  routes.get(
    '/me/passkeys',
    guarded(door, 'own.write', async (db, _request, { id }) => ({
      body: await listPasskeys(db, id),
    })),
  );
  routes.post(
    '/me/passkeys/options',
    guarded(door, 'own.write', async (db, request, { id }): Promise<Reply> => {
      const person = await findPerson(db, id);
      if (!person) return { problem: SIGNED_OUT };
      const options = await passkeyToMake(db, request, person);
      await keepChallenge(request, options.challenge);
      return { body: { options: { ...options } } satisfies PasskeyOptions };
    }),
  );
  routes.post(
    '/me/passkeys',
    guarded(door, 'own.write', async (db, request, { id }): Promise<Reply> => {
      const challenge = await takeChallenge(request);
      const kept = await keepPasskey(db, request, id, challenge);
      return kept.ok ? { body: kept.value } : { problem: kept.error };
    }),
  );
  routes.post(
    '/me/passkeys/remove',
    guarded(door, 'own.write', async (db, request, { id }): Promise<Reply> => {
      const body = readBody(removePasskeySchema, request.body);
      if (!body.ok) return { problem: body.error };
      return { body: await removePasskey(db, id, body.value.id) };
    }),
  );
  return routes;
}
