import { OPENED_CASE } from '../../../test/caseRecord.ts';
import { sentEvent, wordsEvent } from '../../../test/sentEvents.ts';
import { caseLoaded, casesReducer, changed, storedReceived } from './casesSlice.ts';
import { selectNow, selectRequest, type WithCases } from './selectors.ts';

const { id } = OPENED_CASE;
const NO_DESK: WithCases['desk'] = { experience: null, weather: null, clinic: null };
const loaded = casesReducer(undefined, caseLoaded({ record: OPENED_CASE }));
const change = (event: Parameters<typeof sentEvent>[0]) =>
  changed({ caseId: id, change: sentEvent(event) });
const request = (cases: WithCases['cases'], desk = NO_DESK) => selectRequest({ cases, desk }, id);

it('asks about the open plant, with the plant only when the advisor set it', () => {
  expect(request(loaded)?.body).toMatchObject({ words: '', channel: 'phone' });
  expect(request(loaded)?.body).not.toHaveProperty('plant');
  const chosen = casesReducer(
    loaded,
    change({ kind: 'plant-chosen', plantId: 'plant-1', plant: 'rose' }),
  );
  expect(request(chosen)?.body.plant).toBe('rose');
});

it('asks nothing again for a typed name or a save, and anew for words', () => {
  const worded = casesReducer(loaded, change(wordsEvent('roses')));
  const [pending] = worded.byId[id]?.pending ?? [];
  const named = casesReducer(worded, change({ kind: 'enquirer-set', name: 'Odile' }));
  if (!pending) throw new Error('nothing pending');
  const saved = casesReducer(
    named,
    storedReceived({ caseId: id, events: [{ ...pending, version: 1 }] }),
  );
  expect(saved.byId[id]?.confirmed.version).toBe(1);
  for (const state of [named, saved]) expect(request(state)?.key).toBe(request(worded)?.key);
  expect(request(loaded)?.key).not.toBe(request(worded)?.key);
});

describe('the station of the clinic', () => {
  const weatherOf = (date: string) => ({
    day: date,
    minCelsius: 8,
    maxCelsius: 18,
    rainMillimetres: 0,
    windKmh: null,
  });
  const desk: WithCases['desk'] = {
    experience: null,
    weather: {
      source: 'simulated',
      days: ['2026-06-11', '2026-06-12', '2026-06-13', '2026-06-14'].map(weatherOf),
    },
    clinic: {
      name: 'A clinic',
      region: 'A county',
      place: { lat: 44.6, lon: -67.9 },
      country: 'us',
      state: null,
      spelling: 'gb',
      today: '2026-06-15',
      now: '2026-06-15T12:00:00.000Z',
      address: '',
      hours: '',
      languages: '',
      approach: 'integrated',
      retentionDays: 400,
    },
  };
  const daysOf = (list: readonly { readonly day: string }[] | undefined) =>
    list?.map(({ day }) => day.slice(8));

  it('gives the advice the days before the call, and a plan those up to now', () => {
    expect(daysOf(request(loaded, desk)?.body.weather)).toEqual(['11', '12']);
    const now = selectNow({ cases: loaded, desk }, id);
    expect(daysOf(now.weather)).toEqual(['11', '12', '13', '14']);
    expect(now).toMatchObject({ today: '2026-06-15', simulated: true });
  });

  it('names the country of the clinic for a garden near it', () => {
    expect(request(loaded, desk)?.body.country).toBe('us');
  });

  it('names whose law holds and how texts are spelled', () => {
    const place = { lat: 51, lon: 0, town: 'Perth', country: 'gb', state: 'sct' };
    const found = casesReducer(loaded, change({ kind: 'place-set', plantId: 'plant-1', place }));
    expect(request(found, desk)?.body).toMatchObject({
      place: { lat: 51, lon: 0 },
      country: 'gb',
      state: 'sct',
      spelling: 'gb',
    });
    const own = { ...desk, clinic: desk.clinic && { ...desk.clinic, state: 'me' } };
    expect(request(loaded, own)?.body).toMatchObject({ country: 'us', state: 'me' });
  });

  it('gives none for a garden that lies far off', () => {
    const place = { lat: 51, lon: 0 };
    const far = casesReducer(loaded, change({ kind: 'place-set', plantId: 'plant-1', place }));
    expect(request(far, desk)?.body.weather).toEqual([]);
    expect(request(far, desk)?.body.country).toBeUndefined();
    expect(selectNow({ cases: far, desk }, id)).toMatchObject({ weather: [], simulated: false });
  });
});
