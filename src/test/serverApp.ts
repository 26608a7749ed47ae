import { resolve } from 'node:path';
import pg from 'pg';
import { pino } from 'pino';
import request from 'supertest';
import { createApp } from '../server/app.ts';
import { openClinicContext } from '../server/office/clinicContext.ts';
import type { ConsultPool } from '../server/consult/consultPool.ts';
import { connect } from '../server/db/connect.ts';
import { DatabaseFeed } from '../server/live/feed.ts';
import { people } from '../server/db/schema.ts';
import { answerConsult } from '../application/answerConsult.ts';
import type { Role } from '../contracts/access.ts';
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
export function consultHere(): ConsultPool['consult'] {
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
    hosts = [],
    proxies = false,
  }: {
    address?: string;
    log?: (line: string) => void;
    hosts?: readonly string[];
    proxies?: number | false;
  } = {},
) {
  const connection = connect(address);
  const { db, withStartupLock, migrate } = connection;
  const feed = new DatabaseFeed(address);
  const settings = { pinnedDay: today };
  const office = await withStartupLock(async () => {
    await migrate(resolve('src/server/db/migrations'));
    return openClinicContext(db, settings);
  });
  const app = createApp({
    connection,
    reading: connection,
    feed,
    settings,
    sessions: { secrets: ['a secret of the tests alone and long enough'], prunes: false },
    demo: true,
    hosts,
    proxies,
    library,
    consult: consultHere(),
    findTowns: ({ words, lat, lon }) =>
      Promise.resolve([{ name: words, country: 'us', state: null, lat, lon }]),
    log: pino({ level: 'warn' }, { write: log }),
    webFolder: null,
  });
  /** A browser page of ours in which nobody is signed in. */
  const stranger = () => request.agent(app).set('sec-fetch-site', 'same-origin');
  /** A client of somebody of that role at a clinic, who is signed in; the clinic of the server when none is named. */
  const as = async (role: Role, clinicId = office.id) => {
    const personId = newId();
    const name = `Some ${role}`;
    const email = `${personId}@clinic.example`;
    await db.insert(people).values({ id: personId, clinicId, name, email, role, demo: true });
    const client = stranger();
    await client.post('/api/session/demo').send({ personId }).expect(200);
    return client;
  };
  const close = async (): Promise<void> => {
    await feed.close();
    await connection.close();
  };
  return { connection, feed, db, office, close, app, as, stranger };
}
