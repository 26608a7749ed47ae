import { OPENED_CASE } from '../../../tests/support/caseRecord.ts';
import type { CaseEvent } from '../../contracts/cases.ts';
import {
  caseLoaded,
  caseReducer,
  eventHappened,
  rebased,
  selectNow,
  selectRecord,
  selectRequest,
  sendingDone,
  sendingFailed,
  sendingStarted,
} from './caseSlice.ts';

const RECORD = { ...OPENED_CASE, version: 3 };
const NO_DESK = { experience: null, weather: null, clinic: null };
const words = (text: string): CaseEvent => ({ kind: 'words-set', plantId: 'plant-1', words: text });
const loaded = caseReducer(undefined, caseLoaded({ record: RECORD, outbox: [] }));
const shown = (state: typeof loaded): string | undefined =>
  selectRecord({ case: state, desk: NO_DESK })?.plants[0]?.words;

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
  expect(selectRecord({ case: state, desk: NO_DESK })).toMatchObject({
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
  const request = selectRequest({ case: loaded, desk: NO_DESK });
  expect(request).toMatchObject({ words: '', channel: 'phone' });
  expect(request).not.toHaveProperty('plant');
  const chosen = caseReducer(
    loaded,
    eventHappened({ kind: 'plant-chosen', plantId: 'plant-1', plant: 'rose' }),
  );
  expect(selectRequest({ case: chosen, desk: NO_DESK })?.plant).toBe('rose');
});

describe('the station of the clinic', () => {
  const weatherOf = (date: string) => ({
    day: date,
    minCelsius: 8,
    maxCelsius: 18,
    rainMillimetres: 0,
    windKmh: null,
  });
  const desk = {
    experience: null,
    weather: {
      source: 'simulated' as const,
      days: ['2026-06-11', '2026-06-12', '2026-06-13', '2026-06-14'].map(weatherOf),
    },
    clinic: {
      name: 'A clinic',
      region: 'A county',
      place: { lat: 44.6, lon: -67.9 },
      today: '2026-06-15',
    },
  };
  const daysOf = (list: readonly { readonly day: string }[] | undefined) =>
    list?.map(({ day }) => day.slice(8));

  it('tells the advice the days before the call, and a plan those up to now', () => {
    const state = { case: loaded, desk };
    expect(daysOf(selectRequest(state)?.weather)).toEqual(['11', '12']);
    expect(daysOf(selectNow(state).weather)).toEqual(['11', '12', '13', '14']);
    expect(selectNow(state)).toMatchObject({ today: '2026-06-15', simulated: true });
  });

  it('tells nothing of a garden that lies far off', () => {
    const far: CaseEvent = { kind: 'place-set', plantId: 'plant-1', place: { lat: 51, lon: 0 } };
    const state = { case: caseReducer(loaded, eventHappened(far)), desk };
    expect(selectRequest(state)?.weather).toEqual([]);
    expect(selectNow(state)).toMatchObject({ weather: [], simulated: false });
  });
});
