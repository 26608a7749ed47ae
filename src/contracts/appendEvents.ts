import { applyStoredEvent } from './applyCaseEvent.ts';
import { sentEventSchema, type SentEvent, type StoredEvent } from './caseEvents.ts';
import {
  MAX_ANSWERS,
  MAX_NOTES,
  MAX_PLAN_ENTRIES,
  MAX_PLANTS,
  type CasePlant,
  type CaseRecord,
} from './cases.ts';
import { MAX_CHARACTERS } from './consult.ts';
import { MAX_SAMPLES } from './samples.ts';
import { problemFrom, type Problem } from './problem.ts';
import { rebaseEvents, wordsBefore, wordsByPlant } from './rebaseEvents.ts';
import { applyEdits } from './textEdits.ts';

/** What came of a sending. */
export interface AppendOutcome {
  /** The record after all that was applied. */
  readonly record: CaseRecord;
  /** What was applied now, with the versions it made. */
  readonly applied: readonly StoredEvent[];
  readonly refused: { readonly index: number; readonly problem: Problem } | null;
}

const tooMany = (field: string, what: string, cure: string): Problem => ({
  code: 'too-large',
  field,
  message: `This case has as many ${what} as one may have.`,
  cure,
});

function wordsProblem(plant: CasePlant, event: SentEvent['event']): Problem | null {
  if (event.kind !== 'words-edited') return null;
  const after = applyEdits(plant.words, event.edits);
  if (after === null)
    return {
      code: 'conflict',
      field: 'edits',
      message: 'The words at that place are no longer the ones that were changed.',
      cure: 'Copy your words, open the case again and put them in.',
    };
  if (after.length <= MAX_CHARACTERS || after.length <= plant.words.length) return null;
  return {
    code: 'too-large',
    field: 'words',
    message: `The words would be longer than ${MAX_CHARACTERS} characters.`,
    cure: 'Shorten them, or open a second plant for the rest.',
  };
}

/** Events that make a list of the plan longer. */
const GROWS: readonly SentEvent['event']['kind'][] = [
  'step-done',
  'label-read',
  'event-seen',
  'own-step-added',
  'step-left-out',
];

const LAST_PLANT: Problem = {
  code: 'invalid-field',
  field: 'plantId',
  message: 'It is the only plant of this case.',
  cure: 'Change its words, or close the case.',
};
const KEEPS_SOMETHING: Problem = {
  code: 'invalid-field',
  field: 'plantId',
  message: 'A sample, a sheet that was given or an outcome is kept with this plant.',
  cure: 'Leave the plant where it is.',
};

/** Why a plant cannot be removed; null when it can. */
export function removalProblem(
  { plants }: Pick<CaseRecord, 'plants'>,
  { samples, plan, outcome, followUp }: CasePlant,
): Problem | null {
  if (plants.length < 2) return LAST_PLANT;
  const isKept = samples.length + plan.given.length > 0 || outcome !== null || followUp !== null;
  return isKept ? KEEPS_SOMETHING : null;
}

function plantProblem(plant: CasePlant, event: SentEvent['event']): Problem | null {
  const { answers, plan } = plant;
  if (event.kind === 'answer-given') {
    const known = answers.some(({ finding }) => finding === event.answer.finding);
    if (!known && answers.length >= MAX_ANSWERS)
      return tooMany('answer', 'answers', 'Take one back first.');
  }
  if (event.kind === 'sample-asked') {
    const known = plant.samples.some(({ id }) => id === event.sample.id);
    if (!known && plant.samples.length >= MAX_SAMPLES)
      return tooMany('sample', 'samples', 'Remove one that was not sent.');
  }
  const lists = [
    plan.done,
    Object.keys(plan.labels),
    Object.keys(plan.seen),
    plan.own,
    plan.leftOut,
  ];
  const grows = GROWS.includes(event.kind);
  if (grows && lists.some(({ length }) => length >= MAX_PLAN_ENTRIES))
    return tooMany('plan', 'entries in its plan', 'Take one back first.');
  return wordsProblem(plant, event);
}

/** Why an event cannot be applied to a record; null when it can. */
export function problemOfEvent(record: CaseRecord, event: SentEvent['event']): Problem | null {
  if (event.kind === 'plant-added') {
    const known = record.plants.some(({ id }) => id === event.plantId);
    return known || record.plants.length < MAX_PLANTS
      ? null
      : tooMany('plantId', 'plants', 'Open another case for this one.');
  }
  if (event.kind === 'note-added' && record.notes.length >= MAX_NOTES)
    return tooMany('note', 'notes', 'Remove one that has been dealt with.');
  if (!('plantId' in event)) return null;
  const plant = record.plants.find(({ id }) => id === event.plantId);
  if (plant && event.kind === 'plant-removed') return removalProblem(record, plant);
  if (plant) return plantProblem(plant, event);
  return {
    code: 'invalid-field',
    field: 'plantId',
    message: 'There is no such plant in this case.',
    cure: 'Add the plant before anything about it.',
  };
}

const REPEATED: Problem = {
  code: 'invalid-field',
  field: 'id',
  message: 'Two events of this sending have one id.',
  cure: 'Give each event an id of its own.',
};

function readEvents(sent: readonly unknown[]): {
  readonly events: readonly SentEvent[];
  readonly refused: AppendOutcome['refused'];
} {
  const events: SentEvent[] = [];
  for (const [index, one] of sent.entries()) {
    const parsed = sentEventSchema.safeParse(one);
    const repeated = parsed.success && events.some(({ id }) => id === parsed.data.id);
    if (repeated) return { events, refused: { index, problem: REPEATED } };
    if (!parsed.success) return { events, refused: { index, problem: problemFrom(parsed.error) } };
    events.push(parsed.data);
  }
  return { events, refused: null };
}

/** Who sends, and what they may do. */
export interface Sender {
  /** Stands with every event, whatever the event says of it. */
  readonly author: string;
  /** Why an event must not happen to a record; null when it may. */
  readonly mayHappen: (record: CaseRecord, event: SentEvent['event']) => Problem | null;
}

/**
 * Applies a sending to a case, each event once. `log` holds every event since the version that the sending was made on;
 * `sent` are its events as they came. Those that are in the log already are passed over, the others are put on top of it.
 * The first event that cannot be applied is refused, and those behind it wait. Without a sender every event may happen.
 */
export function appendEvents(
  record: CaseRecord,
  log: readonly StoredEvent[],
  sent: readonly unknown[],
  sender: Sender | null = null,
): AppendOutcome {
  const { events, refused } = readEvents(sent);
  const words = wordsBefore(wordsByPlant(record), log);
  const { pending } = rebaseEvents(words, events, log);
  const applied: StoredEvent[] = [];
  let after = record;
  for (const [i, one] of pending.entries()) {
    const problem = problemOfEvent(after, one.event) ?? sender?.mayHappen(after, one.event) ?? null;
    if (problem)
      return {
        record: after,
        applied,
        refused: { index: events.length - pending.length + i, problem },
      };
    const stored: StoredEvent = {
      ...one,
      author: sender?.author ?? one.author,
      version: after.version + 1,
    };
    applied.push(stored);
    after = applyStoredEvent(after, stored);
  }
  return { record: after, applied, refused };
}
