import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import { z } from 'zod';
import readExcel from 'read-excel-file/node';
import { applyCaseEvent } from '../../contracts/applyCaseEvent.ts';
import {
  casebookPageSchema,
  casebookPeopleSchema,
  exportedCaseSchema,
  type CasebookLine,
} from '../../contracts/casebook.ts';
import type { CaseEvent } from '../../contracts/caseEvents.ts';
import { caseRecordSchema, type CaseRecord } from '../../contracts/cases.ts';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';
import { sentEvent, wordsEvent } from '../../test/sentEvents.ts';

// A database of its own, as whole lists are compared.
const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
afterAll(async () => {
  await server.close();
  await own.drop();
});
const [coordinator, advisor] = [await server.as('coordinator'), await server.as('advisor')];
type Client = typeof advisor;

const plantId = 'plant-1';
const named = (name: string, contact = ''): CaseEvent => ({ kind: 'enquirer-set', name, contact });
const outcome = (cause: string): CaseEvent => ({
  kind: 'outcome-set',
  plantId,
  outcome: { cause, confirmed: 'laboratory', on: '2026-06-13' },
});

async function enter(client: Client, ...events: CaseEvent[]): Promise<CaseRecord> {
  const id = randomUUID();
  const opened = await client.post('/api/cases').send({ id });
  const sent = { baseVersion: 0, events: events.map((event) => sentEvent(event)) };
  if (events.length > 0) await client.post(`/api/cases/${id}/events`).send(sent).expect(200);
  return caseRecordSchema.parse(opened.body.case);
}

const roses = await enter(
  coordinator,
  wordsEvent('Black spots on my roses, the leaves are falling'),
  named('Odile Farrant', 'odile@letter.example'),
  { kind: 'plant-chosen', plantId, plant: 'rose' },
  outcome('rose-black-spot'),
);
const box = await enter(
  advisor,
  wordsEvent('The box hedge has cupped leaves, and white fluff'),
  named('Bram 100%_Tolliver'),
  { kind: 'status-set', status: 'waiting' },
);
const lilac = await enter(advisor, wordsEvent('Lilac leaf with white powder. =SUM was the price'));

const search = async (query: Record<string, string>): Promise<CasebookLine[]> => {
  const { body } = await advisor.get('/api/casebook').query(query);
  return casebookPageSchema.parse(body).cases;
};
const found = async (query: Record<string, string>): Promise<string[]> => {
  const names = new Map([
    [roses.id, 'roses'],
    [box.id, 'box'],
    [lilac.id, 'lilac'],
  ]);
  return (await search(query)).map(({ id }) => names.get(id) ?? id).sort();
};

it.each([
  ['everything without a search', {}, ['box', 'lilac', 'roses']],
  ['words in another form', { words: 'spot on a rose' }, ['roses']],
  ['words of two cases', { words: 'white' }, ['box', 'lilac']],
  ['words that stand together', { words: '"white powder"' }, ['lilac']],
  ['one word or another', { words: 'powder or fluff' }, ['box', 'lilac']],
  ['words without another', { words: 'leaves -hedge -powder' }, ['roses']],
  ['a part of a name', { words: 'arran' }, ['roses']],
  ['a way to reach them', { words: 'odile@letter' }, ['roses']],
  ['signs that stand for others in patterns', { words: '100%_' }, ['box']],
  ['the same signs, which are nothing else', { words: '%_T' }, ['box']],
  ['what it proved to be, in words', { words: 'black spot' }, ['roses']],
  ['a number of a case', { words: String(box.number) }, ['box']],
  ['a number with its sign', { words: `#${roses.number}` }, ['roses']],
  ['words that nothing has', { words: 'zebra' }, []],
  ['a plant', { plant: 'rose' }, ['roses']],
  ['a cause', { cause: 'rose-black-spot' }, ['roses']],
  ['what waits', { status: 'waiting' }, ['box']],
  ['what is known', { outcome: 'known' }, ['roses']],
  ['what is not known', { outcome: 'unknown', words: 'leaf' }, ['box', 'lilac']],
  ['the day', { from: '2026-06-13', to: '2026-06-13' }, ['box', 'lilac', 'roses']],
  ['days before', { to: '2026-06-12' }, []],
  ['days after', { from: '2026-06-14' }, []],
])('finds by %s', async (_what, query: Record<string, string>, expected) => {
  expect(await found(query)).toEqual(expected);
});

