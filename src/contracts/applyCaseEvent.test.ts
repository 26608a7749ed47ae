import { OPENED_CASE } from '../../tests/support/caseRecord.ts';
import { applyCaseEvent } from './applyCaseEvent.ts';
import type { CaseEvent, CaseRecord } from './cases.ts';

const RECORD = OPENED_CASE;
const after = (...events: CaseEvent[]): CaseRecord => events.reduce(applyCaseEvent, RECORD);
const answer = (value: boolean): CaseEvent => ({
  kind: 'answer-given',
  plantId: 'plant-1',
  answer: { finding: 'webbing', value, sure: 0.9 },
});

it('keeps one answer for each finding, the last', () => {
  expect(after(answer(true), answer(false)).plants[0]?.answers).toEqual([
    { finding: 'webbing', value: false, sure: 0.9 },
  ]);
});

it('withdraws an answer', () => {
  expect(
    after(answer(true), { kind: 'answer-withdrawn', plantId: 'plant-1', finding: 'webbing' }),
  ).toEqual(RECORD);
});

it('starts a further plant at the place and date of the first, once', () => {
  const add: CaseEvent = { kind: 'plant-added', plantId: 'plant-2' };
  const { plants } = after({ kind: 'words-set', plantId: 'plant-1', words: 'roses' }, add, add);
  expect(plants).toHaveLength(2);
  expect(plants[1]).toMatchObject({
    id: 'plant-2',
    words: '',
    date: '2026-06-13',
    place: { lat: 44.6, lon: -67.9 },
  });
});

it('changes nothing for a plant that does not exist', () => {
  expect(after({ kind: 'words-set', plantId: 'plant-9', words: 'x' })).toEqual(RECORD);
});

it.each<[CaseEvent, Partial<CaseRecord>]>([
  [{ kind: 'channel-set', channel: 'email' }, { channel: 'email' }],
  [
    { kind: 'enquirer-set', name: 'Odile', contact: 'by letter' },
    { enquirer: { name: 'Odile', contact: 'by letter' } },
  ],
  [{ kind: 'call-back-set', on: '2026-06-20' }, { callBackOn: '2026-06-20' }],
  [{ kind: 'status-set', status: 'closed' }, { status: 'closed' }],
])('applies %j', (event, change) => {
  expect(after(event)).toEqual({ ...RECORD, ...change });
});
