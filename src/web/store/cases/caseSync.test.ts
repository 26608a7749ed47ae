import { jest } from '@jest/globals';
import { OPENED_CASE } from '../../../test/caseRecord.ts';
import { FakeServer, AWAY } from '../../../test/fakeApi.ts';
import { sentEvent, wordsEvent } from '../../../test/sentEvents.ts';
import { diffText } from '../../../contracts/textEdits.ts';
import { makeStore } from '../store.ts';
import { caseLeft, caseLoaded, caseShown, changed } from './casesSlice.ts';
import { recordTyping } from './changes.ts';
import { loadCase } from './chains.ts';
import { openMemoryOutbox } from './outbox.ts';
import { selectRecord, selectUnsaved } from './selectors.ts';
import { startSync } from '../startSync.ts';
import { onlyWriter } from './writers.ts';

const A = '5e0a7d1c-0000-4000-8000-00000000000a';
const B = '5e0a7d1c-0000-4000-8000-00000000000b';
const WHO = { author: 'Desk 1', device: 'desk-1' };

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

/** A page with two cases on a server in memory. */
async function openPage(server = new FakeServer(A, B)) {
  const page = makeStore();
  const services = { api: server.api, outbox: openMemoryOutbox(), writers: onlyWriter('page') };
  const { sync } = startSync(page, services);
  const { store } = page;
  const open = async (id: string): Promise<void> => {
    store.dispatch(caseShown(id));
    await loadCase(store, id, services);
  };
  const type = (caseId: string, after: string): void => {
    const before = selectRecord(store.getState(), caseId)?.plants[0]?.words ?? '';
    const edits = diffText(before, after);
    recordTyping(store, WHO, caseId, { plantId: 'plant-1', before, edits, continues: false });
  };
  await open(A);
  return { server, store, services, sync, open, type };
}
const pass = (ms: number): Promise<void> => jest.advanceTimersByTimeAsync(ms);
const kindOf = ({ store }: Awaited<ReturnType<typeof openPage>>, id: string) =>
  store.getState().cases.byId[id]?.sync.kind;

it('sends after a pause, once, and is at rest', async () => {
  const page = await openPage();
  page.type(A, 'ro');
  page.type(A, 'roses');
  await pass(1000);
  expect(page.server.words(A)).toBe('roses');
  expect(page.server.sendings).toHaveLength(1);
  expect(kindOf(page, A)).toBe('idle');
});

it('sends each case what belongs to it, however late an answer comes', async () => {
  const page = await openPage();
  page.server.delay = () => new Promise((done) => setTimeout(done, 2000));
  page.type(A, 'alpha');
  await pass(600);
  page.store.dispatch(caseLeft(A));
  await page.open(B);
  page.type(B, 'bravo');
  await pass(10_000);
  expect([page.server.words(A), page.server.words(B)]).toEqual(['alpha', 'bravo']);
  expect(selectRecord(page.store.getState(), B)?.plants[0]?.words).toBe('bravo');
});

it('sends what was typed just before a case was left, and then forgets the case', async () => {
  const page = await openPage();
  page.type(A, 'alpha');
  page.store.dispatch(caseLeft(A));
  expect(selectUnsaved(page.store.getState())).toMatchObject([{ id: A, pending: 1 }]);
  await pass(1000);
  expect(page.server.words(A)).toBe('alpha');
  expect(page.store.getState().cases.byId[A]).toBeUndefined();
});

it('tries again while the server is away, more and more slowly, and at once when told', async () => {
  const page = await openPage();
  page.server.problem = AWAY;
  page.type(A, 'alpha');
  await pass(500);
  expect(kindOf(page, A)).toBe('waiting');
  await pass(60_000);
  const tries = page.server.sendings.length;
  expect(tries).toBeGreaterThan(5);
  expect(tries).toBeLessThan(20);
  page.server.problem = null;
  page.sync.flush();
  await pass(10);
  expect(page.server.words(A)).toBe('alpha');
});

