import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import * as schema from './schema.ts';

export type Database = NodePgDatabase<typeof schema>;

/** A transaction, or the database itself. */
export type Queries = Pick<Database, 'select' | 'insert' | 'update' | 'delete'>;

/** An open pool with its typed queries. */
export interface Connection {
  readonly db: Database;
  readonly close: () => Promise<void>;
  /** Runs work while no other server of this database does: servers may start at the same moment. */
  readonly alone: <T>(work: () => Promise<T>) => Promise<T>;
}

/** Any number that no one else locks on. */
const START_LOCK = 4_310_613;

/** Opens a pool on a PostgreSQL address; the connection is made at the first query. */
export function connect(databaseUrl: string): Connection {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 10 });
  return {
    db: drizzle(pool, { schema }),
    close: () => pool.end(),
    alone: async (work) => {
      const client = await pool.connect();
      try {
        await client.query('select pg_advisory_lock($1)', [START_LOCK]);
        return await work();
      } finally {
        await client.query('select pg_advisory_unlock($1)', [START_LOCK]);
        client.release();
      }
    },
  };
}

/** Brings the database to the newest schema; does nothing when it is there already. */
export async function migrateDatabase(db: Database, folder: string): Promise<void> {
  await migrate(db, { migrationsFolder: folder });
}
