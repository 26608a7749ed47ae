import type { LoggedEvent, StoredEvent } from './caseEvents.ts';
import {
  leadingOf,
  NO_PLAN,
  type CasePlan,
  type CasePlant,
  type CaseRecord,
  type StoredAnswer,
} from './cases.ts';
import type { Consent, ConsentChange } from './followUps.ts';
import { MAX_SAMPLES, type Sample, type SampleChange } from './samples.ts';
import { applyEdits } from './textEdits.ts';

function changePlant(
  record: CaseRecord,
  plantId: string,
  change: (plant: CasePlant) => CasePlant,
): CaseRecord {
  return {
    ...record,
    plants: record.plants.map((plant) => (plant.id === plantId ? change(plant) : plant)),
  };
}

function changePlan(
  record: CaseRecord,
  plantId: string,
  change: (plan: CasePlan) => CasePlan,
): CaseRecord {
  return changePlant(record, plantId, (plant) => ({ ...plant, plan: change(plant.plan) }));
}

function withEvent(
  seen: CasePlan['seen'],
  { event, on }: { readonly event: string; readonly on: string | null },
): CasePlan['seen'] {
  const others = Object.entries(seen).filter(([name]) => name !== event);
  return Object.fromEntries(on === null ? others : [...others, [event, on]]);
}

interface StepDay {
  readonly step: string;
  readonly on: string;
}

const withoutStepDay = (days: CasePlan['done'], { step, on }: StepDay): CasePlan['done'] =>
  days.filter((one) => one.step !== step || one.on !== on);

/** Answers of earlier versions have no id; they are known by their finding. */
function withAnswer(
  answers: readonly StoredAnswer[],
  answer: Omit<StoredAnswer, 'id'> & { readonly id?: string },
): StoredAnswer[] {
  const others = answers.filter(({ finding }) => finding !== answer.finding);
  return [...others, { ...answer, id: answer.id ?? answer.finding }];
}

function withSample(samples: CasePlant['samples'], sample: Sample): CasePlant['samples'] {
  const isKnown = samples.some(({ id }) => id === sample.id);
  return isKnown || samples.length >= MAX_SAMPLES ? samples : [...samples, sample];
}

/** A sample with the fields that a change names. */
function changedSample(
  sample: Sample,
  {
    sentOn = sample.sentOn,
    laboratory = sample.laboratory,
    dueOn = sample.dueOn,
    cost = sample.cost,
    result = sample.result,
  }: SampleChange,
): Sample {
  return { ...sample, sentOn, laboratory, dueOn, cost, result };
}

const changedConsent = (
  consent: Consent,
  { callBack = consent.callBack, photographs = consent.photographs }: ConsentChange,
): Consent => ({ callBack, photographs });

/** A plant of which nothing was said yet. */
export function emptyPlant(
  id: string,
  date: string,
  { lat, lon, height }: Readonly<CasePlant['place']>,
): CasePlant {
  return {
    id,
    name: '',
    words: '',
    plant: null,
    date,
    place: { lat, lon, height },
    approach: 'integrated',
    answers: [],
    knowledgeVersion: null,
    leading: null,
    closingAnswer: null,
    outcome: null,
    followUp: null,
    samples: [],
    plan: NO_PLAN,
  };
}

/** A further plant of the same call starts at the same place, date and approach as the first. */
function addPlant(record: CaseRecord, plantId: string): CaseRecord {
  const [first] = record.plants;
  if (!first || record.plants.some(({ id }) => id === plantId)) return record;
  const fresh = {
    ...emptyPlant(plantId, first.date, first.place),
    approach: first.approach,
  };
  return { ...record, plants: [...record.plants, fresh] };
}

/** Events after which the answer of closing is no longer the answer to what the plant says. */
const CHANGES_ANSWER: ReadonlySet<LoggedEvent['kind']> = new Set<LoggedEvent['kind']>([
  'words-edited',
  'words-set',
  'plant-chosen',
  'date-set',
  'place-set',
  'approach-set',
  'answer-given',
  'answer-withdrawn',
]);

/** Events after which advice is another than the one that was released. */
export const CHANGES_ADVICE: ReadonlySet<LoggedEvent['kind']> = new Set<LoggedEvent['kind']>([
  ...CHANGES_ANSWER,
  'plant-added',
  'plant-removed',
  'label-read',
  'own-step-added',
  'own-step-removed',
  'step-left-out',
  'step-taken-in',
]);

function withoutOldRelease(record: CaseRecord, event: LoggedEvent): CaseRecord {
  const isOld = record.release?.state === 'released' && CHANGES_ADVICE.has(event.kind);
  return isOld ? { ...record, release: null } : record;
}

function withoutOldAnswer(record: CaseRecord, event: LoggedEvent): CaseRecord {
  if (!CHANGES_ANSWER.has(event.kind) || !('plantId' in event)) return record;
  return changePlant(record, event.plantId, (plant) =>
    plant.closingAnswer === null ? plant : { ...plant, closingAnswer: null },
  );
}

/**
 * The record after an event. Pure, and the same on both sides of the network: the client shows it at
 * once, the server keeps it. An event about a plant that does not exist changes nothing. The version is
 * counted by the server, not here.
 */
export function applyCaseEvent(record: CaseRecord, event: LoggedEvent): CaseRecord {
  return afterEvent(withoutOldRelease(withoutOldAnswer(record, event), event), event);
}

