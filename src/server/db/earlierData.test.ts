import { sql } from 'drizzle-orm';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';
import { sentEvent, wordsEvent } from '../../test/sentEvents.ts';
import { appendedSchema, changesSchema } from '../../contracts/caseEvents.ts';
import { caseRecordSchema } from '../../contracts/cases.ts';
import { connect } from './connect.ts';

const MIGRATIONS = 'src/server/db/migrations';
/** Number of the last migration before events had ids. */
const LAST_EARLIER = 5;
const CASE = '5e0a7d1c-0000-4000-8000-00000000beef';

/** The migrations as they were before events had ids. */
function earlierMigrations(): string {
  const folder = mkdtempSync(join(tmpdir(), 'sounding-migrations-'));
  cpSync(MIGRATIONS, folder, { recursive: true });
  const journal = join(folder, 'meta/_journal.json');
  const read = JSON.parse(readFileSync(journal, 'utf8')) as { entries: { idx: number }[] };
  const entries = read.entries.filter(({ idx }) => idx <= LAST_EARLIER);
  writeFileSync(journal, JSON.stringify({ ...read, entries }));
  return folder;
}

/** A case as the version before wrote it, with its log. */
const EARLIER_CASE = sql`
  insert into clinics (name, region, latitude, longitude) values ('A clinic', 'A county', 44.6, -67.9);
  insert into enquirers (clinic_id, name, contact, purge_on) values (1, 'Odile', '', '2027-06-13');
  insert into cases (id, clinic_id, enquirer_id, status, channel, opened_at, version)
    values (${sql.raw(`'${CASE}'`)}, 1, 1, 'open', 'phone', '2026-06-12T10:00:00Z', 3);
  insert into case_plants (case_id, id, position, words, date, latitude, longitude, approach)
    values (${sql.raw(`'${CASE}'`)}, 'plant-1', 0, 'roses wilt', '2026-06-12', 44.6, -67.9, 'integrated');
  insert into observations (case_id, plant_id, finding, position, present, sure)
    values (${sql.raw(`'${CASE}'`)}, 'plant-1', 'webbing', 0, true, 0.85);
  insert into case_events (case_id, version, event) values
    (${sql.raw(`'${CASE}'`)}, 1, '{"kind":"enquirer-set","name":"Odile","contact":""}'),
    (${sql.raw(`'${CASE}'`)}, 2, '{"kind":"words-set","plantId":"plant-1","words":"roses wilt"}'),
    (${sql.raw(`'${CASE}'`)}, 3, '{"kind":"answer-given","plantId":"plant-1","answer":{"finding":"webbing","value":true,"sure":0.85}}');
`;

it('opens a case of the version before with all it held, replays it, and goes on with it', async () => {
  const own = await openOwnDatabase();
  const folder = earlierMigrations();
  const earlier = connect(own.url);
  await earlier.migrate(folder);
  await earlier.db.execute(EARLIER_CASE);
  await earlier.close();
  const server = await openServer('2026-06-13', { address: own.url });
  const client = await server.as('advisor');
  try {
    const read = await client.get(`/api/cases/${CASE}`);
    const record = caseRecordSchema.parse((read.body as { case: unknown }).case);
    expect(record).toMatchObject({
      version: 3,
      enquirer: { name: 'Odile' },
      conflicts: [],
      plants: [
        {
          words: 'roses wilt',
          answers: [{ id: 'webbing', finding: 'webbing', value: true, sure: 0.85 }],
        },
      ],
    });
    const log = await client.get(`/api/cases/${CASE}/events`);
    const { events } = changesSchema.parse(log.body);
    expect(events.map(({ event }) => event.kind)).toEqual([
      'enquirer-set',
      'words-set',
      'answer-given',
    ]);
    const sending = { baseVersion: 3, events: [sentEvent(wordsEvent('The '))] };
    const appended = await client.post(`/api/cases/${CASE}/events`).send(sending);
    expect(appendedSchema.parse(appended.body)).toMatchObject({ version: 4, refused: null });
  } finally {
    await server.close();
    await own.drop();
    rmSync(folder, { recursive: true });
  }
}, 60_000);
