import { numberOption } from './lib/options.mjs';
import { freePort, startCluster } from './lib/postgres.mjs';
import { main } from './lib/run.mjs';
import { loadProgram } from './lib/server.mjs';
import {
  checkNode,
  chromiumPath,
  ensureBuild,
  ensureModules,
  ensurePackages,
  ROOT,
} from './lib/setup.mjs';

/** Kills server, database and connections under several advisors, on a database and ports of its own. `--rounds N`, `--seed N`. */
main(async () => {
  const rounds = numberOption('rounds', { least: 1, most: 1000, otherwise: 6 });
  const seed = numberOption('seed', { least: 0, most: 2_147_000_000, otherwise: 20_260_613 });
  checkNode();
  await ensurePackages({ postgres: true, chromium: true });
  await ensureModules();
  await ensureBuild();
  const { runChaos } = await loadProgram('src/cli/chaos/runChaos.ts', 'chaos');
  const cluster = await startCluster('chaos', { fast: true, fresh: true });
  try {
    const port = await freePort();
    const good = await runChaos({
      cluster,
      rounds,
      seed,
      port,
      root: ROOT,
      chromium: chromiumPath(),
    });
    if (!good) process.exitCode = 1;
  } finally {
    cluster.stop('immediate');
  }
});