function afterEvent(record: CaseRecord, event: LoggedEvent): CaseRecord {
  switch (event.kind) {
    case 'words-edited':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        words: applyEdits(plant.words, event.edits) ?? plant.words,
      }));
    case 'words-set':
      return changePlant(record, event.plantId, (plant) => ({ ...plant, words: event.words }));
    case 'plant-chosen':
      return changePlant(record, event.plantId, (plant) => ({ ...plant, plant: event.plant }));
    case 'date-set':
      return changePlant(record, event.plantId, (plant) => ({ ...plant, date: event.date }));
    case 'place-set':
      return changePlant(record, event.plantId, (plant) => ({ ...plant, place: event.place }));
    case 'approach-set':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        approach: event.approach,
      }));
    case 'answer-given':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        answers: withAnswer(plant.answers, event.answer),
      }));
    case 'answer-withdrawn':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        answers: plant.answers.filter(({ id, finding }) =>
          'answerId' in event ? id !== event.answerId : finding !== event.finding,
        ),
      }));
    case 'phrase-tied':
      // Kept for the library's editors; the case itself is told by the answer that goes with it.
      return record;
    case 'consulted':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        knowledgeVersion: event.knowledgeVersion,
        leading: event.leading ?? plant.leading,
      }));
    case 'closing-answer-stored':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        closingAnswer: event.answer,
        leading: event.answer ? leadingOf(event.answer) : plant.leading,
      }));
    case 'outcome-set':
      return changePlant(record, event.plantId, (plant) => ({ ...plant, outcome: event.outcome }));
    case 'follow-up-set':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        followUp: event.followUp,
      }));
    case 'sample-asked':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        samples: withSample(plant.samples, event.sample),
      }));
    case 'sample-changed':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        samples: plant.samples.map((one) =>
          one.id === event.sample ? changedSample(one, event.change) : one,
        ),
      }));
    case 'sample-removed':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        samples: plant.samples.filter(({ id }) => id !== event.sample),
      }));
    case 'harvest-set':
      return changePlan(record, event.plantId, (plan) => ({ ...plan, harvest: event.on }));
    case 'label-read':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        labels: { ...plan.labels, [event.step]: event.label },
      }));
    case 'step-done':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        done: [...withoutStepDay(plan.done, event), { step: event.step, on: event.on }],
      }));
    case 'step-undone':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        done: withoutStepDay(plan.done, event),
      }));
    case 'dates-kept':
      return changePlan(record, event.plantId, (plan) => ({ ...plan, kept: event.dates }));
    case 'sheet-given':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        given: [...plan.given, event.sheet].slice(-MAX_GIVEN),
      }));
    case 'own-step-added':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        own: [...plan.own.filter(({ id }) => id !== event.step.id), event.step],
      }));
    case 'own-step-removed':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        own: plan.own.filter(({ id }) => id !== event.step),
      }));
    case 'step-left-out':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        leftOut: [...plan.leftOut.filter((one) => one !== event.step), event.step],
      }));
    case 'step-taken-in':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        leftOut: plan.leftOut.filter((one) => one !== event.step),
      }));
    case 'steps-ordered':
      return changePlan(record, event.plantId, (plan) => ({ ...plan, order: event.order }));
    case 'event-seen':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        seen: withEvent(plan.seen, event),
      }));
    case 'plant-added':
      return addPlant(record, event.plantId);
    case 'plant-named':
      return changePlant(record, event.plantId, (plant) => ({ ...plant, name: event.name }));
    case 'plant-removed':
      return record.plants.length < 2
        ? record
        : { ...record, plants: record.plants.filter(({ id }) => id !== event.plantId) };
    case 'channel-set':
      return { ...record, channel: event.channel };
    case 'enquirer-set':
      return {
        ...record,
        enquirer: {
          name: event.name ?? record.enquirer.name,
          contact: event.contact ?? record.enquirer.contact,
        },
      };
    case 'consent-set':
      return { ...record, consent: changedConsent(record.consent, event.consent) };
    case 'call-back-set':
      return { ...record, callBackOn: event.on };
    case 'assignee-set':
      return { ...record, assignee: event.assignee };
    case 'note-added':
      return record.notes.some(({ id }) => id === event.note.id)
        ? record
        : { ...record, notes: [...record.notes, event.note] };
    case 'note-removed':
      return { ...record, notes: record.notes.filter(({ id }) => id !== event.noteId) };
    case 'status-set':
      return { ...record, status: event.status };
    case 'forgotten':
      return {
        ...record,
        enquirer: { name: '', contact: '' },
        conflicts: [],
        notes: [],
        release: record.release && { ...record.release, note: '' },
        plants: record.plants.map((plant) => ({
          ...plant,
          name: '',
          words: event.words[plant.id] ?? plant.words,
        })),
      };
    case 'release-set':
      return { ...record, release: event.release };
    case 'conflict-settled':
      return {
        ...record,
        conflicts: record.conflicts.filter(({ id }) => id !== event.conflictId),
      };
  }
}

/** Sheets that a plant keeps at most; the oldest give way, and stay in the log. */
const MAX_GIVEN = 20;

/** Conflicts that a case keeps at most; the oldest give way, and stay in the log. */
const MAX_CONFLICTS = 50;

/** The record after a stored event: its change, its conflicts and its version. */
export function applyStoredEvent(
  record: CaseRecord,
  { version, event, conflicts }: StoredEvent,
): CaseRecord {
  const after = applyCaseEvent(record, event);
  const known = new Set(after.conflicts.map(({ id }) => id));
  const fresh = conflicts.filter(({ id }) => !known.has(id));
  return {
    ...after,
    version,
    conflicts: [...after.conflicts, ...fresh].slice(-MAX_CONFLICTS),
  };
}
