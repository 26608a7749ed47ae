import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { isDeepStrictEqual } from 'node:util';
import { join, resolve } from 'node:path';
import { dumpTo, fingerprint, restoreFrom, sumOf } from './lib/backup.mjs';
import { textOption } from './lib/options.mjs';
import { startCluster } from './lib/postgres.mjs';
import { main, Stop } from './lib/run.mjs';
import { checkNode, ensureModules, ensurePackages, ROOT } from './lib/setup.mjs';

/** The database of DATABASE_URL (or of its owner, MIGRATE_URL); else that of the demonstration, which must not be running. */
async function source() {
  const url = process.env.MIGRATE_URL ?? process.env.DATABASE_URL;
  if (url !== undefined) return { url, stop: () => undefined };
  const cluster = await startCluster('demo');
  return { url: cluster.ownerUrl, stop: cluster.stop };
}

/** Restores a backup into a cluster of its own and compares what is in it. */
async function check(file, secret, before) {
  const scratch = await startCluster('backup-check', { fast: true, fresh: true });
  const plain = `${file}.plain`;
  try {
    await restoreFrom(file, scratch.ownerUrl, secret, plain);
    return isDeepStrictEqual(await fingerprint(scratch.ownerUrl), before);
  } finally {
    rmSync(plain, { force: true });
    scratch.stop();
  }
}

/** Writes a backup and tries it. `--to FOLDER`; encrypted where BACKUP_KEY is set. */
main(async () => {
  checkNode();
  await ensurePackages({ postgres: true, chromium: false });
  await ensureModules();
  const folder = resolve(textOption('to', join(ROOT, '.data', 'backups')));
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const secret = process.env.BACKUP_KEY;
  const stamp = new Date().toISOString().replaceAll(/[:.]/g, '-');
  const file = join(folder, `sounding-${stamp}.backup`);
  if (existsSync(file)) throw new Stop(`${file} is there already. Wait a second and try again.`);
  const { url, stop } = await source();
  try {
    await dumpTo(url, file, secret);
    const after = await fingerprint(url);
    // What was written while the backup was made is in the database and not in the backup.
    if (!(await check(file, secret, after)))
      console.log('The database was written to meanwhile, so that only the restoring was checked.');
    const rows = Object.values(after).reduce((sum, table) => sum + table.rows, 0);
    writeFileSync(`${file}.sha256`, `${await sumOf(file)}\n`, { mode: 0o600 });
    console.log(
      `${file}\n${Object.keys(after).length} tables, ${rows} rows, ${secret === undefined ? 'not encrypted' : 'encrypted'}; restored and compared.`,
    );
  } finally {
    stop();
  }
});
