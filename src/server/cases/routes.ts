import { Router, type Request } from 'express';
import { z } from 'zod';
import { appendEventsSchema } from '../../contracts/caseEvents.ts';
import { forgetSchema } from '../../contracts/forgetting.ts';
import { openCaseSchema } from '../../contracts/cases.ts';
import type { Problem } from '../../contracts/problem.ts';
import { shiftDay } from '../../core/timing/calendar.ts';
import { guarded, type Door } from '../access/guard.ts';
import { forgetCase } from './forget.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';
import { listCases, listDue, listLookAgain, type PageQuery } from './queries.ts';
import { NO_KEY, pageKeyOf, readPage } from './pageKey.ts';
import { append, changesSince, findCase, openCase, type CaseProblem } from './service.ts';

const NOT_FOUND: Problem = {
  code: 'not-found',
  field: 'id',
  message: 'There is no such case.',
  cure: 'Open it from the Desk.',
};
const ID_TAKEN: Problem = {
  code: 'conflict',
  field: 'id',
  message: 'A case of this id is kept already, and not by this clinic.',
  cure: 'Give the case an id of its own.',
};

/** Whoever was not asked for so long how it went is no longer asked. */
const ASKED_FOR_DAYS = 30;

const isUuid = (id: unknown): id is string => z.uuid().safeParse(id).success;
const idOf = ({ params }: Request): string | null => (isUuid(params.id) ? params.id : null);

const afterSchema = z.coerce.number().int().min(0).max(2_000_000_000);

function problemOf(error: CaseProblem): Problem {
  switch (error.code) {
    case 'not-found':
      return NOT_FOUND;
    case 'other-version':
      return {
        code: 'conflict',
        field: 'baseVersion',
        message: `The case has version ${error.version}.`,
        cure: 'Read what happened since yours, and send the events on top of that.',
      };
    case 'id-taken':
      return {
        code: 'conflict',
        field: 'id',
        message: 'An event of this id is kept already, with another case or further back.',
        cure: 'Give the event an id of its own.',
      };
  }
}

/** Routes below `/api/cases`. */
export function caseRoutes(door: Door): Router {
  const routes = Router();

  routes.get(
    '/',
    guarded(door, 'cases.read', async (db, request, { clinicId }): Promise<Reply> => {
      const after = pageKeyOf(request);
      if (after === undefined) return { problem: NO_KEY };
      const closed = request.query.status === 'closed';
      const list = (query: PageQuery) => listCases(db, clinicId, closed, query);
      return { body: await readPage(list, after, ({ openedAt }) => openedAt) };
    }),
  );

  routes.get(
    '/due',
    guarded(door, 'cases.read', async (db, request, { clinicId }): Promise<Reply> => {
      const after = pageKeyOf(request);
      if (after === undefined) return { problem: NO_KEY };
      const list = (query: PageQuery) => listDue(db, clinicId, query);
      return { body: await readPage(list, after, ({ due }) => due?.on ?? '') };
    }),
  );

  routes.get(
    '/look-again',
    guarded(door, 'cases.read', async (db, request, { clinicId, office }): Promise<Reply> => {
      const after = pageKeyOf(request);
      if (after === undefined) return { problem: NO_KEY };
      const days = { from: shiftDay(office.today(), -ASKED_FOR_DAYS), to: office.today() };
      const list = (query: PageQuery) => listLookAgain(db, clinicId, days, query);
      return { body: await readPage(list, after, ({ lookAgainOn }) => lookAgainOn ?? '') };
    }),
  );

  routes.post(
    '/',
    guarded(door, 'cases.write', async (db, request, actor): Promise<Reply> => {
      const body = readBody(openCaseSchema, request.body);
      if (!body.ok) return { problem: body.error };
      const record = await openCase(db, actor, body.value);
      return record ? { status: 201, body: { case: record } } : { problem: ID_TAKEN };
    }),
  );

  routes.get(
    '/:id',
    guarded(door, 'cases.read', async (db, request, { clinicId }): Promise<Reply> => {
      const id = idOf(request);
      const record = id === null ? null : await findCase(db, clinicId, id);
      return record ? { body: { case: record } } : { problem: NOT_FOUND };
    }),
  );

  routes.get(
    '/:id/events',
    guarded(door, 'cases.read', async (db, request, { clinicId }): Promise<Reply> => {
      const id = idOf(request);
      const after = afterSchema.safeParse(request.query.after ?? 0);
      if (!after.success) return { problem: NO_KEY };
      const changes = id === null ? null : await changesSince(db, clinicId, id, after.data);
      return changes ? { body: changes } : { problem: NOT_FOUND };
    }),
  );

  routes.post(
    '/:id/events',
    guarded(door, 'cases.write', async (db, request, actor): Promise<Reply> => {
      const id = idOf(request);
      const body = readBody(appendEventsSchema, request.body);
      if (!body.ok) return { problem: body.error };
      if (id === null) return { problem: NOT_FOUND };
      const appended = await append(db, actor, id, body.value);
      return appended.ok ? { body: appended.value } : { problem: problemOf(appended.error) };
    }),
  );

  routes.post(
    '/:id/forget',
    guarded(door, 'cases.forget', async (db, request, actor): Promise<Reply> => {
      const id = idOf(request);
      const body = readBody(forgetSchema, request.body);
      if (!body.ok) return { problem: body.error };
      if (id === null) return { problem: NOT_FOUND };
      const by = { ...body.value, by: actor };
      const done = await forgetCase(db, actor.clinicId, id, by);
      const record = done ? await findCase(db, actor.clinicId, id) : null;
      return record ? { body: { case: record } } : { problem: NOT_FOUND };
    }),
  );

  return routes;
}
