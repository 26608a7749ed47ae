import { diffText, placeAfter } from '../../../contracts/textEdits.ts';

/** So many characters on either side of a place are looked for in the new text, the longest first. */
const CONTEXTS = [24, 16, 12, 9, 7, 6, 5, 4, 3] as const;

const samePrefix = (a: string, b: string): number => {
  let length = 0;
  while (length < a.length && a[length] === b[length]) length++;
  return length;
};

/** Ends of every occurrence of a piece in a text. */
function endsOf(text: string, piece: string): readonly number[] {
  const ends: number[] = [];
  for (let at = text.indexOf(piece); at !== -1; at = text.indexOf(piece, at + 1))
    ends.push(at + piece.length);
  return ends;
}

/**
 * Where a place of `before`, in UTF-16 units, lies in `after`: behind the same characters, before the same ones as far as
 * they are still there, and as near as possible to where the change as a whole puts it.
 */
export function samePlace(before: string, after: string, place: number): number {
  if (place === 0) return 0;
  const expected = placeAfter(diffText(before, after), place);
  const behind = before.slice(place, place + CONTEXTS[0]);
  const score = (at: number): number => samePrefix(behind, after.slice(at, at + CONTEXTS[0]));
  for (const length of CONTEXTS) {
    const ends = endsOf(after, before.slice(Math.max(0, place - length), place));
    const [best] = [...ends].sort(
      (a, b) => score(b) - score(a) || Math.abs(a - expected) - Math.abs(b - expected),
    );
    if (best !== undefined) return best;
  }
  return expected;
}
