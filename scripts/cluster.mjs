import { numberOption } from './lib/options.mjs';
import { freePort, startBouncer, startCluster, startReplica } from './lib/postgres.mjs';
import { main } from './lib/run.mjs';
import { loadProgram, startServer } from './lib/server.mjs';
import { checkNode, ensureBuild, ensureModules, ensurePackages } from './lib/setup.mjs';

/**
 * Three servers on one database, through pgbouncer and with a replica, under load while one after the other is killed.
 * `--seconds N`, `--advisors N`.
 */
main(async () => {
  const seconds = numberOption('seconds', { least: 5, most: 3600, otherwise: 30 });
  const advisors = numberOption('advisors', { least: 1, most: 200, otherwise: 8 });
  checkNode();
  await ensurePackages({ postgres: true, pool: true });
  await ensureModules();
  await ensureBuild();
  const { runCluster } = await loadProgram('src/cli/cluster/runCluster.ts', 'cluster');
  const cluster = await startCluster('cluster', { fast: true, fresh: true });
  const stops = [() => cluster.stop('immediate')];
  try {
    const bouncer = await startBouncer(cluster);
    stops.unshift(bouncer.stop);
    const env = {
      DATABASE_URL: bouncer.url,
      MIGRATE_URL: cluster.ownerUrl,
      // A pool between transactions passes on no notification.
      LISTEN_URL: cluster.url,
      SOUNDING_TODAY: '2026-06-13',
      SOUNDING_DEMO: 'yes',
      SESSION_SECRETS: 'known to these servers alone and on this machine alone',
      CONSULT_SECONDS: '20',
    };
    const servers = [];
    for (let i = 0; i < 3; i++) {
      const port = await freePort();
      let running = await startServer(env, port);
      if (i === 0) {
        // With the tables of the first start in it, the replica serves at once.
        const replica = await startReplica(cluster);
        stops.unshift(replica.stop);
        env.REPLICA_URL = replica.url;
        running.child.kill();
        await new Promise((wait) => running.child.on('exit', wait));
        running = await startServer(env, port);
      }
      stops.unshift(() => running.child.kill('SIGKILL'));
      servers.push({
        port,
        kill: () => running.child.kill('SIGKILL'),
        start: async () => {
          running = await startServer(env, port);
        },
      });
    }
    if (!(await runCluster({ servers, advisors, seconds }))) process.exitCode = 1;
  } finally {
    for (const stop of stops) stop();
  }
});
