import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
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

/** Starts everything the demonstration needs, and stops all of it, and nothing else, on Ctrl-C. */
main(async () => {
  checkNode();
  if (!Number.isInteger(PORT) || PORT < 1 || PORT > 65535)
    throw new Stop('PORT must be a number from 1 to 65535.');
  await refuseTakenPort();
  const ownDatabase = process.env.DATABASE_URL === undefined;
  await ensurePackages({ postgres: ownDatabase, chromium: false });
  await ensureModules();
  await ensureBuild();
  const cluster = ownDatabase
    ? await startCluster('demo')
    : { url: process.env.DATABASE_URL, stop: () => {} };
  const env = {
    SOUNDING_TODAY: '2026-06-13',
    SOUNDING_DEMO: 'yes',
    ...process.env,
    DATABASE_URL: cluster.url,
    PORT: String(PORT),
  };
  // A process group of its own: Ctrl-C reaches this script, which then ends the server and after it the database.
  const server = spawn(process.execPath, ['dist/server/main.js'], {
    cwd: ROOT,
    env,
    stdio: 'inherit',
    detached: true,
  });
  const ended = new Promise((resolve) => server.on('exit', resolve));
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => server.kill('SIGTERM'));
  const code = await ended;
  cluster.stop();
  console.log('Stopped.');
  process.exitCode = code ?? 0;
});
