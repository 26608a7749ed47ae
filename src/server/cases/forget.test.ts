import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { applyCaseEvent } from '../../contracts/applyCaseEvent.ts';
import { changesSchema, type CaseEvent } from '../../contracts/caseEvents.ts';
import { caseRecordSchema, type CaseRecord } from '../../contracts/cases.ts';
import { savedSearchesSchema } from '../../contracts/importing.ts';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';
import { sentEvent, wordsEvent } from '../../test/sentEvents.ts';
import { forgetDue } from './forget.ts';

// A database of its own, as every table is looked through.
const own = await openOwnDatabase();
const lines: string[] = [];
const server = await openServer('2026-06-13', {
  address: own.url,
  log: (line) => lines.push(line),
});
const { db } = server;
afterAll(async () => {
  await server.close();
  await own.drop();
});
const coordinator = await server.as('coordinator');

const plantId = 'plant-1';
const EVENTS: readonly CaseEvent[] = [
  { kind: 'enquirer-set', name: 'Odile Farrant', contact: '(207) 555-0143' },
  wordsEvent('Odile here, ring 207 555 0143. My roses have black spots, quicksilverish.'),
  { kind: 'phrase-tied', plantId, finding: 'leaf-spots', said: 'quicksilverish, Odile says' },
  { kind: 'own-step-added', plantId, step: { id: 's', text: 'Ring Odile Farrant', on: null } },
  {
    kind: 'note-added',
    note: { id: 'n', on: '2026-06-13', by: 'Some coordinator', text: 'Odile Farrant is deaf' },
  },
  {
    kind: 'sheet-given',
    plantId,
    sheet: { on: '2026-06-13', how: 'print', text: 'For Odile Farrant: clip the quicksilverish.' },
  },
  {
    kind: 'outcome-set',
    plantId,
    outcome: { cause: 'rose-black-spot', confirmed: 'laboratory', on: '2026-06-13' },
  },
];

async function enter(): Promise<CaseRecord> {
  const id = randomUUID();
  const opened = await coordinator.post('/api/cases').send({ id });
  const sent = { baseVersion: 0, events: EVENTS.map((event) => sentEvent(event)) };
  await coordinator.post(`/api/cases/${id}/events`).send(sent).expect(200);
  return caseRecordSchema.parse(opened.body.case);
}

/** Every row of every table as a text. */
async function everything(): Promise<string> {
  const { rows } = await db.execute<{ name: string }>(
    sql`select quote_ident(table_name) as name from information_schema.tables where table_schema = 'public'`,
  );
  const texts: string[] = [];
  for (const { name } of rows) {
    const table = await db.execute<{ row: string }>(
      sql.raw(`select one::text as row from ${name} as one`),
    );
    texts.push(...table.rows.map(({ row }) => row));
  }
  return texts.join('\n');
}

it('leaves nothing of a person in any table, in the export and in the log, and keeps the counts', async () => {
  const opened = await enter();
  expect(await everything()).toMatch(/Odile[^]*quicksilver/);
  const answer = await coordinator.post(`/api/cases/${opened.id}/forget`).send({ how: 'all' });
  const record = caseRecordSchema.parse(answer.body.case);
  expect(record).toMatchObject({ enquirer: { name: '', contact: '' }, plants: [{ words: '' }] });
  const { text } = await coordinator.get('/api/casebook/export?format=jsonl');
  const left = `${await everything()}\n${text}\n${lines.join('\n')}`;
  expect(left).not.toMatch(/odile|farrant|555.?0143|5550143|quicksilver/i);
  const { body } = await coordinator.get('/api/clinic/experience');
  expect(JSON.stringify(body)).toContain('rose-black-spot');
  const { events } = changesSchema.parse(
    (await coordinator.get(`/api/cases/${opened.id}/events`)).body,
  );
  const replayed = events.reduce<CaseRecord>((at, { event }) => applyCaseEvent(at, event), opened);
  expect({ ...replayed, version: record.version }).toEqual(record);
});

it('can take the names alone, and the words that name nobody stay', async () => {
  const { id } = await enter();
  const answer = await coordinator.post(`/api/cases/${id}/forget`).send({ how: 'names' });
  expect(caseRecordSchema.parse(answer.body.case).plants[0]?.words).toBe(
    '[removed] here, ring [removed]. My roses have black spots, quicksilverish.',
  );
  expect(await everything()).not.toMatch(/odile|farrant|555.?0143/i);
  const { body } = await coordinator.get('/api/casebook?words=quicksilverish');
  expect(body.cases).toHaveLength(1);
});

it('goes on with the case afterwards, and forgets it again', async () => {
  const { id } = await enter();
  await coordinator.post(`/api/cases/${id}/forget`).send({ how: 'all' }).expect(200);
  const again = { kind: 'enquirer-set', name: 'Odile' } as const;
  const sent = { baseVersion: EVENTS.length + 1, events: [sentEvent(again)] };
  await coordinator.post(`/api/cases/${id}/events`).send(sent).expect(200);
  await coordinator.post(`/api/cases/${id}/forget`).send({ how: 'names' }).expect(200);
  expect(await everything()).not.toMatch(/odile/i);
});

it('is done by the server alone, after the time that the clinic sets', async () => {
  const { id } = await enter();
  const forged = sentEvent({ kind: 'forgotten', words: {} });
  const sent = { baseVersion: EVENTS.length, events: [forged] };
  const answer = await coordinator.post(`/api/cases/${id}/events`).send(sent);
  expect(answer.body.refused.problem.code).toBe('forbidden');
  await coordinator.post('/api/clinic/settings').send({ retentionDays: 30 }).expect(200);
  expect(await forgetDue(db, new Date('2026-07-12T12:00:00Z'))).toBe(0);
  expect(await forgetDue(db, new Date('2026-07-14T12:00:00Z'))).toBe(1);
  expect(await forgetDue(db, new Date('2026-07-14T12:00:00Z'))).toBe(0);
  expect(await everything()).not.toMatch(/odile/i);
});

it.each([29, 3651, 1.5, 'long'])('does not keep names for %s days', async (retentionDays) => {
  const { status } = await coordinator.post('/api/clinic/settings').send({ retentionDays });
  expect(status).toBe(422);
});

it('takes kept searches for the name or the number away, and no other', async () => {
  const { id } = await enter();
  const keep = (name: string, words: string) => {
    const query = new URLSearchParams({ words, outcome: 'known' }).toString();
    return coordinator
      .post('/api/casebook/searches')
      .send({ id: randomUUID(), name, query })
      .expect(200);
  };
  await keep('The lady of the roses', 'Odile Farrant');
  await keep('Odile Farrant', 'roses');
  await keep('By number', '207.555.0143');
  await keep('Roses', 'rose');
  await coordinator.post(`/api/cases/${id}/forget`).send({ how: 'names' }).expect(200);
  const { body } = await coordinator.get('/api/casebook/searches');
  const { searches } = savedSearchesSchema.parse(body);
  expect(searches.map(({ name }) => name)).toEqual(['Roses']);
});
