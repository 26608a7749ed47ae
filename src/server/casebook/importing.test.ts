import { unzipSync, strFromU8 } from 'fflate';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { casebookPageSchema, exportedCaseSchema } from '../../contracts/casebook.ts';
import type { CaseEvent } from '../../contracts/caseEvents.ts';
import { caseRecordSchema } from '../../contracts/cases.ts';
import {
  importedCasesSchema,
  savedSearchesSchema,
  type ImportResult,
} from '../../contracts/importing.ts';
import { sentEvent, wordsEvent } from '../../test/sentEvents.ts';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';

const own = await openOwnDatabase();
const other = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
const elsewhere = await openServer('2026-06-13', { address: other.url });
const coordinator = await server.as('coordinator');
const there = await elsewhere.as('coordinator');
type Client = typeof coordinator;
afterAll(async () => {
  await server.close();
  await elsewhere.close();
  await own.drop();
  await other.drop();
});

const plantId = 'plant-1';
const EVENTS: readonly CaseEvent[] = [
  { kind: 'enquirer-set', name: 'Odile Farrant', contact: 'by letter' },
  wordsEvent('Black spots on my beach rose'),
  { kind: 'plant-chosen', plantId, plant: 'rose' },
  { kind: 'place-set', plantId, place: { lat: 44.638, lon: -67.911 } },
  { kind: 'plant-added', plantId: 'plant-2' },
  {
    kind: 'outcome-set',
    plantId,
    outcome: { cause: 'rose-black-spot', confirmed: 'laboratory', on: '2026-06-12' },
  },
  {
    kind: 'follow-up-set',
    plantId,
    followUp: { on: '2026-06-13', followed: 'all', result: 'better', note: 'thanks' },
  },
  { kind: 'consent-set', consent: { callBack: true } },
  { kind: 'status-set', status: 'closed' },
];
const caseId = randomUUID();
beforeAll(async () => {
  await coordinator.post('/api/cases').send({ id: caseId }).expect(201);
  const events = EVENTS.map((event) => sentEvent(event));
  await coordinator
    .post(`/api/cases/${caseId}/events`)
    .send({ baseVersion: 0, events })
    .expect(200);
});

const bytes = async (format: string): Promise<Buffer> => {
  const answer = await coordinator
    .get('/api/casebook/export')
    .query({ format })
    .buffer(true)
    .parse((response, done) => {
      const pieces: Buffer[] = [];
      response.on('data', (piece: Buffer) => pieces.push(piece));
      response.on('end', () => done(null, Buffer.concat(pieces)));
    });
  return z.instanceof(Buffer).parse(answer.body);
};
const take = async (client: Client, kind: string, ...items: unknown[]): Promise<ImportResult[]> => {
  const { body } = await client.post('/api/casebook/import').send({ kind, items }).expect(200);
  return importedCasesSchema.parse(body).results;
};
const outcomes = (results: readonly ImportResult[]): string[] =>
  results.map(({ outcome }) => outcome);

describe('a case of another server', () => {
  it('is taken in as it was, with all that happened, once', async () => {
    const [line] = (await bytes('jsonl')).toString().trim().split('\n');
    const exported = exportedCaseSchema.parse(JSON.parse(line ?? ''));
    expect(outcomes(await take(there, 'cases', exported, exported))).toEqual(['taken', 'known']);
    const { body } = await there.get(`/api/cases/${caseId}`);
    const record = caseRecordSchema.parse(body.case);
    expect({ ...record, number: 0 }).toEqual({ ...exported.case, number: 0 });
    const { body: log } = await there.get(`/api/cases/${caseId}/events?after=0`);
    expect(log.events).toEqual(exported.events);
    const found = casebookPageSchema.parse((await there.get('/api/casebook?words=beach')).body);
    expect(found.cases.map(({ id }) => id)).toEqual([caseId]);
  });

  it('is refused where its events are not all there, and keeps none of the others out', async () => {
    const [line] = (await bytes('jsonl')).toString().trim().split('\n');
    const exported = exportedCaseSchema.parse(JSON.parse(line ?? ''));
    const broken = { ...exported, events: exported.events.slice(1) };
    const results = await take(there, 'cases', broken, 'no case', exported);
    expect(outcomes(results)).toEqual(['refused', 'refused', 'known']);
    expect(results[0]?.problem?.cure).not.toBe('');
  });
});

