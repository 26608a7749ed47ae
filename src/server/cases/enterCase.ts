import { createHash } from 'node:crypto';
import { appendEvents } from '../../contracts/appendEvents.ts';
import type { CaseEvent, SentEvent } from '../../contracts/caseEvents.ts';
import type { CasePlant, CaseRecord } from '../../contracts/cases.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { Queries } from '../db/connect.ts';
import { insertCase, insertEvents, readCase, saveCase } from './queries.ts';

/** An id that is the same for the same text, so that what is entered again is known. */
export function idOfText(text: string): string {
  const hex = createHash('sha256').update(text).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** A case that is entered whole, and what happened to it. */
export interface EnteredCase extends Pick<CaseRecord, 'id' | 'channel' | 'openedAt'> {
  readonly plant: CasePlant;
  readonly events: readonly CaseEvent[];
}

/** By whom, and from where. */
export interface EnteredBy {
  readonly author: string;
  readonly personId: string | null;
  readonly device: string;
}

/** Something of a case cannot have happened; thrown, so that the transaction keeps nothing of it. */
export class ImpossibleEvent extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message);
  }
}

/**
 * Enters a case with everything that happened to it; null when its id is taken. Must run inside a transaction. Throws an
 * {@link ImpossibleEvent} where one of the events cannot be applied.
 */
export async function enterCase(
  tx: Queries,
  clinicId: number,
  { events, ...opening }: EnteredCase,
  { author, personId, device }: EnteredBy,
): Promise<CaseRecord | null> {
  if (!(await insertCase(tx, clinicId, opening, null))) return null;
  const opened = await readCase(tx, clinicId, opening.id, true);
  if (!opened) return null;
  const sent = events.map((event, i): SentEvent => ({
    id: idOfText(`${opening.id} ${i}`),
    author,
    device,
    event,
    conflicts: [],
  }));
  const { record, applied, refused } = appendEvents(opened, [], sent);
  if (refused) throw new ImpossibleEvent(refused.problem);
  await saveCase(tx, opened, record, { clinicId, personId });
  await insertEvents(tx, opening.id, { baseVersion: 0, personId }, applied);
  return record;
}
