import { randomUUID } from 'node:crypto';
import { emptyPlant } from '../../contracts/applyCaseEvent.ts';
import { wordsEvent } from '../../test/sentEvents.ts';
import { openServer } from '../../test/serverApp.ts';
import { enterCase, idOfText, ImpossibleEvent, type EnteredCase } from './enterCase.ts';
import { findCase } from './service.ts';

const server = await openServer('2026-06-13');
afterAll(() => server.close());
const { db, office } = server;
const by = { author: 'a test', personId: null, device: 'test' };
const entry = (change: Partial<EnteredCase> = {}): EnteredCase => ({
  id: randomUUID(),
  channel: 'email',
  openedAt: '2026-06-01T12:00:00.000Z',
  plant: emptyPlant('plant-1', '2026-06-01', office.place),
  events: [wordsEvent('rust on the beach rose')],
  ...change,
});
const enter = (one: EnteredCase) => db.transaction((tx) => enterCase(tx, office.id, one, by));

it('enters a case with what happened to it, once', async () => {
  const one = entry();
  expect((await enter(one))?.plants[0]?.words).toBe('rust on the beach rose');
  expect(await enter(one)).toBeNull();
  expect(await findCase(db, office.id, one.id)).toMatchObject({ version: 1, channel: 'email' });
});

it('keeps nothing of a case to which something impossible happened', async () => {
  const one = entry({
    events: [wordsEvent('rust'), { kind: 'date-set', plantId: 'no-plant', date: '2026-06-01' }],
  });
  await expect(enter(one)).rejects.toThrow(ImpossibleEvent);
  expect(await findCase(db, office.id, one.id)).toBeNull();
});

it('makes the same id of the same text, in the form of any other', () => {
  expect(idOfText('a row')).toBe(idOfText('a row'));
  expect(idOfText('a row')).not.toBe(idOfText('another'));
  expect(idOfText('a row')).toMatch(/^[\da-f]{8}-[\da-f]{4}-4[\da-f]{3}-8[\da-f]{3}-[\da-f]{12}$/);
});
