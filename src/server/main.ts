import { createServer } from 'node:http';
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { forgetDue } from './cases/forget.ts';
import { makeClock, openClinicContext, type ClinicSettings } from './office/clinicContext.ts';
import { readConfig, type Config } from './config.ts';
import { openConsultPool, type ConsultPool } from './consult/consultPool.ts';
import { seedContacts } from './demo/contacts.ts';
import { seedPeople } from './demo/people.ts';
import { makeLink } from './access/oneTimeLinks.ts';
import { hasCoordinator } from './people/accounts.ts';
import { seedDemo } from './demo/seed.ts';
import { seedWeather } from './demo/weather.ts';
import { grantTo, isOwn, roleOf } from './db/grants.ts';
import { connect, type Connection } from './db/connect.ts';
import { readingFrom } from './db/reader.ts';
import { errorCode, isTransient, summarizeError } from './db/errors.ts';
import { isFromNewerVersion } from './db/schemaVersion.ts';
import { DatabaseFeed } from './live/feed.ts';
import type { Library } from '../core/schema/library.ts';
import { issueLine } from '../wording/libraryFaults.ts';
import { readCheckedLibrary } from './knowledge/loadLibrary.ts';
import { openTownsPool } from './towns/townsPool.ts';

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

/** What the start found. */
interface Prepared {
  /** Secret of the link that makes the first coordinator; null where there is one. */
  readonly link: string | null;
}

const clinicSettings = (config: Config): ClinicSettings => ({
  pinnedDay: config.SOUNDING_TODAY,
  country: config.SOUNDING_COUNTRY,
  state: config.SOUNDING_STATE,
});

/** Brings the tables to this version by who owns them; false when a newer version has been at them. */
async function bringUp({ DATABASE_URL }: Config, owner: Connection): Promise<boolean> {
  if (await isFromNewerVersion(owner.db, MIGRATIONS)) return false;
  await owner.migrate(MIGRATIONS);
  const role = roleOf(DATABASE_URL);
  if (!(await isOwn(owner.db, role))) await grantTo(owner.db, role);
  return true;
}

/** What the demonstration is made with. */
interface Makings {
  readonly library: Library;
  readonly consult: ConsultPool['consult'];
}

/** Brings the database to this version and opens the clinic; null when a newer version has been at it. */
async function prepare(
  { db }: Connection,
  owner: Connection,
  config: Config,
  { library, consult }: Makings,
): Promise<Prepared | null> {
  // By the owner's address: a pool in between would keep the lock of one session for another.
  return owner.withStartupLock(async () => {
    if (!(await bringUp(config, owner))) return null;
    const office = await openClinicContext(db, clinicSettings(config));
    if (config.SOUNDING_DEMO === 'yes') {
      await seedPeople(db, office.id);
      await seedContacts(db, office.id);
      await seedDemo(db, office, consult);
      await seedWeather(db, office, library.places);
      return { link: null };
    }
    if (await hasCoordinator(db)) return { link: null };
    const link = await db.transaction((tx) =>
      makeLink(tx, { purpose: 'first-coordinator', personId: null }, new Date()),
    );
    return { link: link.token };
  });
}

/** Prepares as soon as the database answers; ends the process when it does not within half a minute. */
async function prepareWhenUp(
  connection: Connection,
  settings: Config,
  makings: Makings,
): Promise<Prepared> {
  for (const begun = Date.now(); ;) {
    const owner = settings.MIGRATE_URL === undefined ? connection : connect(settings.MIGRATE_URL);
    try {
      const prepared = await prepare(connection, owner, settings, makings);
      if (prepared) return prepared;
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
    } finally {
      if (owner !== connection) await owner.close();
    }
  }
}

/** A count of proxies as a number, addresses as they are. */
const proxiesOf = (text: string): number | string | false =>
  text === '0' ? false : /^\d+$/.test(text) ? Number(text) : text;

const config = readConfig(process.env);
if (!config.ok) stop(config.error);
const { DATABASE_URL, REPLICA_URL, LISTEN_URL, HOST, PORT, CONSULT_SECONDS, TRUST_PROXY } =
  config.value;

const library = readCheckedLibrary(resolve('knowledge'));
if (!library.ok) stop(library.error.map(issueLine).join('\n'));

const connection = connect(DATABASE_URL, (error) => log.warn({ error }, 'connection lost'));
const replica =
  REPLICA_URL === undefined
    ? null
    : connect(REPLICA_URL, (error) => log.warn({ error }, 'connection to the replica lost'));
const feed = new DatabaseFeed(LISTEN_URL ?? DATABASE_URL, (error) =>
  log.warn({ error }, 'changes are not heard'),
);
const pool = openConsultPool({
  worker: resolve('dist/server/consultWorker.js'),
  library: library.value,
  // One core stays for the requests.
  threads: Math.max(1, availableParallelism() - 1),
  limitMs: CONSULT_SECONDS * 1000,
  maxWaiting: 100,
});
const towns = openTownsPool(resolve('dist/server/townsWorker.js'));
const { link } = await prepareWhenUp(connection, config.value, {
  library: library.value,
  consult: pool.consult,
});
const server = createServer(
  createApp({
    connection,
    reading: readingFrom(connection, replica),
    feed,
    settings: clinicSettings(config.value),
    sessions: { secrets: config.value.SESSION_SECRETS, prunes: true },
    demo: config.value.SOUNDING_DEMO === 'yes',
    hosts: config.value.SOUNDING_HOSTS,
    proxies: proxiesOf(TRUST_PROXY),
    library: library.value,
    consult: pool.consult,
    findTowns: towns.find,
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
server.listen(PORT, HOST, () => {
  const address = `http://${HOST}:${PORT}`;
  console.log(`Sounding is ready at ${address}`);
  if (link !== null)
    console.log(
      `Nobody can sign in yet. Make the first coordinator, within a day, at ${address}/join#${link}`,
    );
});

for (const kind of ['uncaughtException', 'unhandledRejection'] as const)
  process.on(kind, (error: unknown) => {
    log.fatal({ error: summarizeError(error) }, kind);
    process.exit(1);
  });

/** Looks each hour whether names have been kept for as long as a clinic keeps them; the next look tries again. */
const HOUR_MS = 3_600_000;
const forgetting = (): void =>
  void forgetDue(connection.db, makeClock(config.value.SOUNDING_TODAY, 0)()).catch(
    (error: unknown) => log.error({ error: summarizeError(error) }, 'names were not taken out'),
  );
forgetting();
setInterval(forgetting, HOUR_MS).unref();

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    setTimeout(() => process.exit(0), MAX_STOP_MS).unref();
    // Its streams would keep the server open.
    void feed.close();
    server.closeIdleConnections();
    server.close(() => {
      void Promise.allSettled([
        pool.close(),
        towns.close(),
        connection.close(),
        replica?.close(),
      ]).then(() => process.exit(0));
    });
  });
}
