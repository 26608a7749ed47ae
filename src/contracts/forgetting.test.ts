import fc from 'fast-check';
import { OPENED_CASE } from '../test/caseRecord.ts';
import { sentEvent, wordsEvent } from '../test/sentEvents.ts';
import { appendEvents } from './appendEvents.ts';
import { applyStoredEvent } from './applyCaseEvent.ts';
import type { CaseEvent } from './caseEvents.ts';
import { FORGETTING, forgottenEvent, logWithout, recordWithout, redactor } from './forgetting.ts';
import type { CaseRecord } from './cases.ts';

const redact = redactor({ name: 'Odile Farrant-Moss', contact: '(207) 555-0143' });

it.each([
  ['the whole name', 'Mrs. Odile Farrant-Moss rang', 'Mrs. [removed] rang'],
  ['in other letters', 'ODILE rang', '[removed] rang'],
  ['a part of it', 'Odile has a rose', '[removed] has a rose'],
  ['the number as it was written', 'ring (207) 555-0143', 'ring [removed]'],
  ['the number in another form', 'ring 207.555.0143 or 207 5550143', 'ring [removed] or [removed]'],
])('takes out %s', (_what, text, expected) => {
  expect(redact(text)).toBe(expected);
});

it('leaves other words and numbers as they are', () => {
  const text = 'The crocodile plant, 207 of them, Farranton Road';
  expect(redact(text)).toBe(text);
});

it('leaves a text as it is where nobody is named', () => {
  expect(redactor({ name: '', contact: ' ' })('Roses')).toBe('Roses');
});

it.each([
  ['Al', '1'],
  ['E', 'by'],
])('takes no part out of other words for %s, %s', (name, contact) => {
  const text = 'Salvia by the wall, 11 of them, eaten';
  expect(redactor({ name, contact })(text)).toBe(text);
});

const plantId = 'plant-1';
const EVENTS: readonly CaseEvent[] = [
  { kind: 'enquirer-set', name: 'Odile Farrant', contact: 'odile@letter.example' },
  wordsEvent('Odile has spots on her fern'),
  { kind: 'words-edited', plantId, edits: [{ at: 5, remove: '', insert: ' Farrant' }] },
  {
    kind: 'answer-given',
    plantId,
    answer: { id: 'a', finding: 'leaf-spots', value: true, sure: 0.9 },
  },
  { kind: 'phrase-tied', plantId, finding: 'leaf-spots', said: 'spots, says Odile' },
  { kind: 'own-step-added', plantId, step: { id: 's', text: 'Ring Odile', on: null } },
  ...['Fa', 'Farr', 'Farran', 'Farrant fern'].map((name): CaseEvent => ({
    kind: 'plant-named',
    plantId,
    name,
  })),
  {
    kind: 'note-added',
    note: { id: 'n', on: '2026-06-13', by: 'A', text: 'Odile rings after four' },
  },
  {
    kind: 'sheet-given',
    plantId,
    sheet: { on: '2026-06-13', how: 'print', text: 'Dear Odile Farrant' },
  },
  {
    kind: 'outcome-set',
    plantId,
    outcome: { cause: 'rust', confirmed: 'laboratory', on: '2026-06-13' },
  },
  {
    kind: 'follow-up-set',
    plantId,
    followUp: { on: '2026-06-13', followed: 'all', result: 'better', note: 'Odile is content' },
  },
  {
    kind: 'sample-asked',
    plantId,
    sample: {
      id: '7a1e5c0d-0000-4000-8000-000000000001',
      kind: 'soil-test',
      suspects: ['rust'],
      askedOn: '2026-06-01',
      sentOn: '2026-06-02',
      laboratory: 'A laboratory',
      dueOn: '2026-06-20',
      cost: 20,
      result: null,
    },
  },
  {
    kind: 'sample-changed',
    plantId,
    sample: '7a1e5c0d-0000-4000-8000-000000000001',
    change: {
      result: { on: '2026-06-12', kind: 'found', cause: 'rust', text: 'For Odile Farrant: rust' },
    },
  },
  { kind: 'plant-added', plantId: 'plant-2' },
  wordsEvent('odile@letter.example is the address', 'plant-2'),
];

function happened(events: readonly CaseEvent[]) {
  const sent = events.map((event) => sentEvent(event));
  const { record, applied } = appendEvents(OPENED_CASE, [], sent);
  return { record, log: applied };
}

it.each(FORGETTING)('of %s leaves nothing that names them, in the record and in its log', (how) => {
  const { record, log } = happened(EVENTS);
  const left = JSON.stringify([recordWithout(record, how), logWithout(log, record.enquirer, how)]);
  expect(left).not.toMatch(/odil|farr|letter\.example/i);
});

it('of names keeps the words that name nobody; of all keeps none', () => {
  const { record } = happened(EVENTS);
  expect(recordWithout(record, 'names').plants[0]?.words).toBe('[removed] has spots on her fern');
  expect(recordWithout(record, 'all').plants.map(({ words }) => words)).toEqual(['', '']);
});

it('of all keeps what is counted: plants, answers and outcomes', () => {
  const { record } = happened(EVENTS);
  const [plant] = recordWithout(record, 'all').plants;
  expect(plant?.answers).toEqual(record.plants[0]?.answers);
  expect(plant?.outcome).toEqual(record.plants[0]?.outcome);
});

it('leaves every id, day and choice as it is for somebody who is called like a plant', () => {
  const { record, log } = happened([
    { kind: 'enquirer-set', name: 'Rose Leaf-Rust', contact: '2026' },
    wordsEvent('Rose has spots on a rose'),
    { kind: 'plant-chosen', plantId, plant: 'rose' },
    {
      kind: 'answer-given',
      plantId,
      answer: { id: 'a', finding: 'leaf-spots', value: 'rust-spots', sure: 0.9 },
    },
    {
      kind: 'outcome-set',
      plantId,
      outcome: { cause: 'rose-rust', confirmed: 'laboratory', on: '2026-06-13' },
    },
    { kind: 'step-left-out', plantId, step: 'prune-rose' },
  ]);
  const [before] = record.plants;
  const [plant] = recordWithout(record, 'names').plants;
  expect(plant).toEqual({ ...before, words: '[removed] has spots on a [removed]' });
  const ids = logWithout(log, record.enquirer, 'names').flatMap(({ event }) =>
    'plantId' in event && event.kind !== 'words-edited' ? [event] : [],
  );
  expect(ids).toEqual(log.slice(2).map(({ event }) => event));
});

it('gives the same by replaying the log that is left, whatever happened', () => {
  fc.assert(
    fc.property(
      fc.subarray([...EVENTS.slice(1)]),
      fc.constantFrom(...FORGETTING),
      (chosen, how) => {
        const { record, log } = happened(EVENTS.slice(0, 1).concat(chosen));
        const left = recordWithout(record, how);
        const version = record.version + 1;
        const said = { ...sentEvent(forgottenEvent(left)), version };
        const replayed = [...logWithout(log, record.enquirer, how), said].reduce<CaseRecord>(
          applyStoredEvent,
          OPENED_CASE,
        );
        expect(replayed).toEqual({ ...left, version });
      },
    ),
    { seed: 11, numRuns: 200 },
  );
});
