import fc from 'fast-check';
import { mergeEdits } from './mergeEdits.ts';
import { unstorableAt } from './storableText.ts';
import {
  applyEdits,
  diffText,
  invertEdits,
  joinEdits,
  placeAfter,
  typedEdit,
  type TextEdits,
} from './textEdits.ts';

const SEED = 20_260_613;

function merged(base: string, first: string, second: string): string | null {
  const [theirs, mine] = [diffText(base, first), diffText(base, second)];
  const { second: after } = mergeEdits(base, theirs, mine);
  return applyEdits(first, after);
}

it.each([
  ['two additions at the end', 'Roses', 'Roses wilt', 'Roses drop', 'Roses wilt drop'],
  ['a word going on while a sentence is added', 'w12', 'w12 v77', 'w1234', 'w1234 v77'],
  ['one word finished in two ways', 'yel', 'yellowish', 'yellow', 'yellowish yellow'],
  ['two first words', '', 'red leaves', 'brown spots', 'red leaves brown spots'],
  ['a word corrected and removed', 'a leaf fell', 'a leaves fell', 'a fell', 'a leaves fell'],
  ['overlapping removals', 'a b c d', 'a d', 'a b', 'a'],
  ['a word removed and joined to another', 'a b c', 'a c', 'ab c', 'ab c'],
  ['the same correction', 'yelow leaf', 'yellow leaf', 'yellow leaf', 'yellow leaf'],
  ['an addition inside what goes', 'one two three', 'one', 'one two big three', 'one big'],
])('keeps both sides of %s', (_what, base, first, second, expected) => {
  expect(merged(base, first, second)?.replace(/ +/g, ' ').trim()).toBe(expected);
});

it('lets the words go on that their author was writing', () => {
  const base = 'Gum on';
  const [theirs, mine] = [diffText(base, 'Gum on Planted'), diffText(base, 'Gum on the')];
  const { second, first } = mergeEdits(base, theirs, mine, true);
  expect(applyEdits('Gum on Planted', second)).toBe('Gum on the Planted');
  expect(applyEdits('Gum on the', first)).toBe('Gum on the Planted');
});

it('says which words both changed', () => {
  const base = 'a leaf fell';
  const { contested } = mergeEdits(
    base,
    diffText(base, 'a leafy fell'),
    diffText(base, 'a lead fell'),
  );
  expect(contested).toEqual([{ first: 'leafy', second: 'lead' }]);
  expect(
    mergeEdits(base, diffText(base, 'A leaf fell'), diffText(base, 'a leaf')).contested,
  ).toEqual([]);
});

it('never cuts a surrogate pair', () => {
  const [edit] = diffText('a 😀 b', 'a 😁 b');
  expect(edit).toEqual({ at: 2, remove: '😀', insert: '😁' });
  expect(unstorableAt(merged('a 😀', 'a 😀😁', 'a 😂') ?? '')).toBeNull();
});

it('takes a word put before one like it for what it is', () => {
  expect(diffText('w00041z', 'w00051z w00041z')).toEqual([
    { at: 0, remove: '', insert: 'w00051z ' },
  ]);
  expect(diffText('red roses rust', 'red rust')).toEqual([{ at: 4, remove: 'roses ', insert: '' }]);
  expect(diffText('aa', 'aaa')).toHaveLength(1);
  expect(merged('roses', 'rust roses', 'rot roses')).toBe('rust rot roses');
});

it('knows by the caret what was typed', () => {
  expect(typedEdit('Gum Planted', 'Gum  Planted', 4)).toEqual([{ at: 3, remove: '', insert: ' ' }]);
  expect(typedEdit('Gum Planted', 'Gum  Planted', 5)).toEqual([{ at: 4, remove: '', insert: ' ' }]);
  expect(typedEdit('seed', 'sed', 1)).toEqual([{ at: 1, remove: 'e', insert: '' }]);
  expect(typedEdit('abc', 'abxyc', 1)).toEqual(diffText('abc', 'abxyc'));
  expect(typedEdit('abc', 'axc', 2)).toEqual([{ at: 1, remove: 'b', insert: 'x' }]);
});

