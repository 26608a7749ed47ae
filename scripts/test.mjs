import { join } from 'node:path';
import { startCluster } from './lib/postgres.mjs';
import { loud, main } from './lib/run.mjs';
import { checkNode, ensureModules, ensurePackages, ROOT } from './lib/setup.mjs';

/** Everything that must hold before a change is kept. `npm test -- --quick` leaves out the browser. */
main(async () => {
  checkNode();
  const quick = process.argv.includes('--quick');
  await ensurePackages({ postgres: true, chromium: !quick });
  await ensureModules();
  const bin = (name) => join(ROOT, 'node_modules/.bin', name);
  const step = async (title, command, args, env = {}) => {
    console.log(`\n== ${title}`);
    await loud(command, args, { cwd: ROOT, env: { ...process.env, ...env } });
  };
  await step('formatting', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
  await step('types', bin('tsc'), ['--noEmit']);
  await step('lint', bin('eslint'), ['.']);
  await step('knowledge', bin('tsx'), ['src/cli/checkKnowledge.ts']);
  const cluster = await startCluster('test', { fast: true, fresh: true });
  const env = { DATABASE_URL: cluster.url };
  try {
    const jest = [
      '--experimental-vm-modules',
      '--no-warnings=ExperimentalWarning',
      'node_modules/jest/bin/jest.js',
    ];
    await step('unit and reference tests', process.execPath, jest, env);
    await step('build', process.execPath, ['scripts/build.mjs']);
    if (!quick) await step('end-to-end tests', bin('playwright'), ['test'], env);
  } finally {
    cluster.stop();
  }
  if (!quick) await step('chaos', process.execPath, ['scripts/chaos.mjs', '--rounds', '2']);
  console.log('\nAll checks passed.');
});
