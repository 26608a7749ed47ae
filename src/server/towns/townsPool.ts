import { Piscina } from 'piscina';
import type { Town, TownQuery } from '../../contracts/towns.ts';

/** Finds towns, away from the thread that serves requests. */
export interface TownsPool {
  readonly find: (query: TownQuery) => Promise<readonly Town[]>;
  readonly close: () => Promise<void>;
}

/** Half an hour without a question ends the thread and frees its memory, some 90 MB; it comes back within a second. */
const IDLE_MS = 1_800_000;

/** Opens a pool of one thread that begins with the first question. `worker` is the path of the built worker. */
export function openTownsPool(worker: string): TownsPool {
  const pool = new Piscina<TownQuery, readonly Town[]>({
    filename: worker,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
  });
  return { find: (query) => pool.run(query), close: () => pool.destroy() };
}