it('doubles nothing when answers are lost, and keeps what is typed meanwhile', async () => {
  const page = await openPage();
  page.server.losesAnswers = true;
  page.type(A, 'alpha');
  await pass(800);
  page.type(A, 'alpha beta');
  await pass(3000);
  page.server.losesAnswers = false;
  await pass(10_000);
  expect(page.server.words(A)).toBe('alpha beta');
  expect(page.server.logs.get(A)).toHaveLength(2);
});

it('takes in what others did, before and while it sends', async () => {
  const page = await openPage();
  const theirs = sentEvent(wordsEvent('theirs '), 'Desk 2');
  await page.server.api.append(A, { baseVersion: 0, events: [theirs] });
  page.type(A, 'mine');
  await pass(1000);
  expect(page.server.words(A).split(' ').sort()).toEqual(['mine', 'theirs']);
  await page.server.api.append(A, {
    baseVersion: 2,
    events: [sentEvent({ kind: 'status-set', status: 'waiting' }, 'Desk 2')],
  });
  await page.sync.refresh(A);
  expect(selectRecord(page.store.getState(), A)?.status).toBe('waiting');
});

it('sets a refused change aside and sends the others', async () => {
  const page = await openPage();
  const change = sentEvent({ kind: 'date-set', plantId: 'plant-9', date: '2026-06-13' });
  page.store.dispatch(changed({ caseId: A, change }));
  page.type(A, 'alpha');
  await pass(2000);
  const entity = page.store.getState().cases.byId[A];
  expect(entity?.refused).toMatchObject([{ id: change.id, problem: { field: 'plantId' } }]);
  expect(page.server.words(A)).toBe('alpha');
});

it('sets everything aside, with its words, when there is no such case any more', async () => {
  const page = await openPage();
  const gone = { code: 'not-found', field: 'id', message: 'gone', cure: 'open another' } as const;
  page.server.problem = gone;
  page.type(A, 'alpha');
  await pass(2000);
  expect(page.store.getState().cases.byId[A]).toMatchObject({
    pending: [],
    refused: [{ problem: gone, event: { edits: [{ insert: 'alpha' }] } }],
  });
});

it('sends more than one sending takes', async () => {
  const page = await openPage();
  for (let i = 0; i < 650; i++)
    page.store.dispatch(
      changed({
        caseId: A,
        change: sentEvent({ kind: 'enquirer-set', name: `name ${i}` }),
      }),
    );
  await pass(3000);
  expect(page.server.records.get(A)).toMatchObject({
    version: 650,
    enquirer: { name: 'name 649' },
  });
  expect(page.server.sendings.map(({ body }) => body.events.length)).toEqual([200, 200, 200, 50]);
});

it('goes on from an older case after a restored backup', async () => {
  const page = await openPage();
  page.type(A, 'alpha');
  await pass(1000);
  page.server.records.set(A, { ...OPENED_CASE, id: A });
  page.server.logs.set(A, []);
  const behind = {
    code: 'conflict',
    field: 'baseVersion',
    message: 'older',
    cure: 'read it',
  } as const;
  const { append } = page.server.api;
  Object.assign(page.server.api, {
    append: (id: string, body: Parameters<typeof append>[1]) =>
      body.baseVersion > 0 ? Promise.resolve({ ok: false, error: behind }) : append(id, body),
  });
  page.store.dispatch(
    changed({ caseId: A, change: sentEvent({ kind: 'status-set', status: 'waiting' }) }),
  );
  await pass(2000);
  expect(page.server.records.get(A)?.status).toBe('waiting');
});

it('shows a loaded case only as that case', async () => {
  const page = await openPage();
  const record = page.server.records.get(B);
  if (record) page.store.dispatch(caseLoaded({ record }));
  expect(selectRecord(page.store.getState(), A)?.id).toBe(A);
});
