import { existsSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { fingerprint, restoreFrom, sumOf } from './lib/backup.mjs';
import { main, Stop } from './lib/run.mjs';
import { checkNode, ensureModules, ensurePackages } from './lib/setup.mjs';

/** Restores a backup into the empty database of DATABASE_URL (or of its owner, MIGRATE_URL). */
main(async () => {
  checkNode();
  await ensurePackages({ postgres: true, chromium: false });
  await ensureModules();
  const [given] = process.argv.slice(2);
  const url = process.env.MIGRATE_URL ?? process.env.DATABASE_URL;
  if (given === undefined || url === undefined)
    throw new Stop('Type:  DATABASE_URL=postgresql://... npm run restore -- FILE');
  const file = resolve(given);
  if (!existsSync(file)) throw new Stop(`There is no file ${file}.`);
  const sum = `${file}.sha256`;
  if (existsSync(sum) && readFileSync(sum, 'utf8').trim() !== (await sumOf(file)))
    throw new Stop(
      `${file} is not as it was written: its check sum is another. Take another copy.`,
    );
  const held = Object.keys(await fingerprint(url));
  if (held.length > 0)
    throw new Stop(
      'That database is not empty, and nothing was written. Make an empty one, and name that.',
    );
  const plain = `${file}.plain`;
  try {
    await restoreFrom(file, url, process.env.BACKUP_KEY, plain);
  } finally {
    rmSync(plain, { force: true });
  }
  const tables = Object.values(await fingerprint(url));
  const rows = tables.reduce((all, table) => all + table.rows, 0);
  console.log(`Restored: ${tables.length} tables, ${rows} rows.`);
});
