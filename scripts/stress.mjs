import { randomBytes } from 'node:crypto';
import { numberOption } from './lib/options.mjs';
import { startCluster } from './lib/postgres.mjs';
import { main } from './lib/run.mjs';
import { loadProgram, startServer } from './lib/server.mjs';
import { checkNode, ensureBuild, ensureModules, ensurePackages } from './lib/setup.mjs';

/** Sends hostile requests to a server and a database of its own. `--requests N`, `--seed N`. */
main(async () => {
  const requests = numberOption('requests', { least: 1, most: 200_000, otherwise: 30_000 });
  const seed = numberOption('seed', { least: 0, most: 2_147_483_647, otherwise: 20_260_613 });
  checkNode();
  await ensurePackages({ postgres: true, chromium: false });
  await ensureModules();
  await ensureBuild();
  const { runStress } = await loadProgram('src/cli/stress/runStress.ts', 'stress');
  const cluster = await startCluster('stress', { fast: true, fresh: true });
  try {
    const { port, child } = await startServer({
      DATABASE_URL: cluster.url,
      MIGRATE_URL: cluster.ownerUrl,
      LOG_LEVEL: 'error',
      SOUNDING_DEMO: 'yes',
      SESSION_SECRETS: randomBytes(32).toString('hex'),
    });
    try {
      if (!(await runStress({ port, requests, seed }))) process.exitCode = 1;
    } finally {
      child.kill('SIGTERM');
    }
  } finally {
    cluster.stop();
  }
});
