import { z } from 'zod';
import { PERSON_HEADER } from '../../contracts/people.ts';
import { problemSchema, type Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { connectionTexts } from '../texts/connectionTexts.ts';

const OFFLINE: Problem = {
  code: 'unavailable',
  field: null,
  message: connectionTexts.theServerDoesNotAnswer,
  cure: connectionTexts.typedIsKept,
};

/** Longest time that a request may take before it is given up, in milliseconds. */
const MAX_REQUEST_MS = 12_000;

/** Whose page this is; null before somebody has signed in. */
let owner: string | null = null;

/**
 * Says with every call from now on whose page it comes from. Another page of the same browser may sign somebody else in;
 * what was typed here must not go out under their name.
 */
export function actAs(personId: string): void {
  owner = personId;
}

/** Called when the server answers that nobody is signed in. */
const listeners = new Set<() => void>();

/** Calls `listener` from now on whenever the server says that nobody is signed in here. */
export function whenSignedOut(listener: () => void): void {
  listeners.add(listener);
}

/** Asks the server; a failed call gives a problem and never throws. Without a body it reads, with one it writes. */
export async function call<T>(
  address: string,
  schema: z.ZodType<T>,
  body: unknown,
  headers: Readonly<Record<string, string>> = {},
): Promise<Result<T, Problem>> {
  const sent = owner === null ? headers : { ...headers, [PERSON_HEADER]: owner };
  try {
    const init: RequestInit =
      body === undefined
        ? { headers: sent }
        : {
            method: 'POST',
            headers: { ...sent, 'content-type': 'application/json' },
            body: JSON.stringify(body),
          };
    const response = await fetch(address, { ...init, signal: AbortSignal.timeout(MAX_REQUEST_MS) });
    const content: unknown = await response.json();
    if (response.ok) return ok(schema.parse(content));
    const known = problemSchema.safeParse(content);
    const problem = known.success ? known.data.error : OFFLINE;
    if (problem.code === 'signed-out') for (const listener of listeners) listener();
    return fail(problem);
  } catch {
    return fail(OFFLINE);
  }
}
