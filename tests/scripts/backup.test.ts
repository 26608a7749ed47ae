import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { z } from 'zod';
import { caseRecordSchema, type CaseRecord } from '../../src/contracts/cases.ts';
import { openOwnDatabase, openServer } from '../../src/test/serverApp.ts';
import { sentEvent, wordsEvent } from '../../src/test/sentEvents.ts';

const folder = mkdtempSync(join(tmpdir(), 'sounding-backup-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const caseIn = (body: unknown): CaseRecord => z.object({ case: caseRecordSchema }).parse(body).case;

interface Ended {
  readonly code: number;
  readonly said: string;
}

function command(script: string, args: readonly string[], env: NodeJS.ProcessEnv): Promise<Ended> {
  return new Promise((resolve) => {
    execFile(
      process.execPath,
      [`scripts/${script}.mjs`, ...args],
      { env: { ...process.env, ...env } },
      (error, out, err) => resolve({ code: error ? 1 : 0, said: `${out}${err}` }),
    );
  });
}

const backups = (): string[] => readdirSync(folder).filter((name) => name.endsWith('.backup'));

it('brings everything back after the database is gone: backed up, dropped, restored, equal', async () => {
  const own = await openOwnDatabase();
  const id = randomUUID();
  const first = await openServer('2026-06-13', { address: own.url });
  const advisor = await first.as('advisor');
  await advisor.post('/api/cases').send({ id });
  const sent = { baseVersion: 0, events: [sentEvent(wordsEvent('white blisters, quicksilver'))] };
  await advisor.post(`/api/cases/${id}/events`).send(sent).expect(200);
  const before = caseIn((await advisor.get(`/api/cases/${id}`)).body);
  await first.close();

  const key = 'a secret of this test';
  const made = await command('backup', ['--to', folder], {
    DATABASE_URL: own.url,
    BACKUP_KEY: key,
  });
  expect(made.code).toBe(0);
  expect(made.said).toContain('restored and compared');
  await own.drop();
  const file = join(folder, backups()[0] ?? '');
  expect(readFileSync(file).includes('quicksilver')).toBe(false);

  const empty = await openOwnDatabase();
  const wrong = await command('restore', [file], { DATABASE_URL: empty.url, BACKUP_KEY: 'wrong' });
  expect(wrong.code).toBe(1);
  expect(wrong.said).toContain('another secret');
  const none = await command('restore', [file], { DATABASE_URL: empty.url, BACKUP_KEY: undefined });
  expect(none.code).toBe(1);
  expect(none.said).toContain('Set BACKUP_KEY');
  const good = { DATABASE_URL: empty.url, BACKUP_KEY: key };
  expect(await command('restore', [file], good)).toMatchObject({ code: 0 });
  const twice = await command('restore', [file], good);
  expect(twice.code).toBe(1);
  expect(twice.said).toContain('not empty');

  const second = await openServer('2026-06-13', { address: empty.url });
  const after = await (await second.as('advisor')).get(`/api/cases/${id}`);
  expect(caseIn(after.body)).toEqual(before);
  await second.close();

  const bytes = readFileSync(file);
  bytes[bytes.length >> 1] = (bytes[bytes.length >> 1] ?? 0) ^ 1;
  writeFileSync(file, bytes);
  const damaged = await command('restore', [file], good);
  expect(damaged.code).toBe(1);
  expect(damaged.said).toContain('check sum');
  await empty.drop();
}, 120_000);
