import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import pg from 'pg';

const DATA = resolve('.data');
const NAME = `cluster-test-${process.pid}`;
const folder = join(DATA, NAME);
const LIB = resolve('scripts/lib/postgres.mjs');

/** A command that owns a cluster until its input ends. */
function command(script = '') {
  const child = spawn(process.execPath, [
    '--input-type=module',
    '-e',
    `import { startCluster } from ${JSON.stringify(LIB)};
     const cluster = await startCluster(${JSON.stringify(NAME)}, { fast: true });
     ${script}
     console.log(cluster.url);
     process.stdin.resume().on('end', () => { cluster.stop(); });`,
  ]);
  const url = new Promise<string>((done, failed) => {
    let [out, errors] = ['', ''];
    child.stderr.on('data', (data: Buffer) => (errors += data.toString()));
    child.stdout.on('data', (data: Buffer) => {
      out += data.toString();
      const line = out.split('\n').find((one) => one.startsWith('postgresql://'));
      if (line !== undefined) done(line);
    });
    child.on('exit', () => failed(new Error(`ended without an address: ${out}${errors}`)));
  });
  const ended = new Promise<void>((done) => child.on('exit', () => done()));
  return {
    url,
    end: () => {
      child.stdin.end();
      return ended;
    },
  };
}

async function answers(url: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: url });
  client.on('error', () => undefined);
  try {
    await client.connect();
    await client.query('select 1');
    return true;
  } catch {
    return false;
  } finally {
    await client.end().catch(() => undefined);
  }
}

afterAll(() => {
  for (const name of readdirSync(DATA).filter((one) => one.startsWith(NAME)))
    rmSync(join(DATA, name), { recursive: true, force: true });
});

it('gives a second command of the same folder a database of its own, which outlives the first', async () => {
  const [first, second] = [command(), command()];
  const urls = await Promise.all([first.url, second.url]);
  expect(new Set(urls).size).toBe(2);
  await first.end();
  expect(await answers(await second.url)).toBe(true);
  await second.end();
  expect(await answers(await second.url)).toBe(false);
}, 60_000);

it('begins anew where the making of a database was interrupted', async () => {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, 'PG_VERSION'), '15\n');
  const only = command();
  expect(await answers(await only.url)).toBe(true);
  await only.end();
  for (const name of ['postgresql.conf', 'global/pg_control'])
    expect(existsSync(join(folder, name))).toBe(true);
}, 60_000);

it('brings a database back that has died', async () => {
  const only = command(
    `process.kill(cluster.pid(), 'SIGKILL');
     while (!cluster.ensureRunning()) await new Promise((wait) => setTimeout(wait, 100));`,
  );
  expect(await answers(await only.url)).toBe(true);
  await only.end();
}, 60_000);
