import { Router } from 'express';
import { z } from 'zod';
import { appendEventsSchema, openCaseSchema } from '../../contracts/cases.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { ClinicOffice } from '../clinic/office.ts';
import type { Database } from '../db/connect.ts';
import { readBody, sendProblem } from '../http/problems.ts';
import { listCases, readCase, readEvents } from './queries.ts';
import { appendEvents, openCase } from './service.ts';

const NOT_FOUND: Problem = {
  code: 'not-found',
  field: 'id',
  message: 'There is no such case.',
  cure: 'Open it from the Desk.',
};

const isUuid = (id: string): boolean => z.uuid().safeParse(id).success;

/** Routes below `/api/cases`. */
export function caseRoutes(db: Database, office: ClinicOffice): Router {
  const routes = Router();

  routes.get('/', async (request, response) => {
    response.json({ cases: await listCases(db, request.query.status === 'closed') });
  });

  routes.post('/', async (request, response) => {
    const body = readBody(openCaseSchema, request.body);
    if (!body.ok) {
      sendProblem(response, body.error);
      return;
    }
    response.status(201).json({ case: await openCase(db, office, body.value) });
  });

  routes.get('/:id', async (request, response) => {
    const record = isUuid(request.params.id) ? await readCase(db, request.params.id, false) : null;
    if (record) response.json({ case: record });
    else sendProblem(response, NOT_FOUND);
  });

  routes.get('/:id/events', async (request, response) => {
    const { id } = request.params;
    const record = isUuid(id) ? await readCase(db, id, false) : null;
    if (record) response.json({ events: await readEvents(db, id) });
    else sendProblem(response, NOT_FOUND);
  });

  routes.post('/:id/events', async (request, response) => {
    const body = readBody(appendEventsSchema, request.body);
    if (!body.ok) {
      sendProblem(response, body.error);
      return;
    }
    if (!isUuid(request.params.id)) {
      sendProblem(response, NOT_FOUND);
      return;
    }
    const outcome = await appendEvents(db, office, request.params.id, body.value);
    if (outcome.ok) {
      response.json({ case: outcome.value });
    } else if (outcome.error.code === 'not-found') {
      sendProblem(response, NOT_FOUND);
    } else {
      const problem: Problem = {
        code: 'conflict',
        field: 'baseVersion',
        message: 'The case was changed in another window.',
        cure: 'Apply your changes to the case in this answer and send them again.',
      };
      sendProblem(response, problem, { case: outcome.error.record });
    }
  });

  return routes;
}
