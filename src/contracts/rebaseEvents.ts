import { fieldsSet } from './contestedField.ts';
import type { SentEvent, StoredEvent } from './caseEvents.ts';
import type { Conflict } from './cases.ts';
import { mergeEdits } from './mergeEdits.ts';
import { storableText } from './storableText.ts';
import { applyEdits, diffText, invertEdits, type TextEdits } from './textEdits.ts';

/** The words of each plant of a case, by its id. */
export type WordsByPlant = ReadonlyMap<string, string>;

/** Longest piece of words that a conflict quotes. */
const MAX_QUOTED = 300;

/** What was done to the words of a plant. */
export interface WordsEdit {
  readonly plantId: string;
  readonly edits: TextEdits;
}

/** What an event does to words, on top of the words before it; null when it leaves them. */
function wordsEditOf(words: WordsByPlant, event: StoredEvent['event']): WordsEdit | null {
  if (event.kind === 'words-edited') return { plantId: event.plantId, edits: event.edits };
  if (event.kind === 'words-set')
    return {
      plantId: event.plantId,
      edits: diffText(words.get(event.plantId) ?? '', event.words),
    };
  return null;
}

function afterEdit(words: WordsByPlant, edit: WordsEdit | null): WordsByPlant {
  if (!edit) return words;
  const before = words.get(edit.plantId) ?? '';
  return new Map(words).set(edit.plantId, applyEdits(before, edit.edits) ?? before);
}

function withConflicts(mine: SentEvent, conflicts: readonly Conflict[]): SentEvent {
  return conflicts.length === 0
    ? mine
    : { ...mine, conflicts: [...mine.conflicts, ...conflicts].slice(-50) };
}

const quoted = (text: string): string => storableText(text.trim().slice(0, MAX_QUOTED));

/** The fields that both set, to different values: the later one holds. */
function contestedFields(theirs: StoredEvent, mine: SentEvent): readonly Conflict[] {
  const others = fieldsSet(theirs.event);
  return fieldsSet(mine.event).flatMap(({ field, plantId, about, value }): Conflict[] => {
    const other = others.find(
      (one) => one.field === field && one.plantId === plantId && one.about === about,
    );
    if (!other || other.value === value) return [];
    const id = `${mine.id}:${field}`;
    return [
      {
        id,
        field,
        plantId,
        about,
        kept: quoted(value),
        other: quoted(other.value),
        otherBy: theirs.author,
      },
    ];
  });
}

/** One of our events put on top of one of theirs, and what theirs then does on top of ours. */
function rebaseOver(
  words: WordsByPlant,
  theirs: StoredEvent,
  their: WordsEdit | null,
  mine: SentEvent,
): { readonly mine: SentEvent; readonly their: WordsEdit | null } {
  const own = wordsEditOf(words, mine.event);
  if (!own || mine.event.kind !== 'words-edited' || their?.plantId !== own.plantId)
    return { mine: withConflicts(mine, contestedFields(theirs, mine)), their };
  const base = words.get(own.plantId) ?? '';
  const merged = mergeEdits(base, their.edits, own.edits, mine.event.continues);
  const conflicts = merged.contested
    .filter(({ first, second }) => first.trim() !== '' && second.trim() !== '')
    .map(({ first, second }, i) => ({
      id: `${mine.id}:words${i}:${theirs.version}`,
      field: 'words' as const,
      plantId: own.plantId,
      about: null,
      kept: quoted(second),
      other: quoted(first),
      otherBy: theirs.author,
    }));
  return {
    mine: withConflicts(
      { ...mine, event: { ...mine.event, edits: [...merged.second] } },
      conflicts,
    ),
    their: { plantId: own.plantId, edits: merged.first },
  };
}

/** Pending events on top of what happened meanwhile, and what that does to the words on top of the pending events. */
export interface Rebased {
  readonly pending: readonly SentEvent[];
  readonly arrived: readonly WordsEdit[];
}

function rebaseAll(
  words: WordsByPlant,
  theirs: StoredEvent,
  their: WordsEdit | null,
  pending: readonly SentEvent[],
): Rebased {
  let [state, other] = [words, their];
  const rebased = pending.map((event) => {
    const done = rebaseOver(state, theirs, other, event);
    state = afterEdit(state, wordsEditOf(state, event.event));
    other = done.their;
    return done.mine;
  });
  return { pending: rebased, arrived: other ? [other] : [] };
}

/**
 * Puts pending events on top of events that the server stored meanwhile, in their order. `words` are the words of the
 * plants before all of them; the first pending event was made on top of those, each further one on top of the one before.
 * A pending event that is among the stored ones has been applied and leaves the list. Words are merged, other fields that
 * both set are noted as conflicts of the later event.
 */
export function rebaseEvents(
  words: WordsByPlant,
  pending: readonly SentEvent[],
  stored: readonly StoredEvent[],
): Rebased {
  let [state, mine] = [words, pending];
  const arrived: WordsEdit[] = [];
  for (const one of stored) {
    const edit = wordsEditOf(state, one.event);
    const own = mine.findIndex(({ id }) => id === one.id);
    if (own === -1) {
      const rebased = rebaseAll(state, one, edit, mine);
      mine = rebased.pending;
      arrived.push(...rebased.arrived);
    }
    // Events before it were refused and set aside by their sender, or it could not have been sent on.
    else mine = mine.slice(own + 1);
    state = afterEdit(state, edit);
  }
  return { pending: mine, arrived };
}

/** The pending events without the first, as if that had never been made; `words` are those before all of them. */
export function withoutFirst(
  words: WordsByPlant,
  [first, ...rest]: readonly SentEvent[],
): readonly SentEvent[] {
  const edit = first ? wordsEditOf(words, first.event) : null;
  if (!first || !edit) return rest;
  const undone = { plantId: edit.plantId, edits: invertEdits(edit.edits) };
  const taken: StoredEvent = { ...first, version: 1 };
  const { pending } = rebaseAll(afterEdit(words, edit), taken, undone, rest);
  return pending.map((event, i) => ({
    ...event,
    conflicts: rest[i]?.conflicts ?? [],
  }));
}

/** The words of the plants before the stored events, from those after them; the events are all that happened between. */
export function wordsBefore(words: WordsByPlant, stored: readonly StoredEvent[]): WordsByPlant {
  return [...stored].reverse().reduce<WordsByPlant>((state, { event }) => {
    if (event.kind !== 'words-edited') return state;
    return afterEdit(state, { plantId: event.plantId, edits: invertEdits(event.edits) });
  }, words);
}

/** The words of the plants of a record. */
export function wordsByPlant(record: {
  readonly plants: readonly { readonly id: string; readonly words: string }[];
}): WordsByPlant {
  return new Map(record.plants.map(({ id, words }) => [id, words]));
}
