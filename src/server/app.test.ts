import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { consultHere, library, openServer } from '../test/serverApp.ts';
import { applyCaseEvent } from '../contracts/applyCaseEvent.ts';
import { sentEvent, wordsEvent } from '../test/sentEvents.ts';
import { appendedSchema, type CaseEvent, type SentEvent } from '../contracts/caseEvents.ts';
import {
  caseRecordSchema,
  experienceSchema,
  tiedPhrasesSchema,
  type CaseRecord,
} from '../contracts/cases.ts';
import { consultResponseSchema } from '../contracts/consult.ts';
import { DEMO_ENQUIRIES } from './demo/enquiries.ts';
import { seedDemo } from './demo/seed.ts';
import { SEASON_ENQUIRIES } from './demo/season.ts';

const { close, db, office, as } = await openServer('2026-06-13');
const client = await as('coordinator');
afterAll(close);

const WORDS: CaseEvent = wordsEvent('box with cupped leaves');
const ANSWER: CaseEvent = {
  kind: 'answer-given',
  plantId: 'plant-1',
  answer: { id: 'a1', finding: 'leaf-drop', value: false, sure: 0.85 },
};

async function open(): Promise<CaseRecord> {
  const answer = await client.post('/api/cases').send({ id: randomUUID() });
  expect(answer.status).toBe(201);
  return caseRecordSchema.parse(answer.body.case);
}
const send = (id: string, baseVersion: number, ...events: SentEvent[]) =>
  client.post(`/api/cases/${id}/events`).send({ baseVersion, events });
const append = (id: string, baseVersion: number, ...events: CaseEvent[]) =>
  send(id, baseVersion, ...events.map((event) => sentEvent(event)));
const read = async (id: string): Promise<CaseRecord> =>
  caseRecordSchema.parse((await client.get(`/api/cases/${id}`)).body.case);

it('sends the library packed, to who can unpack it', async () => {
  const packed = await client.get('/api/knowledge').set('accept-encoding', 'br');
  expect(packed.headers['content-encoding']).toBe('br');
  const plain = await client.get('/api/knowledge').set('accept-encoding', 'identity');
  expect(plain.headers['content-encoding']).toBeUndefined();
  expect(plain.body.version).toBe(library.version);
  const again = await client
    .get('/api/knowledge')
    .set('accept-encoding', 'br')
    .set('if-none-match', String(packed.headers['etag']));
  expect(again.status).toBe(304);
});

