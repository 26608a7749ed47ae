import type { CaseEvent, LoggedEvent } from './caseEvents.ts';
import type { Conflict } from './cases.ts';

/** A field that an event sets, and the value as a text; two events contest when they set one field to different values. */
export interface SetField {
  readonly field: Conflict['field'];
  readonly plantId: string | null;
  readonly about: string | null;
  readonly value: string;
}

/** With keys in one order, as the database keeps none. */
const inOrder = (_key: string, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

const textOf = (value: unknown): string =>
  typeof value === 'string' ? value : JSON.stringify(value ?? null, inOrder);

function ofPlant(
  plantId: string,
  field: Conflict['field'],
  value: unknown,
  about: string | null = null,
): SetField[] {
  return [{ field, plantId, about, value: textOf(value) }];
}

const ofCase = (field: Conflict['field'], value: unknown): SetField[] =>
  value === undefined ? [] : [{ field, plantId: null, about: null, value: textOf(value) }];

/** The fields that an event sets. Words are merged instead, and what only adds or takes back sets none. */
export function fieldsSet(event: LoggedEvent | CaseEvent): readonly SetField[] {
  switch (event.kind) {
    case 'plant-chosen':
      return ofPlant(event.plantId, 'plant', event.plant);
    case 'date-set':
      return ofPlant(event.plantId, 'date', event.date);
    case 'place-set':
      return ofPlant(event.plantId, 'place', event.place);
    case 'approach-set':
      return ofPlant(event.plantId, 'approach', event.approach);
    case 'answer-given':
      return ofPlant(event.plantId, 'answer', event.answer.value, event.answer.finding);
    case 'outcome-set':
      return ofPlant(event.plantId, 'outcome', event.outcome);
    case 'harvest-set':
      return ofPlant(event.plantId, 'harvest', event.on);
    case 'label-read':
      return ofPlant(event.plantId, 'label', event.label, event.step);
    case 'event-seen':
      return ofPlant(event.plantId, 'seen', event.on, event.event);
    case 'dates-kept':
      return ofPlant(event.plantId, 'dates', event.dates);
    case 'channel-set':
      return ofCase('channel', event.channel);
    case 'enquirer-set':
      return [...ofCase('name', event.name), ...ofCase('contact', event.contact)];
    case 'call-back-set':
      return ofCase('call-back', event.on);
    case 'assignee-set':
      return ofCase('assignee', event.assignee?.name ?? '');
    case 'status-set':
      return ofCase('status', event.status);
    case 'follow-up-set':
      return ofPlant(event.plantId, 'follow-up', event.followUp);
    case 'sample-changed':
      return Object.entries(event.change).flatMap(([part, value]) =>
        ofPlant(event.plantId, 'sample', value, `${event.sample} ${part}`),
      );
    case 'consent-set':
      return Object.entries(event.consent).map(([part, value]) => ({
        field: 'consent',
        plantId: null,
        about: part,
        value: textOf(value),
      }));
    case 'words-edited':
    case 'words-set':
    case 'answer-withdrawn':
    case 'phrase-tied':
    case 'consulted':
    case 'closing-answer-stored':
    case 'step-done':
    case 'step-undone':
    case 'own-step-added':
    case 'own-step-removed':
    case 'step-left-out':
    case 'step-taken-in':
    case 'steps-ordered':
    case 'sheet-given':
    case 'sample-asked':
    case 'sample-removed':
    case 'plant-added':
    case 'plant-named':
    case 'plant-removed':
    case 'note-added':
    case 'note-removed':
    case 'release-set':
    case 'forgotten':
    case 'conflict-settled':
      return [];
  }
}
