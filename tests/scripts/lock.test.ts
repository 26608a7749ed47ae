import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const LIB = resolve('scripts/lib/lock.mjs');
const folder = mkdtempSync(join(tmpdir(), 'lock-test-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

interface Asked {
  /** Whether it got the lock. */
  readonly got: Promise<boolean>;
  /** Ends it; until then it keeps what it got. */
  readonly end: () => Promise<unknown>;
}

/** A process that asks for the lock at a moment. */
function ask(file: string, at: number): Asked {
  const child = spawn(process.execPath, [
    '--input-type=module',
    '-e',
    `import { takeLock } from ${JSON.stringify(LIB)};
     while (Date.now() < ${at});
     console.log(takeLock(${JSON.stringify(file)}) !== null);
     process.stdin.resume();`,
  ]);
  const ended = new Promise((done) => child.on('exit', done));
  return {
    got: new Promise((done) =>
      child.stdout.once('data', (data: Buffer) => done(data.toString().trim() === 'true')),
    ),
    end: () => {
      child.stdin.end();
      return ended;
    },
  };
}

/** How many of six processes that ask at the same moment get the lock while all of them live. */
async function winners(file: string): Promise<number> {
  const at = Date.now() + 400;
  const all = Array.from({ length: 6 }, () => ask(file, at));
  const got = await Promise.all(all.map((one) => one.got));
  await Promise.all(all.map((one) => one.end()));
  return got.filter(Boolean).length;
}

it('is given to one of several processes that ask at the same moment', async () => {
  for (let round = 0; round < 4; round++)
    expect(await winners(join(folder, `${round}.lock`))).toBe(1);
}, 30_000);

it('is taken over from a process that is gone, by one of several', async () => {
  const file = join(folder, 'gone.lock');
  const gone = ask(file, 0);
  expect(await gone.got).toBe(true);
  await gone.end();
  expect(await winners(file)).toBe(1);
}, 30_000);
