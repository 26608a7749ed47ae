import type { CaseEvent, CasePlant, CaseRecord } from './cases.ts';

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

/** A further plant of the same call starts at the same place and date as the first. */
function addPlant(record: CaseRecord, plantId: string): CaseRecord {
  const [first] = record.plants;
  if (!first || record.plants.some(({ id }) => id === plantId)) return record;
  const fresh: CasePlant = {
    ...first,
    id: plantId,
    words: '',
    plant: null,
    answers: [],
    knowledgeVersion: null,
    outcome: null,
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
