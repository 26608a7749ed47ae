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
}

/** Opens a pool on a PostgreSQL address; the connection is made at the first query. */
export function connect(databaseUrl: string): Connection {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 10 });
  return { db: drizzle(pool, { schema }), close: () => pool.end() };
}

/** Brings the database to the newest schema; does nothing when it is there already. */
export async function migrateDatabase(db: Database, folder: string): Promise<void> {
  await migrate(db, { migrationsFolder: folder });
}
