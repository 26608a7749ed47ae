import type { Request, RequestHandler } from 'express';
import type { Problem } from '../../contracts/problem.ts';
import type { Connection, Database } from '../db/connect.ts';
import { sendProblem } from './problems.ts';

/** What a request is answered with. */
export type Reply =
  | { readonly status?: number; readonly body: unknown }
  | { readonly problem: Problem; readonly extra?: Record<string, unknown> };

/**
 * Answers a request from the database. The work is done again when the database was lost on the way, so it must be
 * repeatable.
 */
export function fromDatabase(
  { run }: Connection,
  work: (db: Database, request: Request) => Promise<Reply>,
): RequestHandler {
  return async (request, response) => {
    const reply = await run((db) => work(db, request));
    if ('problem' in reply) sendProblem(response, reply.problem, reply.extra);
    else response.status(reply.status ?? 200).json(reply.body);
  };
}
