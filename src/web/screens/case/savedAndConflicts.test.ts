import type { Conflict } from '../../../contracts/cases.ts';
import { sentEvent, wordsEvent } from '../../../test/sentEvents.ts';
import { restoreEvent } from './restoreEvent.ts';
import { savedWords } from './savedWords.ts';

const pending = { ...sentEvent(wordsEvent('x')), sent: false };
const problem = { code: 'unavailable', field: null, message: '', cure: '' } as const;
const at = (state: Partial<Parameters<typeof savedWords>[0]>, kept = true) =>
  savedWords({ pending: [], refused: [], sync: { kind: 'idle' }, ...state }, kept);

it('says "Saved" only when everything is acknowledged, and else how much is not', () => {
  expect(at({})).toEqual({ text: 'Saved', careful: false });
  expect(at({ pending: [pending] }).text).toBe('Saving 1 change');
  expect(at({ pending: [pending, pending] }).text).toBe('Saving 2 changes');
  const waiting = { kind: 'waiting', problem } as const;
  expect(at({ pending: [pending], sync: waiting }).text).toBe(
    'Kept on this device, server not reached: 1 change',
  );
  const ended = { kind: 'waiting', problem: { ...problem, code: 'signed-out' } } as const;
  expect(at({ pending: [pending], sync: ended }).text).toMatch(/until you sign in/);
  expect(at({ pending: [pending], sync: waiting }, false).text).toMatch(/on this page only/);
  expect(at({ refused: [{ ...pending, problem }] })).toEqual({
    text: '1 change not accepted',
    careful: true,
  });
});

const conflict = (of: Partial<Conflict>): Conflict => ({
  id: 'c',
  field: 'name',
  plantId: null,
  about: null,
  kept: 'Odette',
  other: 'Odile',
  otherBy: 'Desk 1',
  ...of,
});

it.each([
  [conflict({}), { kind: 'enquirer-set', name: 'Odile' }],
  [conflict({ field: 'contact' }), { kind: 'enquirer-set', contact: 'Odile' }],
  [conflict({ field: 'call-back', other: 'null' }), { kind: 'call-back-set', on: null }],
  [conflict({ field: 'status', other: 'closed' }), { kind: 'status-set', status: 'closed' }],
  [conflict({ field: 'channel', other: 'email' }), { kind: 'channel-set', channel: 'email' }],
  [
    conflict({ field: 'plant', plantId: 'p', other: 'rose' }),
    { kind: 'plant-chosen', plantId: 'p', plant: 'rose' },
  ],
  [conflict({ field: 'words', plantId: 'p' }), null],
  [conflict({ field: 'channel', other: 'pigeon' }), null],
])('gives a field its other value: %j', (one, event) => {
  expect(restoreEvent(one)).toEqual(event);
});
