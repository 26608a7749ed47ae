import type { Request } from 'express';
import { signInSchema } from '../../contracts/people.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { isPassword } from '../access/passwords.ts';
import type { SignInTries } from '../access/tries.ts';
import type { Connection } from '../db/connect.ts';
import { readBody } from '../http/problems.ts';
import { findByEmail, type PersonRow } from '../people/accounts.ts';

/** The same error for an unknown address and a wrong password, so that it does not reveal who has an account. */
export const NOT_RECOGNIZED: Problem = {
  code: 'not-recognized',
  field: null,
  message: 'E-mail address and password do not belong together.',
  cure: 'Try again, or ask a coordinator for a link that sets a new password.',
};

const tooMany = (seconds: number): Problem => ({
  code: 'too-many-tries',
  field: null,
  message: `Too many tries. The next one is taken in ${Math.ceil(seconds / 60)} min.`,
  cure: 'Wait, or ask a coordinator for a link that sets a new password.',
});

/** Why nobody was signed in, and after how many seconds another try is taken. */
export interface Refusal {
  readonly problem: Problem;
  readonly retryAfter: number | null;
}

const refused = (problem: Problem, retryAfter: number | null = null) =>
  fail<Refusal>({ problem, retryAfter });

/** Looks for the person of an e-mail address and a password; failed tries are counted. */
export async function byPassword(
  { run }: Connection,
  tries: SignInTries,
  request: Request,
): Promise<Result<PersonRow, Refusal>> {
  const body = readBody(signInSchema, request.body);
  if (!body.ok) return refused(body.error);
  const { email, password } = body.value;
  const one = { account: email, address: request.ip ?? '' };
  const wait = await tries.wait(one);
  if (wait > 0) return refused(tooMany(wait), wait);
  const person = await run((db) => findByEmail(db, email));
  if (!(await isPassword(person?.password ?? null, password)) || !person) {
    await tries.failed(one);
    return refused(NOT_RECOGNIZED);
  }
  await tries.succeeded(one);
  return ok(person);
}
