import 'fake-indexeddb/auto';
import { FakeServer, AWAY } from '../../../test/fakeApi.ts';
import { sentEvent, wordsEvent } from '../../../test/sentEvents.ts';
import { makeStore } from '../store.ts';
import { caseLoaded, changed } from './casesSlice.ts';
import { drainAbandoned, keepChains, loadCase } from './chains.ts';
import { convertEarlier, takeEarlierOutbox } from './earlierOutbox.ts';
import { openIndexedOutbox, openMemoryOutbox, type Chain, type Outbox } from './outbox.ts';
import { selectRecord } from './selectors.ts';
import { onlyWriter } from './writers.ts';

const A = '5e0a7d1c-0000-4000-8000-00000000000a';
const settle = (): Promise<void> => new Promise((done) => setTimeout(done, 30));

function chain(server: FakeServer, writer: string, words: string): Chain {
  const base = server.records.get(A);
  if (!base) throw new Error('no case');
  const pending = [{ ...sentEvent(wordsEvent(words)), sent: false }];
  return { caseId: A, writer, base, pending, refused: [], updatedAt: 1 };
}

it('leaves the chains of other people on this device alone, and sends none of them in its own name', async () => {
  const server = new FakeServer(A);
  const [thora, jory] = [openIndexedOutbox('thora'), openIndexedOutbox('jory')];
  await jory.put(chain(server, 'jory-page', 'mine'));
  expect(await thora.all()).toEqual([]);
  expect(await jory.all()).toHaveLength(1);
  await jory.remove({ caseId: A, writer: 'jory-page' });
});

describe.each<[string, () => Outbox]>([
  ['in the browser', () => openIndexedOutbox('9e0a7d1c-0000-4000-8000-000000000001')],
  ['in memory', openMemoryOutbox],
])('an outbox %s', (_where, open) => {
  it('keeps, replaces and forgets chains', async () => {
    const outbox = open();
    const server = new FakeServer(A);
    const [one, two] = [chain(server, 'one', 'a'), chain(server, 'two', 'b')];
    await outbox.put(one);
    await outbox.put(two);
    expect(await outbox.all()).toMatchObject([one, two]);
    await outbox.replace({ ...one, writer: 'three' }, [one, two]);
    expect(await outbox.all()).toMatchObject([{ ...one, writer: 'three' }]);
    await outbox.remove({ caseId: A, writer: 'three' });
    expect(await outbox.all()).toEqual([]);
  });
});

it('keeps every change before it is acknowledged, and nothing after', async () => {
  const { store } = makeStore();
  const server = new FakeServer(A);
  const services = { api: server.api, outbox: openMemoryOutbox(), writers: onlyWriter('page') };
  keepChains(store, services);
  const record = server.records.get(A);
  if (record) store.dispatch(caseLoaded({ record }));
  store.dispatch(changed({ caseId: A, change: sentEvent(wordsEvent('roses')) }));
  await settle();
  expect(await services.outbox.all()).toMatchObject([{ caseId: A, pending: [{ sent: false }] }]);
  if (record) store.dispatch(caseLoaded({ record }));
  await settle();
  expect(await services.outbox.all()).toEqual([]);
});

it('says when nothing can be kept on the device', async () => {
  const { store } = makeStore();
  const server = new FakeServer(A);
  const broken = {
    ...openMemoryOutbox(),
    put: () => Promise.reject(new Error('the disk is full')),
  };
  keepChains(store, { api: server.api, outbox: broken, writers: onlyWriter('page') });
  const record = server.records.get(A);
  if (record) store.dispatch(caseLoaded({ record }));
  store.dispatch(changed({ caseId: A, change: sentEvent(wordsEvent('roses')) }));
  await settle();
  expect(store.getState().cases.kept).toBe(false);
});

