import { applyCaseEvent } from '../../../contracts/applyCaseEvent.ts';
import { problemOfEvent } from '../../../contracts/appendEvents.ts';
import type { CaseEvent } from '../../../contracts/caseEvents.ts';
import type { CaseRecord } from '../../../contracts/cases.ts';
import { OPENED_CASE } from '../../../test/caseRecord.ts';
import { joiningEvents, splittingEvents } from './splitAndJoin.ts';

const said = (plantId: string, insert: string): CaseEvent => ({
  kind: 'words-edited',
  plantId,
  edits: [{ at: 0, remove: '', insert }],
});
const answered = (plantId: string, finding: string, value: boolean): CaseEvent => ({
  kind: 'answer-given',
  plantId,
  answer: { id: `${plantId} ${finding}`, finding, value, sure: 0.85 },
});
const after = (events: readonly CaseEvent[], record: CaseRecord = OPENED_CASE): CaseRecord =>
  events.reduce(applyCaseEvent, record);

const two = after([
  said('plant-1', 'My rose has spots.'),
  answered('plant-1', 'webbing', true),
  { kind: 'plant-added', plantId: 'b' },
  said('b', 'They came in May.'),
  answered('b', 'webbing', false),
  answered('b', 'ants', true),
]);

describe('a plant joined to another', () => {
  it('gives it its words and the answers that it lacks, and goes', () => {
    const [to, from] = two.plants;
    if (!to || !from) throw new Error('no plants');
    const joined = after(joiningEvents(from, to), two);
    expect(joined.plants).toHaveLength(1);
    expect(joined.plants[0]?.words).toBe('My rose has spots.\nThey came in May.');
    expect(joined.plants[0]?.answers.map(({ finding, value }) => [finding, value])).toEqual([
      ['webbing', true],
      ['ants', true],
    ]);
  });
});

describe('a plant split at the cursor', () => {
  const one = after([said('plant-1', 'My rose has spots. The fern too.')]);
  const [plant] = one.plants;
  if (!plant) throw new Error('no plant');

  it('gives the words behind the cursor a tab of their own', () => {
    const split = after(splittingEvents(plant, 18, 'b'), one);
    expect(split.plants.map(({ words }) => words)).toEqual(['My rose has spots.', 'The fern too.']);
  });

  it('is left whole where one side would be empty', () => {
    expect(splittingEvents(plant, 0, 'b')).toEqual([]);
    expect(splittingEvents(plant, plant.words.length, 'b')).toEqual([]);
  });
});

describe('a plant', () => {
  it('is not removed where it is the only one, or where something is kept with it', () => {
    const remove: CaseEvent = { kind: 'plant-removed', plantId: 'plant-1' };
    expect(problemOfEvent(OPENED_CASE, remove)).toMatchObject({ field: 'plantId' });
    expect(applyCaseEvent(OPENED_CASE, remove)).toEqual(OPENED_CASE);
    expect(problemOfEvent(two, remove)).toBeNull();
    const outcome = { cause: 'rust', confirmed: 'laboratory', on: '2026-06-13' } as const;
    const known = after([{ kind: 'outcome-set', plantId: 'plant-1', outcome }], two);
    expect(problemOfEvent(known, remove)).toMatchObject({ field: 'plantId' });
  });

  it('goes by the name that it was given', () => {
    const named = after([{ kind: 'plant-named', plantId: 'b', name: 'By the gate' }], two);
    expect(named.plants[1]?.name).toBe('By the gate');
  });
});
