import { createServer } from 'node:http';
import { resolve } from 'node:path';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { openOffice } from './clinic/office.ts';
import { readConfig } from './config.ts';
import { seedDemo } from './demo/seed.ts';
import { seedWeather } from './demo/weather.ts';
import { connect, migrateDatabase } from './db/connect.ts';
import { issueLine, readCheckedLibrary } from './knowledge/loadLibrary.ts';

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });

/** Ends with a message that names the cure. */
function stop(message: string): never {
  console.error(message);
  process.exit(1);
}

const config = readConfig(process.env);
if (!config.ok) stop(config.error);
const { DATABASE_URL, HOST, PORT, SOUNDING_TODAY, SOUNDING_DEMO } = config.value;

const library = readCheckedLibrary(resolve('knowledge'));
if (!library.ok) stop(library.error.map(issueLine).join('\n'));

const { db, close, alone } = connect(DATABASE_URL);
try {
  await alone(() => migrateDatabase(db, resolve('src/server/db/migrations')));
} catch (error) {
  stop(
    `The database cannot be used: ${error instanceof Error ? error.message : String(error)}. Check DATABASE_URL.`,
  );
}
const office = await alone(async () => {
  const opened = await openOffice(db, SOUNDING_TODAY);
  if (SOUNDING_DEMO === 'yes') {
    await seedDemo(db, opened);
    await seedWeather(db, opened, library.value.places);
  }
  return opened;
});
const webFolder = resolve('dist/web');
const server = createServer(createApp({ db, office, library: library.value, log, webFolder }));

server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    stop(`Port ${PORT} is taken. Set another one: PORT=${PORT + 1} npm run demo`);
  stop(`The server cannot listen: ${error.message}`);
});
server.listen(PORT, HOST, () => console.log(`Sounding is ready at http://${HOST}:${PORT}`));

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    server.closeAllConnections();
    server.close(() => void close().then(() => process.exit(0)));
  });
}
