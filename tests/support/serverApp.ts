import { resolve } from 'node:path';
import { pino } from 'pino';
import { createApp } from '../../src/server/app.ts';
import { openOffice } from '../../src/server/clinic/office.ts';
import { connect, migrateDatabase } from '../../src/server/db/connect.ts';
import { readCheckedLibrary } from '../../src/server/knowledge/loadLibrary.ts';

const url = process.env.DATABASE_URL;
const read = readCheckedLibrary(resolve('knowledge'));
if (url === undefined || !read.ok)
  throw new Error('Start these tests with npm test, which brings a database.');
const databaseUrl = url;

/** The library of the server's tests. */
export const library = read.value;

/** A server of its own on the tests' database, on a day. */
export async function openServer(today: string) {
  const { db, close, alone } = connect(databaseUrl);
  const office = await alone(async () => {
    await migrateDatabase(db, resolve('src/server/db/migrations'));
    return openOffice(db, today);
  });
  const log = pino({ level: 'silent' });
  return { db, office, close, app: createApp({ db, office, library, log, webFolder: null }) };
}
