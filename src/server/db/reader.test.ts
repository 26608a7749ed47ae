import { openServer } from '../../test/serverApp.ts';
import type { Connection, Database } from './connect.ts';
import { readingFrom } from './reader.ts';

const server = await openServer('2026-06-13');
afterAll(() => server.close());
/** Which database is asked. */
const names = new Map<Database, string>();
const LOST = Object.assign(new Error('gone'), { code: 'ECONNREFUSED' });

/** A database that only says who it is; `replayed` are its answers to whether it has caught up, the last one for good. */
function database(name: string, { replayed = [true] }: { replayed?: (boolean | Error)[] } = {}) {
  let asked = 0;
  const query = (text: string) => {
    if (text.includes('pg_current_wal_lsn'))
      return Promise.resolve({ rows: [{ lsn: '0/16B3748' }] });
    const done = replayed[Math.min(asked++, replayed.length - 1)];
    return done instanceof Error ? Promise.reject(done) : Promise.resolve({ rows: [{ done }] });
  };
  const { connection } = server;
  const db = { ...connection.db };
  const run: Connection['run'] = (work) => work(db);
  const fake: Connection = { ...connection, db, run, query: query as Connection['query'] };
  names.set(db, name);
  return { connection: fake, tries: () => asked };
}
const nameOf = (connection: Connection): Promise<string | undefined> =>
  connection.run((db) => Promise.resolve(names.get(db)));

it('reads the primary where there is no replica', () => {
  const { connection } = database('primary');
  expect(readingFrom(connection, null)).toBe(connection);
});

it('reads the replica that has everything', async () => {
  const replica = database('replica');
  expect(await nameOf(readingFrom(database('primary').connection, replica.connection))).toBe(
    'replica',
  );
});

it('waits for a replica that is a moment behind', async () => {
  const replica = database('replica', { replayed: [false, false, true] });
  expect(await nameOf(readingFrom(database('primary').connection, replica.connection))).toBe(
    'replica',
  );
  expect(replica.tries()).toBe(3);
});

it.each([
  ['stays behind', [false]],
  ['does not answer', [LOST]],
])('reads the primary where the replica %s', async (_what, replayed) => {
  const replica = database('replica', { replayed });
  expect(await nameOf(readingFrom(database('primary').connection, replica.connection))).toBe(
    'primary',
  );
});

it('passes on what the work itself throws, without doing it twice', async () => {
  let times = 0;
  const reading = readingFrom(database('primary').connection, database('replica').connection);
  const work = () => {
    times++;
    return Promise.reject(new Error('a mistake of ours'));
  };
  await expect(reading.run(work)).rejects.toThrow('a mistake of ours');
  expect(times).toBe(1);
});

it('does the work on the primary where the replica is lost on the way', async () => {
  const seen: (string | undefined)[] = [];
  const reading = readingFrom(database('primary').connection, database('replica').connection);
  await reading.run((db) => {
    const name = names.get(db);
    seen.push(name);
    return name === 'replica' ? Promise.reject(LOST) : Promise.resolve(name);
  });
  expect(seen).toEqual(['replica', 'primary']);
});