describe('rows of a table', () => {
  const ROW = {
    opened: '2024-05-02',
    words: 'Orange horns on the juniper',
    plant: 'Juniper',
    proved: 'cedar-rust-juniper',
    confirmed: 'photograph',
    latitude: '44.7',
    longitude: '-67.8',
    status: '',
  };

  it('become cases, each once however often the file is taken in', async () => {
    expect(outcomes(await take(coordinator, 'rows', ROW))).toEqual(['taken']);
    const [again] = await take(coordinator, 'rows', ROW);
    expect(again?.outcome).toBe('known');
    const { cases } = casebookPageSchema.parse(
      (await coordinator.get('/api/casebook?words=horns')).body,
    );
    expect(cases).toHaveLength(1);
    const { body } = await coordinator.get(`/api/cases/${cases[0]?.id ?? ''}`);
    expect(body.case).toMatchObject({
      status: 'closed',
      openedAt: '2024-05-02T12:00:00.000Z',
      plants: [
        {
          plant: 'juniper',
          place: { lat: 44.7, lon: -67.8 },
          outcome: { cause: 'cedar-rust-juniper', confirmed: 'photograph', on: '2024-05-02' },
        },
      ],
    });
  });

  it.each([
    ['a day that is none', { opened: 'in May' }, 'opened'],
    ['a plant that nobody knows', { plant: 'triffid' }, 'plant'],
    ['a cause that nobody knows', { proved: 'spite' }, 'proved'],
    ['a place that is none', { latitude: '91' }, 'latitude'],
    ['a field that is none', { color: 'red' }, null],
  ])('with %s are refused with a cure', async (_what, change, field) => {
    const [result] = await take(coordinator, 'rows', { ...ROW, ...change });
    expect(result?.outcome).toBe('refused');
    expect(result?.problem?.cure).not.toBe('');
    if (field !== null) expect(result?.problem?.field).toContain(field);
  });

  it('are written down in the log', async () => {
    const { body } = await coordinator.get('/api/audit');
    expect(JSON.stringify(body)).toContain('cases-imported');
  });
});

describe('what was confirmed', () => {
  it('is a map of points that names nobody and no garden', async () => {
    const text = (await bytes('geojson')).toString();
    expect(text).not.toMatch(/Odile|letter|44\.638|beach/);
    const { features } = z
      .object({ type: z.literal('FeatureCollection'), features: z.array(z.unknown()) })
      .parse(JSON.parse(text));
    expect(features).toContainEqual({
      type: 'Feature',
      id: `${caseId}:plant-1`,
      geometry: { type: 'Point', coordinates: [-67.9, 44.6] },
      properties: {
        id: `${caseId}:plant-1`,
        on: '2026-06-13',
        confirmed: 'laboratory',
        cause: 'rose-black-spot',
        name: 'Black spot',
        scientific: 'Diplocarpon rosae',
        host: 'Rose',
        hostScientific: 'Rosa',
      },
    });
  });

  it('is an archive of occurrences, the same for the same cases', async () => {
    const archive = await bytes('dwca');
    expect(await bytes('dwca')).toEqual(archive);
    const files = unzipSync(archive);
    expect(Object.keys(files).sort()).toEqual(['eml.xml', 'meta.xml', 'occurrence.txt']);
    const text = (name: string): string => strFromU8(files[name] ?? new Uint8Array());
    const [head = '', ...rows] = text('occurrence.txt').trim().split('\n');
    const terms = [...text('meta.xml').matchAll(/dwc\/terms\/(\w+)"\/>/g)].map((one) => one[1]);
    expect(terms).toEqual(head.split('\t'));
    const row = rows.map((line) => line.split('\t')).find(([id]) => id === `${caseId}:plant-1`);
    expect(Object.fromEntries(terms.map((term, i) => [term, row?.[i]]))).toMatchObject({
      basisOfRecord: 'MaterialSample',
      scientificName: 'Diplocarpon rosae',
      associatedTaxa: 'host: Rosa',
      decimalLatitude: '44.6',
    });
    expect(text('occurrence.txt')).not.toMatch(/Odile|letter|beach/);
    expect(text('eml.xml')).toContain('<title>');
  });
});

it('keeps searches for the whole clinic, once each, and removes them', async () => {
  const advisor = await server.as('advisor');
  const search = { id: randomUUID(), name: 'Roses of June', query: 'words=rose&from=2026-06-01' };
  for (let i = 0; i < 2; i++) await advisor.post('/api/casebook/searches').send(search).expect(200);
  const kept = async () =>
    savedSearchesSchema.parse((await coordinator.get('/api/casebook/searches')).body).searches;
  expect(await kept()).toEqual([search]);
  await coordinator.post('/api/casebook/searches/remove').send({ id: search.id }).expect(200);
  expect(await kept()).toEqual([]);
});
