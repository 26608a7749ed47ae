import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { z } from 'zod';
import { problemFrom, type Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { isBadValue, summarizeError } from '../db/errors.ts';

const STATUS: Readonly<Record<Problem['code'], number>> = {
  'malformed-json': 400,
  'invalid-field': 422,
  'unknown-plant': 422,
  'unknown-finding': 422,
  'too-large': 413,
  'not-found': 404,
  conflict: 409,
  'malformed-request': 400,
  'signed-out': 401,
  'not-recognized': 401,
  forbidden: 403,
  'too-many-tries': 429,
  'too-slow': 503,
  overloaded: 503,
  unavailable: 503,
};

/** After how many seconds a request that could not be answered for lack of room or database is worth repeating. */
const RETRY_AFTER_SECONDS = 1;

/** Answers with a problem and its status. */
export function sendProblem(
  response: Response,
  problem: Problem,
  extra: Record<string, unknown> = {},
): void {
  const status = STATUS[problem.code];
  if (status === 503) response.set('retry-after', String(RETRY_AFTER_SECONDS));
  response.status(status).json({ error: problem, ...extra });
}

/** Checks a body against its schema. */
export function readBody<T>(schema: z.ZodType<T>, body: unknown): Result<T, Problem> {
  const parsed = schema.safeParse(body);
  return parsed.success ? ok(parsed.data) : fail(problemFrom(parsed.error));
}

/** Largest request body, in bytes. */
export const MAX_BODY_BYTES = 1_000_000;

/** Errors that Express and its parsers throw for what a client sent. */
const thrownByExpress = z.object({
  status: z.number().min(400).max(499),
  type: z.string().optional(),
});

function problemOf(error: unknown): Problem | null {
  if (isBadValue(error))
    return {
      code: 'invalid-field',
      field: 'body',
      message: 'A value cannot be stored.',
      cure: 'Send ordinary text, numbers and dates.',
    };
  const thrown = thrownByExpress.safeParse(error);
  if (!thrown.success) return null;
  switch (thrown.data.type) {
    case 'entity.parse.failed':
      return {
        code: 'malformed-json',
        field: 'body',
        message: 'The body is not JSON.',
        cure: 'Send one JSON object with the header content-type: application/json.',
      };
    case 'entity.too.large':
      return {
        code: 'too-large',
        field: 'body',
        message: `The body is larger than ${MAX_BODY_BYTES} bytes.`,
        cure: 'Send the part about one plant.',
      };
    default:
      return {
        code: 'malformed-request',
        field: null,
        message: 'The address or the headers cannot be read.',
        cure: 'Write the address in valid percent-encoding, and send JSON in UTF-8.',
      };
  }
}

/** Turns what a handler threw into a problem; an unforeseen error is logged, without its message, and hidden. */
export function handleErrors(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = problemOf(error);
    if (known) {
      sendProblem(response, known);
      return;
    }
    log.error({ error: summarizeError(error), method: request.method }, 'request failed');
    sendProblem(response, {
      code: 'unavailable',
      field: null,
      message: 'The server could not do this.',
      cure: 'Nothing was lost on this device; try again in a moment.',
    });
  };
}
