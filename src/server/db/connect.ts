import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { isTransient, summarizeError, type ErrorSummary } from './errors.ts';
import * as schema from './schema.ts';

type Drizzle = NodePgDatabase<typeof schema>;

/** A transaction, or the database itself. */
export type Queries = Pick<Drizzle, 'select' | 'insert' | 'update' | 'delete' | 'execute'>;

/** How a transaction sees the data; left out, each statement sees what was committed before it. */
export type TransactionMode = 'isolation level repeatable read read only';

/** Runs work in a transaction: all of it is kept, or nothing when it throws. */
export type Transact = <T>(work: (tx: Queries) => Promise<T>, mode?: TransactionMode) => Promise<T>;

export type Database = Omit<Drizzle, 'transaction'> & { readonly transaction: Transact };

/** An open pool with its typed queries. */
export interface Connection {
  readonly db: Database;
  /** Brings the database to the newest schema of a folder of migrations; does nothing when it is there already. */
  readonly migrate: (folder: string) => Promise<void>;
  readonly close: () => Promise<void>;
  /** Runs work while no other server of this database does: servers may start at the same moment. */
  readonly withStartupLock: <T>(work: () => Promise<T>) => Promise<T>;
  /**
   * Runs work again when the database was lost on the way, some times within about two seconds. The work must be
   * repeatable: after a lost answer it may have been done already.
   */
  readonly run: <T>(work: (db: Database) => Promise<T>) => Promise<T>;
  /** One statement of a package that writes its own SQL, run again as `run` does it. */
  readonly query: <Row extends pg.QueryResultRow>(
    text: string,
    values?: readonly unknown[],
  ) => Promise<pg.QueryResult<Row>>;
  /** Whether the database answers within a second. */
  readonly isUp: () => Promise<boolean>;
}

/** Any number that no one else locks on. */
const START_LOCK = 4_310_613;

/** A database that does not answer must not hold a request: the waiting times, in milliseconds. */
const CONNECT_MS = 1500;
const STATEMENT_MS = 8000;
const LOST_TRANSACTION_MS = 10_000;
const PING_MS = 1000;
const MAX_LOCK_MS = 60_000;
const LOCK_PAUSE_MS = 200;
const RETRY_AFTER_MS = [50, 200, 600] as const;
/** Work that has taken so long is not begun again. */
const MAX_RETRYING_MS = 1500;

const sleep = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Runs work again after errors that pass. */
export async function retrying<T>(work: () => Promise<T>): Promise<T> {
  const begun = Date.now();
  for (const pause of RETRY_AFTER_MS) {
    try {
      return await work();
    } catch (error) {
      if (!isTransient(error) || Date.now() - begun > MAX_RETRYING_MS) throw error;
      await sleep(pause);
    }
  }
  return work();
}

function openPool(
  databaseUrl: string,
  onLost: (error: ErrorSummary) => void,
  statementMs: number,
): pg.Pool {
  const pool = new pg.Pool({
    connectionString: databaseUrl,
    max: 10,
    connectionTimeoutMillis: CONNECT_MS,
    statement_timeout: statementMs,
    query_timeout: statementMs + 1000,
    idle_in_transaction_session_timeout: LOST_TRANSACTION_MS,
    keepAlive: true,
  });
  const lost = (error: unknown): void => onLost(summarizeError(error));
  // Without listeners a lost connection would end the process; the pool makes a new one for the next query.
  pool.on('error', lost);
  pool.on('connect', (client) => {
    client.on('error', lost);
  });
  return pool;
}

/** Asks again instead of waiting in one statement: another server may migrate for longer than a statement may take. */
async function takeStartLock(client: pg.PoolClient): Promise<void> {
  const begun = Date.now();
  while (Date.now() - begun < MAX_LOCK_MS) {
    const { rows } = await client.query<{ locked: boolean }>(
      'select pg_try_advisory_lock($1) as locked',
      [START_LOCK],
    );
    if (rows[0]?.locked === true) return;
    await sleep(LOCK_PAUSE_MS);
  }
  throw new Error('another server has been starting on this database for a minute');
}

/**
 * Transactions on connections of a pool. Each connection goes back however its transaction ends, also when it broke before
 * the first statement; a broken one is thrown away.
 */
function transactOn(pool: pg.Pool): Transact {
  return async (work, mode) => {
    const client = await pool.connect();
    let broken = true;
    try {
      await client.query(mode === undefined ? 'begin' : `begin ${mode}`);
      const result = await work(drizzle(client, { schema }));
      await client.query('commit');
      broken = false;
      return result;
    } catch (error) {
      broken = await client.query('rollback').then(
        () => false,
        () => true,
      );
      throw error;
    } finally {
      client.release(broken);
    }
  };
}

/**
 * Opens a pool on a PostgreSQL address; the connection is made at the first query. `onLost` is called for each connection
 * that breaks. A statement that takes longer than `statementMs` is given up.
 */
export function connect(
  databaseUrl: string,
  onLost: (error: ErrorSummary) => void = () => undefined,
  { statementMs = STATEMENT_MS }: { readonly statementMs?: number } = {},
): Connection {
  const pool = openPool(databaseUrl, onLost, statementMs);
  const db: Database = Object.assign(drizzle(pool, { schema }), { transaction: transactOn(pool) });
  return {
    db,
    migrate: async (folder) => {
      const client = await pool.connect();
      try {
        await migrate(drizzle(client), { migrationsFolder: folder });
      } finally {
        client.release(true);
      }
    },
    close: () => pool.end(),
    run: (work) => retrying(() => work(db)),
    query: <Row extends pg.QueryResultRow>(text: string, values: readonly unknown[] = []) =>
      retrying(() => pool.query<Row>(text, [...values])),
    isUp: () =>
      new Promise((answer) => {
        const timer = setTimeout(() => answer(false), PING_MS);
        const done = (up: boolean) => (): void => {
          clearTimeout(timer);
          answer(up);
        };
        pool.query('select 1').then(done(true), done(false));
      }),
    withStartupLock: async (work) => {
      const client = await pool.connect();
      try {
        await takeStartLock(client);
        return await work();
      } finally {
        // The lock ends with this connection.
        client.release(true);
      }
    },
  };
}
