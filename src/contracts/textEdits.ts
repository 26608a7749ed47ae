/** Replaces `remove`, which stands at `at` (UTF-16 units), by `insert`. */
export interface TextEdit {
  readonly at: number;
  readonly remove: string;
  readonly insert: string;
}

/** Edits of one text in ascending order, not overlapping; every `at` counts in the text before all of them. */
export type TextEdits = readonly TextEdit[];

/** The text after the edits; null when one does not fit, as what it removes is not there. */
export function applyEdits(text: string, edits: TextEdits): string | null {
  let [out, at] = ['', 0];
  for (const { at: start, remove, insert } of edits) {
    if (start < at || start > text.length || !text.startsWith(remove, start)) return null;
    out += text.slice(at, start) + insert;
    at = start + remove.length;
  }
  return out + text.slice(at);
}

const isHighSurrogate = (unit: number): boolean => unit >= 0xd800 && unit <= 0xdbff;
const isLowSurrogate = (unit: number): boolean => unit >= 0xdc00 && unit <= 0xdfff;

/** The one edit that turns `before` into `after`, none when they are equal. Never cuts a surrogate pair. */
export function diffText(before: string, after: string): TextEdits {
  if (before === after) return [];
  const shorter = Math.min(before.length, after.length);
  let start = 0;
  while (start < shorter && before.charCodeAt(start) === after.charCodeAt(start)) start++;
  if (start > 0 && isHighSurrogate(before.charCodeAt(start - 1))) start--;
  let same = 0;
  while (
    same < shorter - start &&
    before.charCodeAt(before.length - 1 - same) === after.charCodeAt(after.length - 1 - same)
  )
    same++;
  if (same > 0 && isLowSurrogate(before.charCodeAt(before.length - same))) same--;
  const [remove, insert] = [before, after].map((text) => text.slice(start, text.length - same));
  return [{ at: start, remove: remove ?? '', insert: insert ?? '' }];
}

/** The edits that take `edits` back, from the text after them. */
export function invertEdits(edits: TextEdits): TextEdits {
  let shift = 0;
  return edits.map(({ at, remove, insert }) => {
    const inverse = { at: at + shift, remove: insert, insert: remove };
    shift += insert.length - remove.length;
    return inverse;
  });
}

/** Where a place of the text before the edits lies after them; before what was inserted there. */
export function placeAfter(edits: TextEdits, place: number): number {
  let shift = 0;
  for (const { at, remove, insert } of edits) {
    if (at >= place) break;
    if (at + remove.length > place) return at + shift + insert.length;
    shift += insert.length - remove.length;
  }
  return place + shift;
}
