import { z } from 'zod';
import { APPROACHES, CHANNELS } from '../../../core/advice/context.ts';
import type { CaseEvent } from '../../../contracts/caseEvents.ts';
import { CASE_STATUSES, type Conflict } from '../../../contracts/cases.ts';

function oneOf<T extends string>(values: readonly T[], text: string): T | null {
  return values.find((value) => value === text) ?? null;
}

const dayOrNone = (text: string): string | null =>
  z.iso.date().safeParse(text).success ? text : null;

function ofPlant({ field, other }: Conflict, plantId: string): CaseEvent | null {
  if (field === 'plant')
    return { kind: 'plant-chosen', plantId, plant: other === 'null' ? null : other };
  if (field === 'date') return { kind: 'date-set', plantId, date: other };
  const approach = field === 'approach' ? oneOf(APPROACHES, other) : null;
  return approach && { kind: 'approach-set', plantId, approach };
}

/** The event that gives a field the other value of a conflict; null where that has to be done by hand. */
export function restoreEvent(conflict: Conflict): CaseEvent | null {
  const { field, other, plantId } = conflict;
  if (plantId !== null) return ofPlant(conflict, plantId);
  if (field === 'name') return { kind: 'enquirer-set', name: other };
  if (field === 'contact') return { kind: 'enquirer-set', contact: other };
  if (field === 'call-back') return { kind: 'call-back-set', on: dayOrNone(other) };
  const channel = field === 'channel' ? oneOf(CHANNELS, other) : null;
  if (channel) return { kind: 'channel-set', channel };
  const status = field === 'status' ? oneOf(CASE_STATUSES, other) : null;
  return status && { kind: 'status-set', status };
}
