import { z } from 'zod';
import { fieldIssueText } from '../wording/libraryFaults.ts';

/** An error as it crosses the network: what is wrong, in which field, and what to do about it. */
export const problemSchema = z.object({
  error: z.object({
    code: z.enum([
      'malformed-json',
      'invalid-field',
      'unknown-plant',
      'unknown-finding',
      'too-large',
      'not-found',
      'conflict',
      'malformed-request',
      /** Nobody is signed in, or the session has ended. */
      'signed-out',
      /** Name and password, link or passkey are not those of anybody. */
      'not-recognized',
      /** The role does not allow it, or it comes from another site. */
      'forbidden',
      /** Too many failed tries; the header Retry-After says when the next one is taken. */
      'too-many-tries',
      /** It takes longer than one request may. */
      'too-slow',
      /** More is asked at once than can be answered; the header Retry-After says when to ask again. */
      'overloaded',
      'unavailable',
    ]),
    field: z.string().nullable(),
    message: z.string(),
    cure: z.string(),
  }),
});
export type Problem = z.infer<typeof problemSchema>['error'];

/** The first complaint of a failed parse, as a problem that names its field. */
export function problemFrom(error: z.ZodError): Problem {
  const issue = error.issues[0];
  const field = issue?.path.join('.') ?? '';
  const unknownKeys = issue?.code === 'unrecognized_keys' ? issue.keys.join(', ') : null;
  return {
    code: 'invalid-field',
    field: unknownKeys ?? (field === '' ? 'body' : field),
    message: issue ? fieldIssueText(issue) : 'The input is not valid.',
    cure:
      unknownKeys === null
        ? `Correct "${field === '' ? 'body' : field}" and send it again.`
        : `Leave out ${unknownKeys}.`,
  };
}
