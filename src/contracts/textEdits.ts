import { isWordUnit } from './wordUnits.ts';

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

/** No word is longer, and pasted rows of one sign must not take long. */
const MAX_MOVED = 120;

const partsWord = (left: string | undefined, right: string | undefined): boolean =>
  isWordUnit(left) && isWordUnit(right);

/**
 * The same insertion or removal at the place where it parts the fewest words: "red " put before "roses" can also be read
 * as "ed r" put behind its r. `piece` is what is put into or taken out of `rest` at `at`.
 */
function placeOf(rest: string, piece: string, at: number): number {
  const parted = (place: number, moved: string): number =>
    Number(partsWord(rest[place - 1], moved[0])) + Number(partsWord(moved.at(-1), rest[place]));
  let [best, fewest, moved] = [at, parted(at, piece), piece];
  for (let place = at; fewest > 0 && place > 0 && at - place < MAX_MOVED;) {
    if (moved.at(-1) !== rest[place - 1]) break;
    place--;
    moved = moved.slice(-1) + moved.slice(0, -1);
    const count = parted(place, moved);
    const isWhole = !isLowSurrogate(moved.charCodeAt(0));
    if (isWhole && count < fewest) [best, fewest] = [place, count];
  }
  return best;
}

/** An edit that only inserts or only removes, moved to where it parts the fewest words. */
function alignedEdit(before: string, after: string, edit: TextEdit): TextEdit {
  const { at, remove, insert } = edit;
  if (remove !== '' && insert !== '') return edit;
  if (remove === '') {
    const place = placeOf(before, insert, at);
    return { at: place, remove, insert: after.slice(place, place + insert.length) };
  }
  const place = placeOf(after, remove, at);
  return { at: place, remove: before.slice(place, place + remove.length), insert };
}

/**
 * The one edit that turns `before` into `after`, none when they are equal. Never cuts a surrogate pair, and parts words
 * only where they were parted.
 */
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
  const edit = { at: start, remove: remove ?? '', insert: insert ?? '' };
  return [alignedEdit(before, after, edit)];
}

/**
 * The one edit that somebody typed: as {@link diffText}, but where the same text could have come about in several ways, the
 * one that leaves the caret at `caret`, in UTF-16 units of `after`.
 */
export function typedEdit(before: string, after: string, caret: number): TextEdits {
  const grown = after.length - before.length;
  const at = grown > 0 ? caret - grown : caret;
  const remove = before.slice(at, at + Math.max(0, -grown));
  const insert = after.slice(at, at + Math.max(0, grown));
  const fits = grown !== 0 && at >= 0 && applyEdits(before, [{ at, remove, insert }]) === after;
  const cuts = isLowSurrogate(insert.charCodeAt(0)) || isLowSurrogate(remove.charCodeAt(0));
  return fits && !cuts ? [{ at, remove, insert }] : diffText(before, after);
}

/**
 * Two edits, the second on top of the first, as one; null where they do not touch. Unlike a comparison of the texts it
 * keeps the place: " on" typed behind "Gum" of "Gum Planted" does not become "on " typed before "Planted".
 */
export function joinEdits(words: string, first: TextEdit, second: TextEdit): TextEdit | null {
  const between = applyEdits(words, [first]);
  if (between === null) return null;
  const [from, to] = [first.at, first.at + first.insert.length];
  const [start, end] = [second.at, second.at + second.remove.length];
  if (start > to || end < from) return null;
  const at = Math.min(from, start);
  const behind = first.at + first.remove.length;
  return {
    at,
    remove: words.slice(at, behind + Math.max(0, end - to)),
    insert: between.slice(at, start) + second.insert + between.slice(end, Math.max(end, to)),
  };
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

/**
 * Where a place of the text before the edits lies after them: before or behind what was inserted right there, behind what
 * took the place of the words around it.
 */
export function placeAfter(
  edits: TextEdits,
  place: number,
  side: 'before' | 'behind' = 'before',
): number {
  let shift = 0;
  for (const { at, remove, insert } of edits) {
    if (at > place || (at === place && (side === 'before' || remove !== ''))) break;
    if (at + remove.length > place) return at + shift + insert.length;
    shift += insert.length - remove.length;
  }
  return place + shift;
}
