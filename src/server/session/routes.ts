import { Router, type Request, type RequestHandler, type Response } from 'express';
import {
  demoSignInSchema,
  signOutSchema,
  type PasskeyOptions,
  type SessionState,
} from '../../contracts/people.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { actorOf, type Door } from '../access/guard.ts';
import { passkeyToAnswer, personOfPasskey } from '../people/passkeys.ts';
import { beginSession, endSession, keepChallenge, takeChallenge } from '../access/sessions.ts';
import type { SignInTries } from '../access/tries.ts';
import { writeAudit } from '../audit/auditLog.ts';
import { isFromHere } from '../http/ownSite.ts';
import { readBody, sendProblem } from '../http/problems.ts';
import {
  endSessionsOf,
  findPerson,
  hasCoordinator,
  listDemoPeople,
  toPerson,
  type PersonRow,
} from '../people/accounts.ts';
import { byPassword, NOT_RECOGNIZED, type Refusal } from './signIn.ts';

/** What signing in works with besides the database. */
export interface SessionParts extends Door {
  readonly tries: SignInTries;
  /** The people of the demonstration may be chosen, on this machine alone. */
  readonly demo: boolean;
}

const NO_DEMO: Problem = {
  code: 'forbidden',
  field: null,
  message: 'People are chosen in a demonstration only, and on its own machine.',
  cure: 'Sign in with your e-mail address and password.',
};

async function readState(parts: SessionParts, request: Request): Promise<SessionState> {
  const { connection, settings } = parts;
  const actor = await connection.run((db) => actorOf(db, request, settings));
  if (actor)
    return { person: toPerson(actor), demo: [], firstRun: false, spelling: actor.spelling };
  return nobodySignedIn(parts, request);
}

/** What is offered to who has to sign in. */
function nobodySignedIn({ connection, demo }: SessionParts, request: Request) {
  return connection.run(async (db): Promise<SessionState> => {
    const chosen = demo && isFromHere(request) ? await listDemoPeople(db) : [];
    const firstRun = chosen.length === 0 && !(await hasCoordinator(db));
    return { person: null, demo: chosen, firstRun, spelling: null };
  });
}

/** Begins the session of a person and answers with it. */
export async function answerSignedIn(
  { connection }: Door,
  request: Request,
  response: Response,
  person: PersonRow,
): Promise<void> {
  await beginSession(request, person);
  await connection.run((db) =>
    db.transaction((tx) =>
      writeAudit(tx, {
        clinicId: person.clinicId,
        personId: person.id,
        action: 'signed-in',
        subject: person.id,
      }),
    ),
  );
  const { spelling } = person;
  response.json({ person: toPerson(person), demo: [], firstRun: false, spelling });
}

function signingIn(
  door: Door,
  find: (request: Request) => Promise<Result<PersonRow, Refusal>>,
): RequestHandler {
  return async (request, response) => {
    const found = await find(request);
    if (found.ok) {
      await answerSignedIn(door, request, response, found.value);
      return;
    }
    const { problem, retryAfter } = found.error;
    if (retryAfter !== null) response.set('retry-after', String(retryAfter));
    sendProblem(response, problem);
  };
}

async function byChoice(
  { connection, demo }: SessionParts,
  request: Request,
): Promise<Result<PersonRow, Refusal>> {
  if (!demo || !isFromHere(request)) return fail({ problem: NO_DEMO, retryAfter: null });
  const body = readBody(demoSignInSchema, request.body);
  if (!body.ok) return fail({ problem: body.error, retryAfter: null });
  const person = await connection.run((db) => findPerson(db, body.value.personId));
  return person?.demo === true && person.active
    ? ok(person)
    : fail({ problem: NOT_RECOGNIZED, retryAfter: null });
}

async function byPasskey(
  { connection }: Door,
  request: Request,
): Promise<Result<PersonRow, Refusal>> {
  const challenge = await takeChallenge(request);
  const person = await connection.run((db) => personOfPasskey(db, request, challenge));
  return person.ok ? person : fail({ problem: person.error, retryAfter: null });
}

/** Routes below `/api/session`. */
export function sessionRoutes(parts: SessionParts): Router {
  const { connection, tries } = parts;
  const routes = Router();
  routes.get('/', async (request, response) => {
    response.json(await readState(parts, request));
  });
  routes.post(
    '/',
    signingIn(parts, (request) => byPassword(connection, tries, request)),
  );
  routes.post(
    '/demo',
    signingIn(parts, (request) => byChoice(parts, request)),
  );
  routes.post('/passkey/options', async (request, response) => {
    const options = await passkeyToAnswer(request);
    await keepChallenge(request, options.challenge);
    response.json({ options: { ...options } } satisfies PasskeyOptions);
  });
  routes.post(
    '/passkey',
    signingIn(parts, (request) => byPasskey(parts, request)),
  );
  routes.post('/end', async (request, response) => {
    const body = readBody(signOutSchema, request.body);
    if (!body.ok) {
      sendProblem(response, body.error);
      return;
    }
    const { personId } = request.session;
    if (body.value.everywhere && personId !== undefined)
      await connection.run((db) => endSessionsOf(db, personId));
    await endSession(request, response);
    response.json(await nobodySignedIn(parts, request));
  });
  return routes;
}
