import { OPENED_CASE } from '../test/caseRecord.ts';
import { applyCaseEvent } from './applyCaseEvent.ts';
import type { CaseEvent, LoggedEvent } from './caseEvents.ts';
import type { ConsentChange } from './followUps.ts';
import type { Sample, SampleChange } from './samples.ts';
import { caseRecordSchema, NO_PLAN, type CaseRecord } from './cases.ts';

const RECORD = OPENED_CASE;
const after = (...events: LoggedEvent[]): CaseRecord => events.reduce(applyCaseEvent, RECORD);
const answer = (value: boolean): CaseEvent => ({
  kind: 'answer-given',
  plantId: 'plant-1',
  answer: { id: `answer-${String(value)}`, finding: 'webbing', value, sure: 0.9 },
});

it('keeps one answer for each finding, the last', () => {
  expect(after(answer(true), answer(false)).plants[0]?.answers).toEqual([
    { id: 'answer-false', finding: 'webbing', value: false, sure: 0.9 },
  ]);
});

const withdrawn = (answerId: string): CaseEvent => ({
  kind: 'answer-withdrawn',
  plantId: 'plant-1',
  answerId,
});

it('withdraws an answer, and no newer one about the same finding', () => {
  expect(after(answer(true), withdrawn('answer-true'))).toEqual(RECORD);
  expect(after(answer(true), answer(false), withdrawn('answer-true'))).toEqual(
    after(answer(false)),
  );
});

it('replays events as earlier versions wrote them', () => {
  const [plant] = after(
    { kind: 'words-set', plantId: 'plant-1', words: 'roses' },
    {
      kind: 'answer-given',
      plantId: 'plant-1',
      answer: { finding: 'webbing', value: true, sure: 1 },
    },
    {
      kind: 'answer-given',
      plantId: 'plant-1',
      answer: { finding: 'galls', value: true, sure: 1 },
    },
    { kind: 'answer-withdrawn', plantId: 'plant-1', finding: 'webbing' },
  ).plants;
  expect(plant).toMatchObject({ words: 'roses', answers: [{ id: 'galls', finding: 'galls' }] });
});

