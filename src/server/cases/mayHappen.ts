import { can, type Action } from '../../contracts/access.ts';
import { CHANGES_ADVICE } from '../../contracts/applyCaseEvent.ts';
import type { CaseEvent, StoredEvent } from '../../contracts/caseEvents.ts';
import type { CaseRecord } from '../../contracts/cases.ts';
import type { Problem } from '../../contracts/problem.ts';
import { FORBIDDEN, type Actor } from '../access/guard.ts';

const NOT_RELEASED: Problem = {
  code: 'forbidden',
  field: 'release',
  message: 'An advisor has not released this advice yet.',
  cure: 'Ask for its release; it is given out and closed after that.',
};
const NOT_BY_THEM: Problem = {
  code: 'invalid-field',
  field: 'release.by',
  message: 'A release is signed by who is signed in.',
  cure: 'Send your own name.',
};
const WRITTEN_SINCE: Problem = {
  code: 'conflict',
  field: 'plantId',
  message: 'A colleague has written something about this plant since you looked at it.',
  cure: 'Read it, and remove the plant then.',
};
const NOTE_NOT_BY_THEM: Problem = {
  code: 'invalid-field',
  field: 'note.by',
  message: 'A note is signed by who is signed in.',
  cure: 'Send your own name.',
};
const CHANGED_SINCE: Problem = {
  code: 'conflict',
  field: 'release',
  message: 'The advice has changed since you looked at it.',
  cure: 'Read it as it is now, and release it then.',
};

/** What an event does, where it takes more than writing in a case. */
function actionOf(event: CaseEvent): Action {
  if (event.kind === 'sheet-given') return 'advice.give';
  if (event.kind === 'status-set' && event.status === 'closed') return 'advice.give';
  if (event.kind === 'release-set' && event.release.state !== 'asked') return 'advice.release';
  return 'cases.write';
}

/** A plant about which somebody has written something that its remover has not seen. */
function removalOfUnseen(event: CaseEvent, unseen: readonly StoredEvent[]): Problem | null {
  if (event.kind !== 'plant-removed') return null;
  const { plantId } = event;
  const isBlind = unseen.some(
    ({ event: written }) =>
      written.kind !== 'consulted' && 'plantId' in written && written.plantId === plantId,
  );
  return isBlind ? WRITTEN_SINCE : null;
}

/** A release that would cover what its giver has not seen, or that bears another name. */
function releaseProblem(
  { name }: Actor,
  event: CaseEvent,
  unseen: readonly StoredEvent[],
): Problem | null {
  if (event.kind !== 'release-set') return null;
  if (event.release.by !== name) return NOT_BY_THEM;
  const isBlind = unseen.some((one) => CHANGES_ADVICE.has(one.event.kind));
  return event.release.state === 'released' && isBlind ? CHANGED_SINCE : null;
}

/** Why somebody must not make an event happen to a case; null when they may. `unseen` happened since what they saw. */
export function refusalOf(
  actor: Actor,
  record: CaseRecord,
  event: CaseEvent,
  unseen: readonly StoredEvent[],
): Problem | null {
  const subject = { clinicId: actor.office.id, release: record.release?.state ?? null };
  if (event.kind === 'forgotten') return FORBIDDEN;
  if (!can(actor, actionOf(event), subject))
    return actionOf(event) === 'advice.give' ? NOT_RELEASED : FORBIDDEN;
  if (event.kind === 'note-added' && event.note.by !== actor.name) return NOTE_NOT_BY_THEM;
  return removalOfUnseen(event, unseen) ?? releaseProblem(actor, event, unseen);
}