describe('what a page that is gone has left', () => {
  it('is sent from any page, and put on top of what happened since', async () => {
    const server = new FakeServer(A);
    const outbox = openMemoryOutbox();
    await outbox.put(chain(server, 'gone', 'left behind'));
    await server.api.append(A, { baseVersion: 0, events: [sentEvent(wordsEvent('newer'))] });
    await drainAbandoned({ api: server.api, outbox, writers: onlyWriter('page') });
    expect(server.words(A).split(' ').sort()).toEqual(['behind', 'left', 'newer']);
    expect(await outbox.all()).toEqual([]);
  });

  it('is sent before the case is shown', async () => {
    const { store } = makeStore();
    const server = new FakeServer(A);
    const outbox = openMemoryOutbox();
    await outbox.put(chain(server, 'gone', 'left behind'));
    await loadCase(store, A, { api: server.api, outbox, writers: onlyWriter('page') });
    expect(selectRecord(store.getState(), A)?.plants[0]?.words).toBe('left behind');
    expect(store.getState().cases.byId[A]?.pending).toEqual([]);
  });

  it('is shown while the server is away, and stays kept', async () => {
    const { store } = makeStore();
    const server = new FakeServer(A);
    const outbox = openMemoryOutbox();
    await outbox.put(chain(server, 'gone', 'left behind'));
    server.problem = AWAY;
    await loadCase(store, A, { api: server.api, outbox, writers: onlyWriter('page') });
    expect(selectRecord(store.getState(), A)?.plants[0]?.words).toBe('left behind');
    expect(await outbox.all()).toMatchObject([{ writer: 'page', pending: [{ sent: true }] }]);
  });

  it('stays when it was refused, until somebody has seen it', async () => {
    const { store } = makeStore();
    const server = new FakeServer(A);
    const outbox = openMemoryOutbox();
    const left = chain(server, 'gone', 'x');
    const stray = sentEvent(wordsEvent('stray', 'plant-9'));
    await outbox.put({ ...left, pending: [{ ...stray, sent: false }] });
    const services = { api: server.api, outbox, writers: onlyWriter('page') };
    await drainAbandoned(services);
    expect(await outbox.all()).toMatchObject([{ pending: [], refused: [{ id: stray.id }] }]);
    await loadCase(store, A, services);
    expect(store.getState().cases.byId[A]?.refused).toMatchObject([{ id: stray.id }]);
  });
});

describe('what an earlier version kept', () => {
  const words = (text: string) => ({ kind: 'words-set', plantId: 'plant-1', words: text }) as const;
  const answer = { finding: 'webbing', value: true, sure: 0.9 };

  it('becomes events of this version, on top of what stands', () => {
    const server = new FakeServer(A);
    const record = server.records.get(A);
    if (!record) throw new Error('no case');
    const events = convertEarlier(record, [
      words('roses'),
      words('roses wilt'),
      { kind: 'answer-given', plantId: 'plant-1', answer },
      { kind: 'answer-withdrawn', plantId: 'plant-1', finding: 'webbing' },
      { kind: 'answer-withdrawn', plantId: 'plant-1', finding: 'galls' },
    ]);
    expect(events.map(({ kind }) => kind)).toEqual([
      'words-edited',
      'words-edited',
      'answer-given',
      'answer-withdrawn',
    ]);
  });

  it('is sent, and takes nothing from what colleagues wrote since', async () => {
    const server = new FakeServer(A);
    await server.api.append(A, { baseVersion: 0, events: [sentEvent(wordsEvent('newer words'))] });
    const outbox = openMemoryOutbox();
    const services = { api: server.api, outbox, writers: onlyWriter('page') };
    const key = `sounding.outbox.${A}`;
    const kept = new Map([[key, JSON.stringify([words('older words')])]]);
    const storage = Object.assign(Object.create({}) as Storage, {
      [key]: '',
      getItem: (name: string) => kept.get(name) ?? null,
      removeItem: (name: string) => void kept.delete(name),
    });
    await takeEarlierOutbox(storage, services, { author: 'Desk 1', device: 'd' });
    expect(kept.size).toBe(0);
    await drainAbandoned(services);
    expect(server.words(A)).toBe('newer words\nolder words');
  });
});