describe('cases', () => {
  it('opens a case once, at the clinic and on its day', async () => {
    const id = randomUUID();
    const [first, second] = [
      await client.post('/api/cases').send({ id }),
      await client.post('/api/cases').send({ id }),
    ];
    expect(second.body).toEqual(first.body);
    expect(first.body.case.plants[0]).toMatchObject({
      date: '2026-06-13',
      place: { lat: 44.6, lon: -67.9 },
    });
  });

  it('keeps what happened and gives it back', async () => {
    const opened = await open();
    const events: CaseEvent[] = [
      WORDS,
      ANSWER,
      { kind: 'enquirer-set', name: 'Odile', contact: '' },
      { kind: 'plant-added', plantId: 'plant-2' },
    ];
    const answer = await append(opened.id, 0, ...events);
    expect(answer.status).toBe(200);
    expect(await read(opened.id)).toEqual({
      ...events.reduce<CaseRecord>(applyCaseEvent, opened),
      version: 4,
    });
  });

  it('gives the same case from another server on the same database', async () => {
    const opened = await open();
    await append(opened.id, 0, WORDS, ANSWER);
    const other = await openServer('2026-06-14');
    try {
      const answer = await (await other.as('advisor')).get(`/api/cases/${opened.id}`);
      expect(caseRecordSchema.parse(answer.body.case)).toEqual(await read(opened.id));
    } finally {
      await other.close();
    }
  });

  it('can be replayed from its events', async () => {
    const opened = await open();
    await append(opened.id, 0, WORDS, ANSWER);
    const { body } = await client.get(`/api/cases/${opened.id}/events`);
    const replayed = (body.events as { event: CaseEvent }[])
      .map(({ event }) => event)
      .reduce<CaseRecord>(applyCaseEvent, opened);
    expect({ ...replayed, version: 2 }).toEqual(await read(opened.id));
  });

  it('puts changes made on an old version on top, and answers with all since then', async () => {
    const { id } = await open();
    await append(id, 0, WORDS);
    const late = appendedSchema.parse((await append(id, 0, ANSWER)).body);
    expect(late).toMatchObject({ version: 2, refused: null });
    expect(late.events.map(({ event }) => event.kind)).toEqual(['words-edited', 'answer-given']);
  });

  it('applies a sending once however often and at once it comes', async () => {
    const { id } = await open();
    const [words, answer] = [sentEvent(WORDS), sentEvent(ANSWER)];
    const answers = await Promise.all([
      send(id, 0, words, answer),
      send(id, 0, words, answer),
      send(id, 0, words),
    ]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    const record = await read(id);
    expect(record).toMatchObject({ version: 2, plants: [{ words: 'box with cupped leaves' }] });
  });

  it('keeps the words of both of two simultaneous changes', async () => {
    const { id } = await open();
    await Promise.all([append(id, 0, wordsEvent('red leaves')), append(id, 0, wordsEvent('gum'))]);
    const { words } = (await read(id)).plants[0] ?? { words: '' };
    expect(words.split(' ').sort()).toEqual(['gum', 'leaves', 'red']);
  });

  it('takes what comes before an event that it refuses, and says which that is', async () => {
    const { id } = await open();
    const elsewhere = sentEvent({ kind: 'date-set', plantId: 'plant-7', date: '2026-06-13' });
    const sending = await send(id, 0, sentEvent(WORDS), elsewhere, sentEvent(ANSWER));
    expect(appendedSchema.parse(sending.body)).toMatchObject({
      version: 1,
      refused: { index: 1, problem: { code: 'invalid-field', field: 'plantId' } },
    });
  });

  it('keeps no event in a second case', async () => {
    const [one, other] = [await open(), await open()];
    const event = sentEvent(WORDS);
    await send(one.id, 0, event);
    const misplaced = await send(other.id, 0, event);
    expect(misplaced.status).toBe(409);
    expect((await read(other.id)).version).toBe(0);
  });

  it('refuses a base that it has not reached', async () => {
    const { id } = await open();
    expect((await append(id, 7, WORDS)).body.error).toMatchObject({ field: 'baseVersion' });
  });

  it('has limits for plants, answers and words, and names the cure', async () => {
    const { id } = await open();
    const plants = Array.from({ length: 25 }, (_, i): CaseEvent => ({
      kind: 'plant-added',
      plantId: `further-${i}`,
    }));
    const { refused, version } = appendedSchema.parse((await append(id, 0, ...plants)).body);
    expect(refused).toMatchObject({ index: 19, problem: { code: 'too-large' } });
    const long = await append(id, version, wordsEvent('x'.repeat(20_001)));
    expect(appendedSchema.parse(long.body).refused?.problem.code).toBe('too-large');
    const answers = (from: number): CaseEvent[] =>
      Array.from({ length: 160 }, (_, i): CaseEvent => ({
        kind: 'answer-given',
        plantId: 'plant-1',
        answer: { id: `a${from + i}`, finding: `f${from + i}`, value: true, sure: 1e-50 },
      }));
    await append(id, version, ...answers(0));
    const many = appendedSchema.parse((await append(id, version + 160, ...answers(160))).body);
    expect(many.refused?.problem.code).toBe('too-large');
    expect((await read(id)).plants[0]?.answers).toHaveLength(300);
  });

  it('lists open cases and, on request, closed ones', async () => {
    const { id } = await open();
    await append(id, 0, { kind: 'status-set', status: 'closed' });
    const ids = async (query: string): Promise<string[]> =>
      ((await client.get(`/api/cases${query}`)).body.cases as { id: string }[]).map(
        (one) => one.id,
      );
    expect(await ids('')).not.toContain(id);
    expect(await ids('?status=closed')).toContain(id);
  });

  it.each(['nonsense', randomUUID()])('knows no case %s', async (id) => {
    expect((await client.get(`/api/cases/${id}`)).status).toBe(404);
    expect((await append(id, 0, WORDS)).status).toBe(404);
  });

  it('refuses an event it does not know', async () => {
    const { id } = await open();
    const unknown = { ...sentEvent(WORDS), event: { kind: 'deleted' } };
    const answer = await client
      .post(`/api/cases/${id}/events`)
      .send({ baseVersion: 0, events: [unknown] });
    expect(appendedSchema.parse(answer.body).refused).toMatchObject({
      index: 0,
      problem: { field: 'event.kind' },
    });
  });
});

describe('consult', () => {
  const BODY = {
    words: 'white powder on the rose leaves, it wipes off',
    date: '2026-06-13',
    place: { lat: 44.6, lon: -67.9 },
  };
  const consult = (body: string | object) =>
    client.post('/api/consult').set('content-type', 'application/json').send(body);

  it('answers in the form of the contract and stores nothing', async () => {
    const before: number = (await client.get('/api/cases')).body.cases.length;
    const answer = await consult(BODY);
    expect(answer.status).toBe(200);
    expect(consultResponseSchema.parse(answer.body).causes[0]?.id).toBe('powdery-mildew');
    expect((await client.get('/api/cases')).body.cases).toHaveLength(before);
  });

  it.each([
    ['malformed JSON', '{"words": ', 400, 'body'],
    ['an unknown plant', { ...BODY, plant: 'triffid' }, 422, 'plant'],
    ['an impossible date', { ...BODY, date: '2026-02-30' }, 422, 'date'],
    ['100 kB of text', { ...BODY, words: 'leaf '.repeat(20_000) }, 422, 'words'],
    ['wrong types', { ...BODY, place: 'here' }, 422, 'place'],
    ['a huge body', { ...BODY, words: 'leaf '.repeat(300_000) }, 413, 'body'],
    ['no object at all', '[]', 422, 'body'],
  ])(
    'refuses %s, names the field and the cure, and stays up',
    async (_name, body, status, field) => {
      const answer = await consult(body);
      expect(answer.status).toBe(status);
      expect(answer.body.error.field).toBe(field);
      expect(answer.body.error.cure).not.toBe('');
      expect((await consult(BODY)).status).toBe(200);
    },
  );
});

describe('the dates of a plan', () => {
  const plantId = 'plant-1';
  const label = {
    daysToHarvest: 7,
    reentryHours: null,
    mostPerYear: null,
    everyDays: null,
    text: '',
  };

  it('are kept with the case', async () => {
    const { id } = await open();
    await append(
      id,
      0,
      { kind: 'label-read', plantId, step: 'soap', label },
      { kind: 'step-done', plantId, step: 'soap', on: '2026-06-13' },
      { kind: 'event-seen', plantId, event: 'first moth', on: '2026-05-20' },
    );
    const [plant] = (await read(id)).plants;
    expect(plant?.plan).toMatchObject({
      labels: { soap: label },
      done: [{ step: 'soap', on: '2026-06-13' }],
      seen: { 'first moth': '2026-05-20' },
    });
  });

  it('stay readable when they were saved before a field came', async () => {
    const { id } = await open();
    const older = {
      harvest: null,
      labels: { soap: { daysToHarvest: 3, mostPerYear: 2 } },
      done: [],
      kept: [],
    };
    await db.execute(
      sql`update case_plants set plan = ${JSON.stringify(older)}::jsonb where case_id = ${id}`,
    );
    const [plant] = (await read(id)).plants;
    expect(plant?.plan.seen).toEqual({});
    expect(plant?.plan.labels.soap).toEqual({
      daysToHarvest: 3,
      reentryHours: null,
      mostPerYear: 2,
      everyDays: null,
      text: '',
    });
    expect(plant?.plan).toMatchObject({ own: [], leftOut: [], order: [] });
  });
});

describe('labels of the clinic', () => {
  const id = '7d9f0a52-1111-4222-8333-444455556666';
  const label = { id, name: 'Soap from the shed', text: 'Soap. CAUTION. For aphids.' };
  const post = (path: string, body: object) => client.post(`/api/clinic/labels${path}`).send(body);

  it('are kept once by their id, written anew, listed and removed', async () => {
    await post('', label);
    const again = await post('', { ...label, name: 'Soap' });
    expect(again.body).toEqual({ labels: [{ ...label, name: 'Soap' }] });
    expect((await client.get('/api/clinic/labels')).body).toEqual(again.body);
    const removed = await post('/remove', { id });
    expect(removed.body).toEqual({ labels: [] });
    expect((await post('/remove', { id })).status).toBe(200);
  });

  it.each([
    ['without a name', { ...label, name: '' }],
    ['without words', { ...label, text: '' }],
    ['with more words than are kept', { ...label, text: 'x'.repeat(4001) }],
    ['with no id', { name: 'Soap', text: 'Soap.' }],
  ])('refuse one %s', async (_name, body) => {
    const refused = await post('', body);
    expect(refused.status).toBe(422);
    expect(refused.body.error.cure).not.toBe('');
  });
});

describe('what the clinic learns', () => {
  const OUTCOME: CaseEvent = {
    kind: 'outcome-set',
    plantId: 'plant-1',
    outcome: { cause: 'rose-black-spot', confirmed: 'laboratory', on: '2026-06-13' },
  };
  const experience = async () =>
    experienceSchema.parse((await client.get('/api/clinic/experience')).body);
  const casesOf = async (cause: string): Promise<number> =>
    (await experience()).seen.find((one) => one.cause === cause)?.cases ?? 0;

  it('counts a confirmed case, and forgets it when it is taken back', async () => {
    const { id } = await open();
    const before = await casesOf('rose-black-spot');
    await append(id, 0, OUTCOME);
    expect(await casesOf('rose-black-spot')).toBeCloseTo(before + 1, 9);
    await append(id, 1, { kind: 'outcome-set', plantId: 'plant-1', outcome: null });
    expect(await casesOf('rose-black-spot')).toBeCloseTo(before, 9);
  });

  it('can be switched off and on again', async () => {
    const set = (learning: unknown) => client.post('/api/clinic/learning').send({ learning });
    expect((await set(false)).body.learning).toBe(false);
    expect((await experience()).learning).toBe(false);
    expect((await set(true)).body.learning).toBe(true);
    expect((await set('perhaps')).status).toBe(422);
  });
});

it('seeds the demonstration once', async () => {
  const all = DEMO_ENQUIRIES.length + SEASON_ENQUIRIES.length;
  const added = await seedDemo(db, office, consultHere());
  expect([0, all]).toContain(added);
  expect(await seedDemo(db, office, consultHere())).toBe(0);
});

it('says that an address does not exist', async () => {
  expect((await client.get('/api/nothing')).body.error.code).toBe('not-found');
});

it('keeps words that were tied to a finding, the most often tied first', async () => {
  const tie = (said: string): CaseEvent => ({
    kind: 'phrase-tied',
    plantId: 'plant-1',
    finding: 'leaf-drop',
    said,
  });
  const record = await open();
  await append(
    record.id,
    record.version,
    tie('Rains leaves'),
    tie('rains leaves'),
    tie('bald now'),
  );
  const { phrases } = tiedPhrasesSchema.parse((await client.get('/api/clinic/phrases')).body);
  expect(phrases.slice(0, 2)).toEqual([
    { finding: 'leaf-drop', said: 'rains leaves', times: 2 },
    { finding: 'leaf-drop', said: 'bald now', times: 1 },
  ]);
});

it('keeps the answer that a case was closed with, until something of it changes', async () => {
  const { id, version } = await open();
  const body = {
    words: 'box with cupped leaves',
    date: '2026-06-13',
    place: { lat: 44.6, lon: -67.9 },
  };
  const consultation = await client.post('/api/consult').send(body);
  const answer = consultResponseSchema.parse(consultation.body);
  await append(
    id,
    version,
    { kind: 'closing-answer-stored', plantId: 'plant-1', answer },
    { kind: 'status-set', status: 'closed' },
  );
  expect(await read(id)).toMatchObject({ status: 'closed', plants: [{ closingAnswer: answer }] });
  await append(id, version + 2, WORDS);
  expect((await read(id)).plants[0]?.closingAnswer).toBeNull();
});
