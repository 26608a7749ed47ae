import { resolve } from 'node:path';
import pg from 'pg';
import { pino } from 'pino';
import { createApp } from '../server/app.ts';
import { openClinicContext } from '../server/clinic/clinicContext.ts';
import type { ConsultPool } from '../server/consult/consultPool.ts';
import { connect } from '../server/db/connect.ts';
import { answerConsult } from '../application/answerConsult.ts';
import { newId } from '../contracts/ids.ts';
import { createConsultant } from '../core/consult/consult.ts';
import { compileLibrary } from '../core/library/compile.ts';
import { readCheckedLibrary } from '../server/knowledge/loadLibrary.ts';

const url = process.env.DATABASE_URL;
const read = readCheckedLibrary(resolve('knowledge'));
if (url === undefined || !read.ok)
  throw new Error('Start these tests with npm test, which brings a database.');

/** Address of the tests' database. */
export const databaseUrl = url;

/** A database of a test's own beside the others' one, which it may take apart. */
export async function openOwnDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const name = `own_${newId().replaceAll('-', '')}`;
  const admin = async (statement: string): Promise<void> => {
    const client = new pg.Client({ connectionString: databaseUrl });
    await client.connect();
    await client.query(statement);
    await client.end();
  };
  await admin(`create database ${name}`);
  const address = new URL(databaseUrl);
  address.pathname = `/${name}`;
  return { url: address.href, drop: () => admin(`drop database ${name} with (force)`) };
}

/** The library of the server's tests. */
export const library = read.value;

let consult: ConsultPool['consult'] | null = null;

/** Consults in this thread; the threads of the real server are tested by themselves. */
function consultHere(): ConsultPool['consult'] {
  if (consult) return consult;
  const compiled = compileLibrary(library);
  const consultant = createConsultant(compiled);
  return (consult = (body) => Promise.resolve(answerConsult(compiled, consultant, body)));
}

/** A server of its own on a database, on a day; `log` receives the lines of its log. */
export async function openServer(
  today: string,
  {
    address = databaseUrl,
    log = () => undefined,
  }: { address?: string; log?: (line: string) => void } = {},
) {
  const connection = connect(address);
  const { db, close, withStartupLock, migrate } = connection;
  const office = await withStartupLock(async () => {
    await migrate(resolve('src/server/db/migrations'));
    return openClinicContext(db, today);
  });
  const app = createApp({
    connection,
    office,
    library,
    consult: consultHere(),
    log: pino({ level: 'warn' }, { write: log }),
    webFolder: null,
  });
  return { connection, db, office, close, app };
}
