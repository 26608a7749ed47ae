import { seeded } from '../../../core/util/random.ts';
import { applyEdits, type TextEdits } from '../../../contracts/textEdits.ts';
import { editsBetween, placeThrough, withArrivals } from './arrivals.ts';

const insert = (at: number, text: string): TextEdits => [{ at, remove: '', insert: text }];

it('knows the steps between two texts that others changed', () => {
  const steps = [insert(0, 'Red '), insert(8, 'bark ')];
  const arrivals = withArrivals(
    [],
    new Map([['p', 'Gum on fruit']]),
    steps.map((edits) => ({ plantId: 'p', edits })),
  );
  expect(editsBetween(arrivals, 'p', 'Gum on fruit', 'Red Gum bark on fruit')).toEqual(steps);
  expect(editsBetween(arrivals, 'p', 'Red Gum on fruit', 'Red Gum bark on fruit')).toEqual([
    steps[1],
  ]);
  expect(editsBetween(arrivals, 'p', 'Gum on fruit', 'Gum on fruit')).toEqual([]);
});

it('makes one edit of what it does not know', () => {
  const other = withArrivals([], new Map([['q', 'Gum']]), [
    { plantId: 'q', edits: insert(3, ' on') },
  ]);
  expect(editsBetween(other, 'p', 'Gum', 'Gum on')).toEqual([insert(3, ' on')]);
  expect(editsBetween([], 'p', 'Gum', 'Plum')).toEqual([[{ at: 0, remove: 'G', insert: 'Pl' }]]);
});

it('keeps a place between the same words in spite of words that occur twice', () => {
  const text = 'red  red  red';
  const arrivals = withArrivals([], new Map([['p', text]]), [
    { plantId: 'p', edits: insert(4, ' red') },
    { plantId: 'p', edits: insert(0, 'red ') },
  ]);
  const steps = editsBetween(arrivals, 'p', text, 'red red  red red  red');
  expect(placeThrough(steps, 'red  red'.length, 'before')).toBe('red red  red red'.length);
});

it('leaves a place on either side of what arrives there', () => {
  expect(placeThrough([insert(4, 'rose ')], 4, 'before')).toBe(4);
  expect(placeThrough([insert(4, 'rose ')], 4, 'behind')).toBe(9);
});

it('keeps a mark where it stands, as a plain model that carries it in the text', () => {
  const random = seeded(5);
  const below = (n: number): number => Math.floor(random() * n);
  for (let round = 0; round < 300; round++) {
    let marked = 'ab ab ab| ab ab';
    const start = marked.replace('|', '');
    const place = marked.indexOf('|');
    const steps: TextEdits[] = [];
    let text = start;
    for (let i = 0; i < 6; i++) {
      const caret = marked.indexOf('|');
      const at = below(text.length + 1);
      if (at === caret) continue;
      const edits = insert(at, ['ab ', ' ab', 'a'][below(3)] ?? '');
      text = applyEdits(text, edits) ?? text;
      marked =
        applyEdits(marked, [
          { at: at > caret ? at + 1 : at, remove: '', insert: edits[0]?.insert ?? '' },
        ]) ?? marked;
      steps.push(edits);
    }
    expect(placeThrough(steps, place, 'before')).toBe(marked.indexOf('|'));
  }
});
