import { caseEventSchema, type CaseEvent, type SentEvent } from '../../../contracts/caseEvents.ts';
import { newId } from '../../../contracts/ids.ts';
import { mergeEdits } from '../../../contracts/mergeEdits.ts';
import { problemFrom, type Problem } from '../../../contracts/problem.ts';
import { applyEdits, type TextEdits } from '../../../contracts/textEdits.ts';
import { editsBetween } from './arrivals.ts';
import type { CasesStore } from './caseSync.ts';
import { changed } from './casesSlice.ts';
import { selectRecord, type WithCases } from './selectors.ts';

/** Who makes changes on this page. */
export interface Author {
  readonly author: string;
  readonly device: string;
}

/** A store that holds cases, as far as changes need it. */
export interface ChangeStore extends CasesStore {
  readonly getState: () => WithCases;
}

/**
 * Makes an event happen to a case: it shows at once and is sent. Returns why it could not, when a value is none that
 * the server would take; then nothing has changed.
 */
export function recordEvent(
  store: ChangeStore,
  { author, device }: Author,
  caseId: string,
  event: CaseEvent,
): Problem | null {
  const checked = caseEventSchema.safeParse(event);
  if (!checked.success) return problemFrom(checked.error);
  const change: SentEvent = { id: newId(), author, device, event: checked.data, conflicts: [] };
  store.dispatch(changed({ caseId, change }));
  return null;
}

/** Something typed into the words of a plant: what was done to the words that the box showed. */
export interface Typing {
  readonly plantId: string;
  readonly before: string;
  readonly edits: TextEdits;
  /** It goes on where the last typing of this page ended. */
  readonly continues: boolean;
}

/** Edits of `text` put on top of others that were made to it meanwhile. */
function editsOnTop(
  text: string,
  steps: readonly TextEdits[],
  edits: TextEdits,
  continues: boolean,
): TextEdits {
  let [base, mine] = [text, edits];
  for (const step of steps) {
    mine = mergeEdits(base, step, mine, continues).second;
    base = applyEdits(base, step) ?? base;
  }
  return mine;
}

/** Takes in that somebody typed. What arrived from others since the box was drawn stays. */
export function recordTyping(
  store: ChangeStore,
  who: Author,
  caseId: string,
  { plantId, before, edits: typed, continues }: Typing,
): Problem | null {
  const state = store.getState();
  const record = selectRecord(state, caseId);
  const words = record?.plants.find(({ id }) => id === plantId)?.words;
  if (words === undefined) return null;
  const arrivals = state.cases.byId[caseId]?.arrivals ?? [];
  const edits = editsOnTop(
    before,
    editsBetween(arrivals, plantId, before, words),
    typed,
    continues,
  );
  if (edits.length === 0) return null;
  return recordEvent(store, who, caseId, {
    kind: 'words-edited',
    plantId,
    edits: [...edits],
    continues,
  });
}
