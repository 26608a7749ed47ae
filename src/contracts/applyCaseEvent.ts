import {
  NO_PLAN,
  type CaseEvent,
  type CasePlan,
  type CasePlant,
  type CaseRecord,
} from './cases.ts';

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

/** A plant of which nothing was said yet. */
export function freshPlant(
  id: string,
  date: string,
  { lat, lon, height }: Readonly<CasePlant['place']>,
): CasePlant {
  return {
    id,
    words: '',
    plant: null,
    date,
    place: { lat, lon, height },
    approach: 'integrated',
    answers: [],
    knowledgeVersion: null,
    outcome: null,
    plan: NO_PLAN,
  };
}

/** A further plant of the same call starts at the same place, date and approach as the first. */
function addPlant(record: CaseRecord, plantId: string): CaseRecord {
  const [first] = record.plants;
  if (!first || record.plants.some(({ id }) => id === plantId)) return record;
  const fresh = {
    ...freshPlant(plantId, first.date, first.place),
    approach: first.approach,
  };
  return { ...record, plants: [...record.plants, fresh] };
}

/**
 * The record after an event. Pure, and the same on both sides of the network: the client shows it at
 * once, the server keeps it. An event about a plant that does not exist changes nothing. The version is
 * counted by the server, not here.
 */
export function applyCaseEvent(record: CaseRecord, event: CaseEvent): CaseRecord {
  switch (event.kind) {
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
        answers: [
          ...plant.answers.filter(({ finding }) => finding !== event.answer.finding),
          event.answer,
        ],
      }));
    case 'answer-withdrawn':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        answers: plant.answers.filter(({ finding }) => finding !== event.finding),
      }));
    case 'phrase-tied':
      // Kept for the library's editors; the case itself is told by the answer that goes with it.
      return record;
    case 'consulted':
      return changePlant(record, event.plantId, (plant) => ({
        ...plant,
        knowledgeVersion: event.knowledgeVersion,
      }));
    case 'outcome-set':
      return changePlant(record, event.plantId, (plant) => ({ ...plant, outcome: event.outcome }));
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
    case 'event-seen':
      return changePlan(record, event.plantId, (plan) => ({
        ...plan,
        seen: withEvent(plan.seen, event),
      }));
    case 'plant-added':
      return addPlant(record, event.plantId);
    case 'channel-set':
      return { ...record, channel: event.channel };
    case 'enquirer-set':
      return { ...record, enquirer: { name: event.name, contact: event.contact } };
    case 'call-back-set':
      return { ...record, callBackOn: event.on };
    case 'status-set':
      return { ...record, status: event.status };
  }
}
