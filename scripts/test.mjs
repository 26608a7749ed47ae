import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { startCluster } from './lib/postgres.mjs';
import { loud, main } from './lib/run.mjs';
import { checkNode, chromiumPath, ensureModules, ensurePackages, ROOT } from './lib/setup.mjs';

/** Runs a command and keeps what it prints, so that several can run at once. */
function quietly(title, command, args) {
  return new Promise((resolve) => {
    const started = Date.now();
    const child = spawn(command, args, { cwd: ROOT });
    let printed = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (data) => (printed += String(data)));
    child.on('error', (error) => resolve({ title, failed: true, printed: error.message }));
    child.on('close', (code) => {
      const seconds = ((Date.now() - started) / 1000).toFixed(0);
      resolve({ title: `${title} (${seconds} s)`, failed: code !== 0, printed });
    });
  });
}

/** Prints each check as a whole, and throws when one has failed. */
function report(done) {
  for (const { title, printed } of done) console.log(`\n== ${title}\n${printed.trimEnd()}`);
  const failed = done.filter((one) => one.failed).map(({ title }) => title);
  if (failed.length > 0) throw new Error(`Failed: ${failed.join(', ')}`);
}

/** Runs checks side by side. */
const together = async (checks) =>
  report(await Promise.all(checks.map((check) => quietly(...check))));

/** Everything that must hold before a change is kept. `npm test -- --quick` leaves out the browser. */
main(async () => {
  checkNode();
  const quick = process.argv.includes('--quick');
  await ensurePackages({ postgres: true, chromium: !quick });
  await ensureModules();
  const bin = (name) => join(ROOT, 'node_modules/.bin', name);
  const step = async (title, command, args, env = {}) => {
    console.log(`\n== ${title}`);
    const started = Date.now();
    await loud(command, args, { cwd: ROOT, env: { ...process.env, ...env } });
    console.log(`(${title}: ${((Date.now() - started) / 1000).toFixed(0)} s)`);
  };
  // The longest on one core: the tests begin beside it, so that no core waits.
  const lint = quietly('types and lint', process.execPath, ['scripts/lint/typesAndLint.mjs']);
  await together([
    ['formatting', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
    ['knowledge', bin('tsx'), ['src/cli/checkKnowledge.ts']],
    ['dependencies', process.execPath, ['scripts/checkDependencies.mjs']],
    ['build', process.execPath, ['scripts/build.mjs']],
  ]);
  const cluster = await startCluster('test', { fast: true, fresh: true });
  // Tests make databases of their own; the browser's tests run by the roles that a server has.
  const env = { DATABASE_URL: cluster.keeperUrl };
  const serverEnv = { DATABASE_URL: cluster.url, MIGRATE_URL: cluster.ownerUrl };
  try {
    const jest = [
      '--experimental-vm-modules',
      '--no-warnings=ExperimentalWarning',
      'node_modules/jest/bin/jest.js',
    ];
    try {
      await step('unit and reference tests', process.execPath, jest, env);
    } finally {
      report([await lint]);
    }
    if (!quick) {
      // Chaos mostly waits, for a database of its own that it keeps ending.
      const chaos = quietly('chaos', process.execPath, ['scripts/chaos.mjs', '--rounds', '1']);
      try {
        const browser = { ...serverEnv, CHROMIUM: chromiumPath() };
        await step('end-to-end tests', bin('playwright'), ['test'], browser);
      } finally {
        report([await chaos]);
      }
    }
  } finally {
    cluster.stop();
  }
  console.log('\nAll checks passed.');
});
