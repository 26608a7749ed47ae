import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import pg from 'pg';
import { databaseUrl, openOwnDatabase, openServer } from '../../test/serverApp.ts';
import type { CaseChanged } from '../../contracts/live.ts';
import { sentEvent, wordsEvent } from '../../test/sentEvents.ts';
import { signInAtDemo } from '../../cli/demoSession.ts';
import { clinics } from '../db/schema.ts';
import { seedPeople } from '../demo/people.ts';
import { announce, parseAnnouncement } from './announce.ts';
import { DatabaseFeed } from './feed.ts';

const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
const another = await openServer('2026-06-13', { address: own.url });
afterAll(async () => {
  await server.close();
  await another.close();
  await own.drop();
});
const advisor = await another.as('advisor');

/** Looks again until something holds. */
async function until(holds: () => boolean): Promise<void> {
  for (let i = 0; i < 1600 && !holds(); i++) await new Promise((done) => setTimeout(done, 25));
  expect(holds()).toBe(true);
}

function listening(feed: DatabaseFeed, clinicId: number) {
  const received: (CaseChanged | null)[] = [];
  const stop = feed.subscribe(clinicId, (change) => received.push(change));
  return { received, stop, begun: () => until(() => received.includes(null)) };
}

describe('changes of cases', () => {
  const feed = new DatabaseFeed(own.url);
  afterAll(feed.close);

  it('are received from whatever server makes them, with their version', async () => {
    const { received, begun, stop } = listening(feed, server.office.id);
    await begun();
    const id = randomUUID();
    await advisor.post('/api/cases').send({ id }).expect(201);
    await until(() => received.some((one) => one?.id === id));
    const events = [sentEvent(wordsEvent('Gum on the bark'))];
    await advisor.post(`/api/cases/${id}/events`).send({ baseVersion: 0, events }).expect(200);
    await until(() => received.some((one) => one?.id === id && one.version === 1));
    stop();
  });

  it('are received by their own clinic alone, and only when they are kept', async () => {
    const [other] = await server.db
      .insert(clinics)
      .values({ name: 'Another', region: 'Elsewhere', latitude: 51, longitude: 4 })
      .returning();
    const [ours, theirs] = [
      listening(feed, server.office.id),
      listening(feed, other?.id ?? 0),
    ] as const;
    const [kept, undone] = [randomUUID(), randomUUID()];
    const clinicId = server.office.id;
    const broken = server.db.transaction(async (tx) => {
      await announce(tx, { clinicId, id: undone, version: 1 });
      throw new Error('undone');
    });
    await expect(broken).rejects.toThrow('undone');
    await server.db.transaction((tx) => announce(tx, { clinicId, id: kept, version: 1 }));
    await until(() => ours.received.some((one) => one?.id === kept));
    expect(ours.received.some((one) => one?.id === undone)).toBe(false);
    expect(theirs.received.filter((one) => one !== null)).toEqual([]);
    ours.stop();
    theirs.stop();
  });

  it('are received again after the connection was lost, and a possible gap is reported', async () => {
    const { received, stop } = listening(feed, server.office.id);
    const admin = new pg.Client({ connectionString: databaseUrl });
    await admin.connect();
    await admin.query(
      "select pg_terminate_backend(pid) from pg_stat_activity where query like 'listen %'",
    );
    await admin.end();
    await until(() => received.includes(null));
    const id = randomUUID();
    await advisor.post('/api/cases').send({ id }).expect(201);
    await until(() => received.some((one) => one?.id === id));
    stop();
  });
});

it('opens no connection after it was closed', async () => {
  const nobody = new URL(own.url);
  nobody.port = '1';
  const lost: unknown[] = [];
  const feed = new DatabaseFeed(nobody.href, (error) => lost.push(error));
  feed.subscribe(1, () => undefined);
  await until(() => lost.length === 1);
  await feed.close();
  await new Promise((done) => setTimeout(done, 1500));
  expect(lost).toHaveLength(1);
});

it.each(['', '1', '1 2', 'x 1 5e0a7d1c-0000-4000-8000-000000000001', '1 -1 nonsense'])(
  'parses nothing from "%s"',
  (payload) => {
    expect(parseAnnouncement(payload)).toBeNull();
  },
);

it('keeps no subscription of a page that was gone before it was let in', async () => {
  const http = createServer(server.app);
  await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
  const address = http.address();
  const origin = `http://127.0.0.1:${typeof address === 'object' ? address?.port : ''}`;
  await seedPeople(server.db, server.office.id);
  const session = await signInAtDemo(origin);
  for (let i = 0; i < 20; i++) {
    const gone = new AbortController();
    const asked = fetch(`${origin}/api/changes`, {
      headers: { ...session },
      signal: gone.signal,
    });
    setTimeout(() => gone.abort(), i % 5);
    await asked.then(
      ({ body }) => body?.cancel(),
      () => undefined,
    );
  }
  await new Promise((done) => setTimeout(done, 300));
  expect(server.feed.subscriberCount).toBe(0);
  http.closeAllConnections();
  http.close();
});

it('streams them to a page, and ends when the server does', async () => {
  const ending = await openServer('2026-06-13', { address: own.url });
  const said: string[] = [];
  const page = await ending.as('display');
  const stream = page.get('/api/changes').parse((response, done) => {
    response.setEncoding('utf8');
    response.on('data', (part: string) => said.push(part));
    response.on('end', () => done(null, null));
  });
  const ended = stream.then(({ status, type }) => ({ status, type }));
  await until(() => said.join('').includes('event: gap'));
  const id = randomUUID();
  await advisor.post('/api/cases').send({ id }).expect(201);
  await until(() => said.join('').includes(`event: case\ndata: {"id":"${id}","version":0}\n\n`));
  await ending.close();
  expect(await ended).toEqual({ status: 200, type: 'text/event-stream' });
});
