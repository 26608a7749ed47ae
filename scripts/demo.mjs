import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { ownSecret } from './lib/secrets.mjs';
import { startCluster } from './lib/postgres.mjs';
import { main, Stop } from './lib/run.mjs';
import { checkNode, ensureBuild, ensureModules, ensurePackages, ROOT } from './lib/setup.mjs';

const PORT = Number(process.env.PORT ?? 4310);

function refuseTakenPort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', (error) =>
      reject(
        error.code === 'EADDRINUSE'
          ? new Stop(
              `Port ${PORT} is taken, perhaps by another demo. Stop that one, or type:  PORT=${PORT + 1} npm run demo`,
            )
          : new Stop(
              `Port ${PORT} cannot be used: ${error.message}. Choose another:  PORT=4310 npm run demo`,
            ),
      ),
    );
    probe.listen(PORT, '127.0.0.1', () => probe.close(resolve));
  });
}

/** Pauses before the server is started again, in milliseconds; one that ran for a while begins anew with the first. */
const PAUSES_MS = [200, 500, 1000, 2000, 4000];
const LONG_ENOUGH_MS = 20_000;
const DATABASE_LOOK_MS = 1500;
const MAX_STOPPING_MS = 8000;

/** Keeps a server running until it is told to stop. Resolves with the exit code for this command. */
function supervise(env) {
  let server = null;
  let stopping = false;
  let failures = 0;
  const { promise, resolve } = withResolvers();
  const start = () => {
    const begun = Date.now();
    // A process group of its own: Ctrl-C reaches this script, which then ends the server and after it the database.
    server = spawn(process.execPath, ['dist/server/main.js'], {
      cwd: ROOT,
      env,
      stdio: 'inherit',
      detached: true,
    });
    server.on('exit', (code, signal) => {
      if (stopping) return resolve(0);
      failures = Date.now() - begun > LONG_ENOUGH_MS ? 0 : failures + 1;
      if (failures > PAUSES_MS.length) return resolve(1);
      const why = signal ?? `code ${code}`;
      console.error(`The server ended (${why}); it is started again.`);
      setTimeout(() => (stopping ? resolve(0) : start()), PAUSES_MS[failures - 1] ?? 0);
    });
  };
  const stop = () => {
    stopping = true;
    if (!server || server.exitCode !== null || server.signalCode !== null) return resolve(0);
    server.kill('SIGTERM');
    setTimeout(() => server.kill('SIGKILL'), MAX_STOPPING_MS).unref();
  };
  start();
  return { ended: promise, stop };
}

function withResolvers() {
  let resolve;
  const promise = new Promise((done) => (resolve = done));
  return { promise, resolve };
}

/** Brings the database back when it has died. */
function watchDatabase(cluster) {
  return setInterval(() => {
    try {
      if (cluster.ensureRunning()) console.error('The database ended; it is running again.');
    } catch (error) {
      console.error(error.message);
    }
  }, DATABASE_LOOK_MS);
}

/** Starts everything the demonstration needs, keeps it running, and stops all of it, and nothing else, on Ctrl-C. */
main(async () => {
  checkNode();
  if (!Number.isInteger(PORT) || PORT < 1 || PORT > 65535)
    throw new Stop('PORT must be a number from 1 to 65535.');
  await refuseTakenPort();
  const ownDatabase = process.env.DATABASE_URL === undefined;
  await ensurePackages({ postgres: ownDatabase, chromium: false });
  await ensureModules();
  await ensureBuild();
  const cluster = ownDatabase ? await startCluster('demo') : null;
  const env = {
    SOUNDING_TODAY: '2026-06-13',
    SOUNDING_DEMO: 'yes',
    SOUNDING_COUNTRY: 'us',
    SESSION_SECRETS: ownSecret('session'),
    ...process.env,
    DATABASE_URL: cluster?.url ?? process.env.DATABASE_URL,
    ...(cluster ? { MIGRATE_URL: cluster.ownerUrl } : {}),
    PORT: String(PORT),
  };
  const watch = cluster && watchDatabase(cluster);
  const server = supervise(env);
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, server.stop);
  process.exitCode = await server.ended;
  clearInterval(watch);
  cluster?.stop();
  console.log('Stopped.');
});