it('joins two edits that touch, at their place, as one that does the same', () => {
  const texts = fc.stringMatching(/^[ab ]{0,8}$/);
  const cut = (text: string, a: number, b: number, insert: string) => {
    const [at, end] = [a, b].map((one) => one % (text.length + 1)).sort((x, y) => x - y);
    return { at: at ?? 0, remove: text.slice(at, end), insert };
  };
  const places = fc.tuple(fc.nat(8), fc.nat(8), texts);
  fc.assert(
    fc.property(texts, places, places, (words, [a, b, inserted], [c, d, second]) => {
      const one = cut(words, a, b, inserted);
      const between = applyEdits(words, [one]) ?? '';
      const other = cut(between, c, d, second);
      const joined = joinEdits(words, one, other);
      const apart =
        other.at > one.at + one.insert.length || other.at + other.remove.length < one.at;
      expect(joined === null).toBe(apart);
      if (joined) expect(applyEdits(words, [joined])).toBe(applyEdits(between, [other]));
    }),
    { seed: SEED, numRuns: 2000 },
  );
  const [space, word] = [' ', 'on'].map((insert, i) => ({ at: 3 + i, remove: '', insert }));
  if (!space || !word) throw new Error('no edits');
  expect(joinEdits('Gum Planted', space, word)).toEqual({ at: 3, remove: '', insert: ' on' });
});

it('refuses edits of another text', () => {
  expect(applyEdits('abc', [{ at: 1, remove: 'x', insert: '' }])).toBeNull();
  expect(applyEdits('abc', [{ at: 9, remove: '', insert: 'x' }])).toBeNull();
});

it('moves a caret with the words around it', () => {
  expect(placeAfter(diffText('red leaf', 'dark red leaf'), 3)).toBe(8);
  expect(placeAfter(diffText('red leaf', 'red leaves'), 3)).toBe(3);
  expect(placeAfter(diffText('red leaf', 'red'), 8)).toBe(3);
  expect(placeAfter(diffText('red', 'red leaf'), 3)).toBe(3);
});

/** Several edits of one text, written as random cuts. */
const editsOf = (text: string) =>
  fc
    .array(
      fc.tuple(fc.nat(text.length), fc.nat(6), fc.constantFrom('', 'x', ' y', 'zz ', '😀', 'é. ')),
      {
        maxLength: 4,
      },
    )
    .map((cuts): TextEdits => {
      let from = 0;
      return cuts
        .sort(([a], [b]) => a - b)
        .flatMap(([place, length, insert]) => {
          const at = Math.max(place, from);
          const remove = text.slice(at, at + length);
          from = at + remove.length + 1;
          return at > text.length ? [] : [{ at, remove, insert }];
        });
    });
const caseOf = fc
  .string({ unit: fc.constantFrom('a', 'b', ' ', '.', 'é'), maxLength: 24 })
  .chain((base) => fc.tuple(fc.constant(base), editsOf(base), editsOf(base)));

it('gives the same text both ways round', () => {
  fc.assert(
    fc.property(caseOf, ([base, first, second]) => {
      const both = mergeEdits(base, first, second);
      const one = applyEdits(applyEdits(base, first) ?? '', both.second);
      const other = applyEdits(applyEdits(base, second) ?? '', both.first);
      expect(one).not.toBeNull();
      expect(one).toBe(other);
    }),
    { seed: SEED, numRuns: 3000 },
  );
});

it('takes edits back', () => {
  fc.assert(
    fc.property(caseOf, ([base, edits]) => {
      expect(applyEdits(applyEdits(base, edits) ?? '', invertEdits(edits))).toBe(base);
    }),
    { seed: SEED, numRuns: 1000 },
  );
});

it('drops no word that one wrote and none removed', () => {
  const side = (mark: string) =>
    fc
      .array(fc.tuple(fc.nat(40), fc.nat(2)), { minLength: 1, maxLength: 3 })
      .map((all) => ({ all, mark }));
  const written = (base: string[], { all, mark }: { all: [number, number][]; mark: string }) => {
    const words: (string | null)[] = [...base];
    all.forEach(([place, removed], i) => {
      const at = place % (words.length + 1);
      words.splice(at, removed, `${mark}${i}`);
    });
    return words;
  };
  fc.assert(
    fc.property(fc.nat(8), side('p'), side('q'), (count, one, two) => {
      const base = Array.from({ length: count }, (_, i) => `base${i}`);
      const [first, second] = [written(base, one), written(base, two)];
      const text = merged(base.join(' '), first.join(' '), second.join(' ')) ?? '';
      const found = new Set(text.split(/\s+/));
      for (const word of [...first, ...second]) {
        const removed =
          base.includes(word ?? '') && !(first.includes(word) && second.includes(word));
        if (!removed) expect(found).toContain(word);
      }
    }),
    { seed: SEED, numRuns: 3000 },
  );
});
