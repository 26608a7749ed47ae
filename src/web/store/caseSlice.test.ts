import { OPENED_CASE } from '../../../tests/support/caseRecord.ts';
import type { CaseEvent } from '../../contracts/cases.ts';
import {
  caseLoaded,
  caseReducer,
  eventHappened,
  rebased,
  selectRecord,
  selectRequest,
  sendingDone,
  sendingFailed,
  sendingStarted,
} from './caseSlice.ts';

const RECORD = { ...OPENED_CASE, version: 3 };
const words = (text: string): CaseEvent => ({ kind: 'words-set', plantId: 'plant-1', words: text });
const loaded = caseReducer(undefined, caseLoaded({ record: RECORD, outbox: [] }));
const shown = (state: typeof loaded): string | undefined =>
  selectRecord({ case: state, desk: { experience: null } })?.plants[0]?.words;

it('shows a change at once and knows that it is not saved', () => {
  const state = caseReducer(loaded, eventHappened(words('roses')));
  expect(shown(state)).toBe('roses');
  expect(state.saving).toBe('saving');
});

it('keeps what was typed while the server was answering', () => {
  let state = caseReducer(loaded, eventHappened(words('ros')));
  state = caseReducer(state, sendingStarted());
  state = caseReducer(state, eventHappened(words('roses')));
  state = caseReducer(
    state,
    sendingDone({
      ...RECORD,
      version: 4,
      plants: RECORD.plants.map((one) => ({ ...one, words: 'ros' })),
    }),
  );
  expect(shown(state)).toBe('roses');
  expect(state.outbox).toEqual([words('roses')]);
});

it('puts its changes on top of what another window did', () => {
  let state = caseReducer(loaded, eventHappened(words('roses')));
  state = caseReducer(state, rebased({ ...RECORD, version: 9, status: 'waiting' }));
  expect(selectRecord({ case: state, desk: { experience: null } })).toMatchObject({
    version: 9,
    status: 'waiting',
  });
  expect(shown(state)).toBe('roses');
});

it('loses nothing when the server is away', () => {
  const state = caseReducer(
    caseReducer(loaded, eventHappened(words('roses'))),
    sendingFailed({
      problem: { code: 'unavailable', field: null, message: 'away', cure: 'wait' },
      refused: false,
    }),
  );
  expect(state.saving).toBe('kept-here');
  expect(state.outbox).toEqual([words('roses')]);
});

it('asks about the open plant, with the plant only when the advisor set it', () => {
  const request = selectRequest({ case: loaded, desk: { experience: null } });
  expect(request).toMatchObject({ words: '', channel: 'phone' });
  expect(request).not.toHaveProperty('plant');
  const chosen = caseReducer(
    loaded,
    eventHappened({ kind: 'plant-chosen', plantId: 'plant-1', plant: 'rose' }),
  );
  expect(selectRequest({ case: chosen, desk: { experience: null } })?.plant).toBe('rose');
});