it('finds by who worked on it, and names them', async () => {
  const { people } = casebookPeopleSchema.parse((await advisor.get('/api/casebook/people')).body);
  const person = people.find(({ name }) => name === 'Some coordinator')?.id ?? '';
  expect(await found({ person })).toEqual(['roses']);
  const [line] = await search({ person });
  expect(line).toMatchObject({
    people: ['Some coordinator'],
    outcome: { cause: 'rose-black-spot', confirmed: 'laboratory' },
    enquirer: 'Odile Farrant',
  });
});

it('follows a change, and finds by it no more after the next', async () => {
  const { id } = await enter(advisor, wordsEvent('quince'));
  expect((await search({ words: 'quince' })).map((one) => one.id)).toEqual([id]);
  const event = sentEvent({
    kind: 'words-edited',
    plantId,
    edits: [{ at: 0, remove: 'quince', insert: 'medlar' }],
  });
  await advisor.post(`/api/cases/${id}/events`).send({ baseVersion: 1, events: [event] });
  expect(await search({ words: 'quince' })).toEqual([]);
  expect(await search({ words: 'medlars' })).toHaveLength(1);
});

it.each([
  ['a field that is none', { color: 'red' }],
  ['a day that does not exist', { from: '2026-02-30' }],
  ['a person that is no id', { person: 'me' }],
  ['a place in no list', { after: 'x' }],
  ['too long a search', { words: 'x'.repeat(201) }],
])('refuses %s with a cure', async (_what, query: Record<string, string>) => {
  const { status, body } = await advisor.get('/api/casebook').query(query);
  expect(status).toBe(422);
  expect(body.error.cure).not.toBe('');
});

describe('the export', () => {
  const take = (format: string, query: Record<string, string> = {}) =>
    coordinator
      .get('/api/casebook/export')
      .query({ ...query, format })
      .buffer(true)
      .parse((response, done) => {
        const pieces: Buffer[] = [];
        response.on('data', (piece: Buffer) => pieces.push(piece));
        response.on('end', () => done(null, Buffer.concat(pieces)));
      });
  const bytes = async (format: string, query?: Record<string, string>): Promise<Buffer> =>
    z.instanceof(Buffer).parse((await take(format, query)).body);

  it('as JSON Lines holds all of a case, and gives it back by replaying', async () => {
    const lines = (await bytes('jsonl', { words: 'roses' })).toString().trim().split('\n');
    const [one] = lines.map((line) => exportedCaseSchema.parse(JSON.parse(line)));
    expect(lines).toHaveLength(1);
    const replayed = one?.events.reduce<CaseRecord>(
      (record, { event }) => applyCaseEvent(record, event),
      roses,
    );
    expect(one?.case).toEqual({ ...replayed, version: one?.events.length });
    expect(one?.case.enquirer.name).toBe('Odile Farrant');
  });

  it('as CSV names no enquirer, gives places coarsely, and no text that a spreadsheet would run', async () => {
    const text = (await bytes('csv')).toString();
    expect(text).not.toContain('Odile');
    const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
    expect(data.find((row) => row['plant'] === 'rose')).toMatchObject({
      latitude: '44.6',
      'proved to be': 'rose-black-spot',
      'confirmed by': 'laboratory',
    });
    await enter(advisor, wordsEvent('=HYPERLINK("x")'));
    const after = (await bytes('csv', { words: 'hyperlink' })).toString();
    expect(after).toContain(`"'=HYPERLINK(""x"")"`);
  });

  it('as a workbook has the same rows', async () => {
    const rows = await readExcel(await bytes('xlsx', { words: 'roses' }));
    const text = JSON.stringify(rows);
    expect(text).toContain('rose-black-spot');
    expect(text).toContain('Black spots on my roses');
    expect(text).not.toContain('Odile');
  });

  it('is written down, and given in no other form', async () => {
    await take('csv');
    const { body } = await coordinator.get('/api/audit');
    expect(JSON.stringify(body)).toContain('cases-exported');
    expect((await coordinator.get('/api/casebook/export?format=pdf')).status).toBe(422);
  });
});
