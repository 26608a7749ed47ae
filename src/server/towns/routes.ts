import { Router } from 'express';
import { townQuerySchema } from '../../contracts/towns.ts';
import { guarded, type Door } from '../access/guard.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';
import type { TownsPool } from './townsPool.ts';

/** Routes below `/api/towns`. */
export function townRoutes(door: Door, find: TownsPool['find']): Router {
  const routes = Router();
  routes.get(
    '/',
    guarded(door, 'clinic.read', async (_db, request): Promise<Reply> => {
      const query = readBody(townQuerySchema, request.query);
      return query.ok ? { body: { towns: await find(query.value) } } : { problem: query.error };
    }),
  );
  return routes;
}
