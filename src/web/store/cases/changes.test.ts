import { OPENED_CASE } from '../../../test/caseRecord.ts';
import { sentEvent } from '../../../test/sentEvents.ts';
import type { TextEdits } from '../../../contracts/textEdits.ts';
import { makeStore } from '../store.ts';
import { editsBetween, placeThrough } from './arrivals.ts';
import { caseLoaded, caseShown, storedReceived } from './casesSlice.ts';
import { recordTyping } from './changes.ts';
import { selectRecord } from './selectors.ts';

const WHO = { author: 'Thora', device: 'one' };
const { id } = OPENED_CASE;
const plantId = 'plant-1';
const insert = (at: number, text: string): TextEdits => [{ at, remove: '', insert: text }];

it('keeps apart what was typed and what arrived before the box showed it', () => {
  const { store } = makeStore();
  const shown = 'The plums drop. Gum';
  const words = (): string => selectRecord(store.getState(), id)?.plants[0]?.words ?? '';
  store.dispatch(caseShown(id));
  store.dispatch(caseLoaded({ record: OPENED_CASE }));
  recordTyping(store, WHO, id, { plantId, before: '', edits: insert(0, shown), continues: false });
  // A colleague writes at the same place; the box still shows the words without it.
  const arrived = insert(shown.length, ' Planted last fall.');
  const [mine] = store.getState().cases.byId[id]?.pending ?? [];
  if (!mine) throw new Error('nothing was typed');
  const { sent: _sent, ...own } = mine;
  const theirs = sentEvent({ kind: 'words-edited', plantId, edits: [...arrived] }, 'Jory');
  const events = [
    { ...own, version: 1 },
    { ...theirs, version: 2 },
  ];
  store.dispatch(storedReceived({ caseId: id, events }));
  expect(words()).toBe(`${shown} Planted last fall.`);
  // A blank is typed where the arrival begins with one, so that a diff of the texts is ambiguous.
  const typed = { plantId, before: shown, edits: insert(shown.length, ' '), continues: true };
  recordTyping(store, WHO, id, typed);
  expect(words()).toBe(`${shown}  Planted last fall.`);
  const arrivals = store.getState().cases.byId[id]?.arrivals ?? [];
  const caret = shown.length + 1;
  const steps = editsBetween(arrivals, plantId, `${shown} `, words());
  expect(placeThrough(steps, caret, 'before')).toBe(caret);
});
