import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const LIB = resolve('scripts/lib/lock.mjs');
const folder = mkdtempSync(join(tmpdir(), 'lock-test-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Whether a process that starts at a moment gets the lock, and keeps it until all have tried. */
function tries(file: string, at: number): Promise<boolean> {
  const child = spawn(process.execPath, [
    '--input-type=module',
    '-e',
    `import { takeLock } from ${JSON.stringify(LIB)};
     while (Date.now() < ${at});
     console.log(takeLock(${JSON.stringify(file)}) !== null);
     setTimeout(() => undefined, 300);`,
  ]);
  let out = '';
  child.stdout.on('data', (data: Buffer) => (out += data.toString()));
  return new Promise((done) => child.on('exit', () => done(out.trim() === 'true')));
}

it('is given to one of several processes that ask at the same moment', async () => {
  for (let round = 0; round < 4; round++) {
    const at = Date.now() + 400;
    const file = join(folder, `${round}.lock`);
    const got = await Promise.all(Array.from({ length: 6 }, () => tries(file, at)));
    expect(got.filter(Boolean)).toHaveLength(1);
  }
}, 30_000);

it('is taken over from processes that are gone, by one of several', async () => {
  const file = join(folder, 'gone.lock');
  expect(await tries(file, 0)).toBe(true);
  const got = await Promise.all(Array.from({ length: 6 }, () => tries(file, Date.now() + 400)));
  expect(got.filter(Boolean)).toHaveLength(1);
}, 30_000);
