import { createServer } from 'node:http';
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { openClinicContext, type ClinicContext } from './clinic/clinicContext.ts';
import { readConfig, type Config } from './config.ts';
import { openConsultPool } from './consult/consultPool.ts';
import { seedDemo } from './demo/seed.ts';
import { seedWeather } from './demo/weather.ts';
import { connect, type Connection } from './db/connect.ts';
import { errorCode, isTransient, summarizeError } from './db/errors.ts';
import { isFromNewerVersion } from './db/schemaVersion.ts';
import type { Library } from '../core/schema/library.ts';
import { issueLine } from '../wording/libraryFaults.ts';
import { readCheckedLibrary } from './knowledge/loadLibrary.ts';

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
const MIGRATIONS = resolve('src/server/db/migrations');
/** How long the start waits for a database that does not answer. */
const MAX_START_MS = 30_000;
const START_PAUSE_MS = 500;
/** How long requests under way may take to end when the server stops. */
const MAX_STOP_MS = 5000;

/** Ends with a message that names the cure. */
function stop(message: string): never {
  console.error(message);
  process.exit(1);
}

/** Brings the database to this version and opens the clinic; null when a newer version has been at it. */
async function prepare(
  { db, withStartupLock, migrate }: Connection,
  { SOUNDING_TODAY, SOUNDING_DEMO, SOUNDING_COUNTRY }: Config,
  library: Library,
): Promise<ClinicContext | null> {
  return withStartupLock(async () => {
    if (await isFromNewerVersion(db, MIGRATIONS)) return null;
    await migrate(MIGRATIONS);
    const office = await openClinicContext(db, SOUNDING_TODAY, SOUNDING_COUNTRY);
    if (SOUNDING_DEMO === 'yes') {
      await seedDemo(db, office);
      await seedWeather(db, office, library.places);
    }
    return office;
  });
}

/** Prepares as soon as the database answers; ends the process when it does not within half a minute. */
async function prepareWhenUp(
  connection: Connection,
  settings: Config,
  library: Library,
): Promise<ClinicContext> {
  for (const begun = Date.now(); ;) {
    try {
      const office = await prepare(connection, settings, library);
      if (office) return office;
      stop(
        'A newer version of Sounding has used this database. Start that version, or set DATABASE_URL to another database.',
      );
    } catch (error) {
      const why = errorCode(error) ?? (error instanceof Error ? error.message : String(error));
      if (!isTransient(error) || Date.now() - begun > MAX_START_MS)
        stop(
          `The database cannot be used (${why}). Check that it runs and that DATABASE_URL names it.`,
        );
      await new Promise((wait) => setTimeout(wait, START_PAUSE_MS));
    }
  }
}

const config = readConfig(process.env);
if (!config.ok) stop(config.error);
const { DATABASE_URL, HOST, PORT, CONSULT_SECONDS } = config.value;

const library = readCheckedLibrary(resolve('knowledge'));
if (!library.ok) stop(library.error.map(issueLine).join('\n'));

const connection = connect(DATABASE_URL, (error) => log.warn({ error }, 'connection lost'));
const office = await prepareWhenUp(connection, config.value, library.value);
const pool = openConsultPool({
  worker: resolve('dist/server/consultWorker.js'),
  library: library.value,
  // One core stays for the requests.
  threads: Math.max(1, availableParallelism() - 1),
  limitMs: CONSULT_SECONDS * 1000,
  maxWaiting: 100,
});
const server = createServer(
  createApp({
    connection,
    office,
    library: library.value,
    consult: pool.consult,
    log,
    webFolder: resolve('dist/web'),
  }),
);
server.requestTimeout = 30_000;

server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    stop(`Port ${PORT} is taken. Set another one: PORT=${PORT + 1} npm run demo`);
  stop(`The server cannot listen: ${error.message}`);
});
server.listen(PORT, HOST, () => console.log(`Sounding is ready at http://${HOST}:${PORT}`));

for (const kind of ['uncaughtException', 'unhandledRejection'] as const)
  process.on(kind, (error: unknown) => {
    log.fatal({ error: summarizeError(error) }, kind);
    process.exit(1);
  });

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    setTimeout(() => process.exit(0), MAX_STOP_MS).unref();
    server.closeIdleConnections();
    server.close(() => {
      void Promise.allSettled([pool.close(), connection.close()]).then(() => process.exit(0));
    });
  });
}
