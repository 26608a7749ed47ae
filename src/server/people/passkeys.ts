import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import { and, asc, count, eq } from 'drizzle-orm';
import type { Request } from 'express';
import { z } from 'zod';
import {
  MAX_PASSKEYS,
  newPasskeySchema,
  passkeySignInSchema,
  type Passkeys,
} from '../../contracts/people.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import type { Queries } from '../db/connect.ts';
import { passkeys } from '../db/schema.ts';
import { readBody } from '../http/problems.ts';
import { findPerson, type PersonRow } from './accounts.ts';

const NAME = 'Sounding';

const isResponse = (value: unknown): boolean =>
  passkeySignInSchema.shape.response.safeParse(value).success;

const UNKNOWN: Problem = {
  code: 'not-recognized',
  field: null,
  message: 'That passkey is not one that is known here.',
  cure: 'Sign in with your password; a passkey is added on the page Clinic.',
};
const FULL: Problem = {
  code: 'conflict',
  field: null,
  message: `You have ${MAX_PASSKEYS} passkeys already.`,
  cure: 'Remove one that is no longer used.',
};

/** What browsers send; the package itself checks every part of it. */
const signedByBrowser = z.custom<AuthenticationResponseJSON>(isResponse);
const madeByBrowser = z.custom<RegistrationResponseJSON>(isResponse);

/** A passkey belongs to the name of the site; one of an address of numbers cannot be made. */
const siteOf = (request: Request) => ({
  expectedRPID: request.hostname,
  expectedOrigin: `${request.protocol}://${request.host}`,
});

/** What a browser is asked to answer with any passkey of this site. */
export function passkeyToAnswer(request: Request) {
  return generateAuthenticationOptions({ rpID: request.hostname, userVerification: 'required' });
}

/** The person whose passkey answered; a copied key, whose count goes back, is refused. */
export async function personOfPasskey(
  db: Queries,
  request: Request,
  challenge: string | null,
): Promise<Result<PersonRow, Problem>> {
  const body = readBody(passkeySignInSchema, request.body);
  if (!body.ok) return body;
  const { response } = body.value;
  const [key] = await db.select().from(passkeys).where(eq(passkeys.id, response.id));
  if (!key || challenge === null) return fail(UNKNOWN);
  const verified = await verifyAuthenticationResponse({
    response: signedByBrowser.parse(response),
    expectedChallenge: challenge,
    ...siteOf(request),
    credential: {
      id: key.id,
      publicKey: new Uint8Array(Buffer.from(key.publicKey, 'base64url')),
      counter: key.counter,
    },
  }).catch(() => null);
  const person = verified?.verified === true ? await findPerson(db, key.personId) : null;
  if (!verified || !person?.active) return fail(UNKNOWN);
  await db
    .update(passkeys)
    .set({ counter: verified.authenticationInfo.newCounter })
    .where(eq(passkeys.id, key.id));
  return ok(person);
}

/** The passkeys of a person, by name. */
export async function listPasskeys(db: Queries, personId: string): Promise<Passkeys> {
  const rows = await db
    .select({ id: passkeys.id, name: passkeys.name })
    .from(passkeys)
    .where(eq(passkeys.personId, personId))
    .orderBy(asc(passkeys.name), asc(passkeys.id));
  return { passkeys: rows };
}

/** What a browser is asked to make a passkey by. */
export async function passkeyToMake(db: Queries, request: Request, person: PersonRow) {
  const known = await listPasskeys(db, person.id);
  return generateRegistrationOptions({
    rpName: NAME,
    rpID: request.hostname,
    userName: person.email,
    userDisplayName: person.name,
    userID: new Uint8Array(Buffer.from(person.id)),
    excludeCredentials: known.passkeys.map(({ id }) => ({ id })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  });
}

/** Keeps a passkey that a browser made. */
export async function keepPasskey(
  db: Queries,
  request: Request,
  personId: string,
  challenge: string | null,
): Promise<Result<Passkeys, Problem>> {
  const body = readBody(newPasskeySchema, request.body);
  if (!body.ok) return body;
  const { name, response } = body.value;
  const [known] = await db
    .select({ kept: count() })
    .from(passkeys)
    .where(eq(passkeys.personId, personId));
  if ((known?.kept ?? 0) >= MAX_PASSKEYS) return fail(FULL);
  if (challenge === null) return fail(UNKNOWN);
  const verified = await verifyRegistrationResponse({
    response: madeByBrowser.parse(response),
    expectedChallenge: challenge,
    ...siteOf(request),
  }).catch(() => null);
  if (verified?.verified !== true) return fail(UNKNOWN);
  const { credential } = verified.registrationInfo;
  await db
    .insert(passkeys)
    .values({
      id: credential.id,
      personId,
      name,
      publicKey: Buffer.from(credential.publicKey).toString('base64url'),
      counter: credential.counter,
      transports: credential.transports ?? [],
    })
    .onConflictDoNothing();
  return ok(await listPasskeys(db, personId));
}

/** Removes a passkey of a person. */
export async function removePasskey(db: Queries, personId: string, id: string): Promise<Passkeys> {
  await db.delete(passkeys).where(and(eq(passkeys.id, id), eq(passkeys.personId, personId)));
  return listPasskeys(db, personId);
}