it('edits words, and sets of the enquirer only what is named', () => {
  const edits = [{ at: 0, remove: '', insert: 'red ' }];
  const { plants, enquirer } = after(
    { kind: 'words-set', plantId: 'plant-1', words: 'roses' },
    { kind: 'words-edited', plantId: 'plant-1', edits },
    { kind: 'enquirer-set', name: 'Odile' },
    { kind: 'enquirer-set', contact: 'by letter' },
  );
  expect(plants[0]?.words).toBe('red roses');
  expect(enquirer).toEqual({ name: 'Odile', contact: 'by letter' });
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

it('keeps notes once each until they are removed, and loses them when the case is forgotten', () => {
  const note = { id: 'n', on: '2026-06-13', by: 'A', text: 'Ring after four.' };
  const added: CaseEvent = { kind: 'note-added', note };
  const once = [added, added].reduce(applyCaseEvent, OPENED_CASE);
  expect(once.notes).toEqual([note]);
  expect(applyCaseEvent(once, { kind: 'note-removed', noteId: 'n' }).notes).toEqual([]);
  expect(applyCaseEvent(once, { kind: 'forgotten', words: {} }).notes).toEqual([]);
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

describe('the plan of a plant', () => {
  const plantId = 'plant-1';
  const planAfter = (...events: CaseEvent[]): unknown => after(...events).plants[0]?.plan;

  it('keeps what was done once, and takes it back', () => {
    const done: CaseEvent = { kind: 'step-done', plantId, step: 'soap', on: '2026-06-13' };
    expect(planAfter(done, done)).toMatchObject({ done: [{ step: 'soap', on: '2026-06-13' }] });
    expect(planAfter(done, { ...done, kind: 'step-undone' })).toEqual(NO_PLAN);
  });
  it('keeps own steps once, what was left out once, and the last order', () => {
    const step = { id: 'own-1', text: 'Ring the neighbor.', on: null };
    const added: CaseEvent = { kind: 'own-step-added', plantId, step };
    const left: CaseEvent = { kind: 'step-left-out', plantId, step: 'soap' };
    expect(planAfter(added, added, left, left)).toMatchObject({ own: [step], leftOut: ['soap'] });
    expect(
      planAfter(
        added,
        left,
        { kind: 'steps-ordered', plantId, order: ['b', 'a'] },
        { kind: 'steps-ordered', plantId, order: ['a', 'b'] },
        { kind: 'own-step-removed', plantId, step: 'own-1' },
        { kind: 'step-taken-in', plantId, step: 'soap' },
      ),
    ).toEqual({ ...NO_PLAN, order: ['a', 'b'] });
  });
  it('keeps labels, the harvest, events and the dates that were told', () => {
    const label = { daysToHarvest: 7, reentryHours: 4, mostPerYear: 3, everyDays: null, text: '' };
    const dates = [{ step: 'soap', number: 1, on: '2026-06-15' }];
    expect(
      planAfter(
        { kind: 'label-read', plantId, step: 'soap', label },
        { kind: 'harvest-set', plantId, on: '2026-08-01' },
        { kind: 'event-seen', plantId, event: 'first moth', on: '2026-05-20' },
        { kind: 'dates-kept', plantId, dates },
      ),
    ).toEqual({
      ...NO_PLAN,
      harvest: '2026-08-01',
      labels: { soap: label },
      done: [],
      kept: dates,
      seen: { 'first moth': '2026-05-20' },
      given: [],
    });
  });
  it('keeps the last sheets that were given, each with its exact text', () => {
    const give = (n: number) => ({
      kind: 'sheet-given' as const,
      plantId,
      sheet: { on: '2026-06-13', how: 'print' as const, text: `Sheet ${n}` },
    });
    const plan = planAfter(...Array.from({ length: 25 }, (_, n) => give(n)));
    const given = Array.from({ length: 20 }, (_, n) => give(n + 5).sheet);
    expect(plan).toEqual({ ...NO_PLAN, given });
  });
  it('forgets an event that was not seen after all', () => {
    const seen = { kind: 'event-seen', plantId, event: 'first moth' } as const;
    expect(planAfter({ ...seen, on: '2026-05-20' }, { ...seen, on: null })).toEqual(NO_PLAN);
  });
});

describe('the answer that a case was closed with', () => {
  const [plant] = RECORD.plants;

  it.each([
    ['an earlier version stored in another form', { closingAnswer: { headline: 'as it was' } }],
    ['is not there', { closingAnswer: undefined }],
  ])('is read as none where it %s', (_name, stored) => {
    const read = caseRecordSchema.parse({ ...RECORD, plants: [{ ...plant, ...stored }] });
    expect(read.plants[0]?.closingAnswer).toBeNull();
  });
});

describe('samples', () => {
  const id = '7a1e5c0d-0000-4000-8000-000000000001';
  const sample: Sample = {
    id,
    kind: 'soil-test',
    suspects: ['rust'],
    askedOn: '2026-06-01',
    sentOn: null,
    laboratory: '',
    dueOn: null,
    cost: null,
    result: null,
  };
  const asked: CaseEvent = { kind: 'sample-asked', plantId: 'plant-1', sample };
  const changed = (change: SampleChange): CaseEvent => ({
    kind: 'sample-changed',
    plantId: 'plant-1',
    sample: id,
    change,
  });

  it('are asked for once, change by the fields that are named, and are removed', () => {
    expect(after(asked, asked).plants[0]?.samples).toEqual([sample]);
    const sent = after(asked, changed({ sentOn: '2026-06-02' }), changed({ cost: 25 }));
    expect(sent.plants[0]?.samples).toEqual([{ ...sample, sentOn: '2026-06-02', cost: 25 }]);
    const removed: CaseEvent = { kind: 'sample-removed', plantId: 'plant-1', sample: id };
    expect(after(asked, removed)).toEqual(RECORD);
  });

  it('take a result and give it back', () => {
    const result = { on: '2026-06-12', kind: 'found', cause: 'rust', text: '' } as const;
    expect(after(asked, changed({ result })).plants[0]?.samples[0]?.result).toEqual(result);
    expect(after(asked, changed({ result }), changed({ result: null })).plants[0]?.samples).toEqual(
      [sample],
    );
  });
});

it('keeps what the enquirer agreed to, field by field', () => {
  const agreed = (consent: ConsentChange): CaseEvent => ({ kind: 'consent-set', consent });
  expect(after(agreed({ callBack: true }), agreed({ photographs: false })).consent).toEqual({
    callBack: true,
    photographs: false,
  });
});
