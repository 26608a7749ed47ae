import { randomUUID } from 'node:crypto';
import { sentEvent, wordsEvent } from '../../test/sentEvents.ts';
import { appendedSchema, type CaseEvent } from '../../contracts/caseEvents.ts';
import {
  casePageSchema,
  caseRecordSchema,
  type CaseRecord,
  type Release,
} from '../../contracts/cases.ts';
import { openServer } from '../../test/serverApp.ts';

const { close, as } = await openServer('2026-06-13');
afterAll(close);
const [trainee, advisor, display] = [await as('trainee'), await as('advisor'), await as('display')];
type Client = typeof trainee;

const WORDS = wordsEvent('box with cupped leaves');
const CLOSE: CaseEvent = { kind: 'status-set', status: 'closed' };
const SHEET: CaseEvent = {
  kind: 'sheet-given',
  plantId: 'plant-1',
  sheet: { on: '2026-06-13', how: 'print', text: 'Clip them.' },
};
const release = (state: Release['state'], by: string): CaseEvent => ({
  kind: 'release-set',
  release: { state, by, on: '2026-06-13', note: '' },
});
const ASKED = release('asked', 'Some trainee');
const GIVEN = release('released', 'Some advisor');

let id = '';
let version = 0;
beforeEach(async () => {
  id = randomUUID();
  version = 0;
  await trainee.post('/api/cases').send({ id }).expect(201);
});

/** Sends events on top of the newest version. */
async function happen(client: Client, events: readonly CaseEvent[], base = version) {
  const sent = { baseVersion: base, events: events.map((event) => sentEvent(event, 'anybody')) };
  const answer = appendedSchema.parse(
    (await client.post(`/api/cases/${id}/events`).send(sent)).body,
  );
  version = answer.version;
  return answer;
}
const read = async (): Promise<CaseRecord> =>
  caseRecordSchema.parse((await advisor.get(`/api/cases/${id}`)).body.case);

it('lets a trainee write and ask, and neither give out nor close', async () => {
  expect((await happen(trainee, [WORDS, ASKED])).refused).toBeNull();
  for (const event of [CLOSE, SHEET]) {
    const { refused } = await happen(trainee, [event]);
    expect(refused?.problem).toMatchObject({ code: 'forbidden', field: 'release' });
  }
  expect(await read()).toMatchObject({ status: 'open', release: { state: 'asked' } });
});

it('knows who has a case, on the Desk too, and takes notes that bear the name of who is signed in', async () => {
  const note = { id: 'n', on: '2026-06-13', by: 'Some trainee', text: 'She rings after four.' };
  const assignee = { id: randomUUID(), name: 'Some advisor' };
  const leading = { plant: 'Box', cause: 'Boxwood psyllid' };
  const { refused } = await happen(trainee, [
    WORDS,
    { kind: 'consulted', plantId: 'plant-1', knowledgeVersion: 'v1', leading },
    { kind: 'assignee-set', assignee },
    { kind: 'note-added', note },
  ]);
  expect(refused).toBeNull();
  expect(await read()).toMatchObject({ assignee, notes: [note], plants: [{ leading }] });
  const desk = casePageSchema.parse((await advisor.get('/api/cases?list=queue')).body);
  expect(desk.cases.find((one) => one.id === id)).toMatchObject({
    assignee: 'Some advisor',
    leading,
  });
  const forged = await happen(advisor, [{ kind: 'note-added', note: { ...note, id: 'm' } }]);
  expect(forged.refused?.problem).toMatchObject({ field: 'note.by' });
});

it('removes a plant for good, and none about which somebody has just written', async () => {
  const about = (plantId: string): CaseEvent => wordsEvent('box', plantId);
  const remove = (plantId: string): CaseEvent => ({ kind: 'plant-removed', plantId });
  const added = ['b', 'c'].map((plantId): CaseEvent => ({ kind: 'plant-added', plantId }));
  const base = (await happen(trainee, [WORDS, ...added, about('b'), about('c')])).version;
  await happen(advisor, [about('b')]);
  const blind = await happen(trainee, [remove('b')], base);
  expect(blind.refused?.problem).toMatchObject({ code: 'conflict', field: 'plantId' });
  expect((await happen(trainee, [remove('plant-1'), remove('c')])).refused).toBeNull();
  expect((await read()).plants.map((one) => one.id)).toEqual(['b']);
  expect((await happen(trainee, [remove('b')])).refused?.problem.field).toBe('plantId');
  const desk = casePageSchema.parse((await advisor.get('/api/cases?list=queue')).body);
  expect(desk.cases.find((one) => one.id === id)).toMatchObject({ words: 'boxbox', plantCount: 1 });
});

it('lets the trainee do both after an advisor has released it', async () => {
  await happen(trainee, [WORDS, ASKED]);
  expect((await happen(advisor, [GIVEN])).refused).toBeNull();
  expect((await happen(trainee, [SHEET, CLOSE])).refused).toBeNull();
  expect((await read()).status).toBe('closed');
});

it('takes a release back when the advice becomes another', async () => {
  await happen(trainee, [WORDS, ASKED]);
  await happen(advisor, [GIVEN]);
  await happen(trainee, [{ kind: 'approach-set', plantId: 'plant-1', approach: 'organic' }]);
  expect((await read()).release).toBeNull();
  expect((await happen(trainee, [CLOSE])).refused?.problem.code).toBe('forbidden');
});

it('does not release what its giver has not seen', async () => {
  await happen(trainee, [ASKED]);
  const seen = version;
  await happen(trainee, [WORDS]);
  const { refused } = await happen(advisor, [GIVEN], seen);
  expect(refused?.problem).toMatchObject({ code: 'conflict', field: 'release' });
});

it('lets nobody release who may not, nor in another name', async () => {
  const own = await happen(trainee, [release('released', 'Some trainee')]);
  expect(own.refused?.problem.code).toBe('forbidden');
  const forged = await happen(advisor, [release('released', 'Somebody else')]);
  expect(forged.refused?.problem.field).toBe('release.by');
});

it('names who was signed in with every event, whatever the event says', async () => {
  const { events } = await happen(trainee, [WORDS]);
  expect(events.map(({ author }) => author)).toEqual(['Some trainee']);
});

it('lets an advisor give out and close without asking, and a display nothing', async () => {
  expect((await happen(advisor, [WORDS, SHEET, CLOSE])).refused).toBeNull();
  expect((await display.post(`/api/cases/${id}/events`).send({})).status).toBe(403);
});
