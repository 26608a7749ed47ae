import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { openDatabaseProxy } from '../test/databaseProxy.ts';
import { sentEvent, wordsEvent } from '../test/sentEvents.ts';
import { openOwnDatabase, openServer } from '../test/serverApp.ts';
import { clinics } from './db/schema.ts';
import { isFromNewerVersion } from './db/schemaVersion.ts';

// A database of its own, as it is taken apart beside other tests.
const own = await openOwnDatabase();
const proxy = await openDatabaseProxy(own.url);
const lines: string[] = [];
const server = await openServer('2026-06-13', {
  address: proxy.url,
  log: (line) => lines.push(line),
});
const client = await server.as('coordinator');
afterAll(async () => {
  await server.close();
  await proxy.close();
  await own.drop();
});
beforeEach(() => proxy.restore());

const open = async (): Promise<string> => {
  const id = randomUUID();
  expect((await client.post('/api/cases').send({ id })).status).toBe(201);
  return id;
};

it('goes on when every connection breaks, and says so to nobody', async () => {
  const id = await open();
  proxy.restore();
  const answers = await Promise.all(
    Array.from({ length: 12 }, () => client.get(`/api/cases/${id}`)),
  );
  expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 200));
});

it('gives every connection back that broke before its transaction began', async () => {
  const { connection } = server;
  const transactions = (count: number) =>
    Promise.allSettled(
      Array.from({ length: count }, () =>
        connection.db.transaction((tx) => tx.select({ one: sql`pg_sleep(0.02)` }).from(clinics)),
      ),
    );
  for (let round = 0; round < 3; round++) {
    await transactions(10);
    // In one go: the pool does not know yet that its connections are gone.
    proxy.restore();
    await transactions(10);
  }
  const last = await transactions(10);
  expect(last.map(({ status }) => status)).toEqual(Array(10).fill('fulfilled'));
}, 60_000);

it('goes on when the database ends the connections', async () => {
  const id = await open();
  await server.db
    .execute(
      sql`select pg_terminate_backend(pid) from pg_stat_activity
          where pid <> pg_backend_pid() and datname = current_database()`,
    )
    .catch(() => undefined);
  expect((await client.get(`/api/cases/${id}`)).status).toBe(200);
});

it('lives and is not ready while the database is away, and is back when it is', async () => {
  const id = await open();
  proxy.cut();
  expect((await client.get('/api/live')).status).toBe(200);
  expect((await client.get('/api/health')).body).toMatchObject({ ok: false });
  const away = await client.get(`/api/cases/${id}`);
  expect(away.status).toBe(503);
  expect(away.headers['retry-after']).toBe('1');
  proxy.restore();
  expect((await client.get('/api/health')).body).toMatchObject({ ok: true });
  expect((await client.get(`/api/cases/${id}`)).status).toBe(200);
});

it('answers within seconds when the database says nothing at all', async () => {
  const id = await open();
  proxy.silence();
  const begun = Date.now();
  expect((await client.get(`/api/cases/${id}`)).status).toBe(503);
  expect(Date.now() - begun).toBeLessThan(8000);
}, 20_000);

it('logs no word, name or number of an enquirer', async () => {
  const id = await open();
  const name = sentEvent({ kind: 'enquirer-set', name: 'Ottoline Quince', contact: '555 0142' });
  const sending = { baseVersion: 0, events: [name, sentEvent(wordsEvent('medlars with scab'))] };
  // Breaks the writing itself, so that the failed statement holds the values.
  await server.connection.run((db) =>
    db.execute(sql`alter table enquirers rename column contact to contact_away`),
  );
  const refused = await client.post(`/api/cases/${id}/events`).send(sending);
  expect(refused.status).toBe(503);
  expect(JSON.stringify(refused.body)).not.toMatch(/Ottoline|555 0142|enquirers/);
  const log = lines.join('\n');
  expect(log).toContain('request failed');
  expect(log).not.toMatch(/Ottoline|Quince|555 0142|medlars/);
});

it('knows a database that a newer version has migrated', async () => {
  const folder = 'src/server/db/migrations';
  const { run } = server.connection;
  expect(await run((db) => isFromNewerVersion(db, folder))).toBe(false);
  await run((db) =>
    db.execute(
      sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('newer', 4102444800000)`,
    ),
  );
  expect(await run((db) => isFromNewerVersion(db, folder))).toBe(true);
});
