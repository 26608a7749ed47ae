import type { Connection } from './connect.ts';
import { errorCode, isTransient } from './errors.ts';

/** The replica is given so many tries, so far apart, to catch up; after that the primary is read. */
const TRIES = 6;
const PAUSE_MS = 8;

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** The place in its log up to which the primary has written; null where it does not say. */
async function writtenUpTo({ query }: Connection): Promise<string | null> {
  const { rows } = await query<{ lsn: string }>('select pg_current_wal_lsn()::text as lsn');
  return rows[0]?.lsn ?? null;
}

/** Whether the replica has taken in everything up to a place in the log of the primary. */
async function hasReplayed({ query }: Connection, lsn: string): Promise<boolean> {
  const { rows } = await query<{ done: boolean }>(
    'select coalesce(pg_last_wal_replay_lsn() >= $1::pg_lsn, false) as done',
    [lsn],
  );
  return rows[0]?.done === true;
}

async function catchesUp(replica: Connection, lsn: string): Promise<boolean> {
  for (let i = 0; i < TRIES; i++) {
    if (await hasReplayed(replica, lsn)) return true;
    await pause(PAUSE_MS);
  }
  return false;
}

/**
 * Reads on a replica, and never what is older than what was written before the question: where the replica lags behind that,
 * or does not answer, the primary is read. Null for the replica reads the primary.
 */
export function readingFrom(primary: Connection, replica: Connection | null): Connection {
  if (replica === null) return primary;
  return {
    ...primary,
    run: async (work) => {
      try {
        const lsn = await writtenUpTo(primary);
        if (lsn !== null && (await catchesUp(replica, lsn))) return await work(replica.db);
      } catch (error) {
        // What the work itself refuses is no matter of the replica.
        if (errorCode(error) === null && !isTransient(error)) throw error;
      }
      return primary.run(work);
    },
  };
}
