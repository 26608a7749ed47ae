import type { TextEdit, TextEdits } from './textEdits.ts';
import { isWordUnit } from './wordUnits.ts';

/** Words that two people changed at once; both versions stay in the text, the first one first. */
export interface ContestedWords {
  readonly first: string;
  readonly second: string;
}

/** Two sets of edits of the same text, brought together. */
export interface MergedEdits {
  /** The second edits, to be applied after the first. */
  readonly second: TextEdits;
  /** The first edits, to be applied after the second: both ways give the same text. */
  readonly first: TextEdits;
  readonly contested: readonly ContestedWords[];
}

/** One changed stretch of the base text, widened to whole words. */
interface Stretch {
  readonly start: number;
  readonly end: number;
  readonly insert: string;
}

/** A piece of the merged text or of one of its two sources. */
interface Piece {
  readonly text: string;
  readonly inFirst: boolean;
  readonly inSecond: boolean;
  readonly inMerged: boolean;
  /** Where a piece of the base text stands in it; null for what was inserted. */
  readonly base: { readonly start: number; readonly end: number } | null;
}

/** Widens an edit to the words whose letters it changes, joins or parts. */
function wordRange(base: string, { at, remove, insert }: TextEdit): { start: number; end: number } {
  let [start, end] = [at, at + remove.length];
  const touchesLeft = isWordUnit(base[start]) || isWordUnit(insert[0] ?? base[end]);
  const touchesRight = isWordUnit(base[end - 1]) || isWordUnit(insert.at(-1) ?? base[at - 1]);
  if (touchesLeft && isWordUnit(base[start - 1])) while (isWordUnit(base[start - 1])) start--;
  if (touchesRight && isWordUnit(base[end])) while (isWordUnit(base[end])) end++;
  return { start, end };
}

function toStretches(base: string, edits: TextEdits): readonly Stretch[] {
  const groups: { start: number; end: number; edits: TextEdit[] }[] = [];
  for (const edit of edits) {
    const { start, end } = wordRange(base, edit);
    const last = groups.at(-1);
    if (last && start <= last.end) {
      last.end = Math.max(last.end, end);
      last.edits.push(edit);
    } else groups.push({ start, end, edits: [edit] });
  }
  return groups.map(({ start, end, edits: inside }) => {
    let [insert, at] = ['', start];
    for (const edit of inside) {
      insert += base.slice(at, edit.at) + edit.insert;
      at = edit.at + edit.remove.length;
    }
    return { start, end, insert: insert + base.slice(at, end) };
  });
}

/** The same correction of the same words; the same words added twice are two additions. */
const isSame = (a: Stretch, b: Stretch): boolean =>
  a.start === b.start && a.end === b.end && a.start < a.end && a.insert === b.insert;

const covers = (stretches: readonly Stretch[], start: number, end: number): boolean =>
  stretches.some((one) => one.start <= start && one.end >= end);

/** Cuts the base text where something begins or ends, and puts what was inserted between. */
function cutPieces(
  base: string,
  first: readonly Stretch[],
  second: readonly Stretch[],
  secondLeads: boolean,
): readonly Piece[] {
  const cuts = [...first, ...second].flatMap(({ start, end }) => [start, end]);
  const places = [...new Set([0, ...cuts, base.length])].sort((a, b) => a - b);
  return places.flatMap((place, i): Piece[] => {
    const mine = second.find(({ start }) => start === place);
    const theirs = first.find(({ start }) => start === place);
    const both = mine !== undefined && theirs !== undefined && isSame(mine, theirs);
    const end = places[i + 1] ?? place;
    const inFirst = !covers(first, place, end);
    const inSecond = !covers(second, place, end);
    const inserted: Piece[] = [
      { text: theirs?.insert ?? '', inFirst: true, inSecond: both, inMerged: true, base: null },
      {
        text: both ? '' : (mine?.insert ?? ''),
        inFirst: false,
        inSecond: true,
        inMerged: true,
        base: null,
      },
    ];
    const pieces: Piece[] = [
      ...(secondLeads ? inserted.reverse() : inserted),
      {
        text: base.slice(place, end),
        inFirst,
        inSecond,
        inMerged: inFirst && inSecond,
        base: { start: place, end },
      },
    ];
    return pieces.filter(({ text }) => text !== '');
  });
}

const BLANK: Piece = { text: ' ', inFirst: false, inSecond: false, inMerged: true, base: null };

/** Puts a blank where two words would run into one that nobody wrote. */
function parted(pieces: readonly Piece[]): readonly Piece[] {
  let last: Piece | null = null;
  return pieces.flatMap((piece) => {
    if (!piece.inMerged) return [piece];
    const before = last;
    last = piece;
    if (!before || !isWordUnit(before.text.at(-1)) || !isWordUnit(piece.text[0])) return [piece];
    const neighbours = before.base && piece.base && before.base.end === piece.base.start;
    return neighbours ? [piece] : [BLANK, piece];
  });
}

/** The edits that make the merged text of a source, whose pieces are those for which `isIn` holds. */
function editsFrom(pieces: readonly Piece[], isIn: (piece: Piece) => boolean): TextEdits {
  const edits: { at: number; remove: string; insert: string }[] = [];
  let place = 0;
  for (const piece of pieces) {
    const had = isIn(piece);
    if (had !== piece.inMerged) {
      const last = edits.at(-1);
      const open = last && last.at + last.remove.length === place ? last : null;
      const edit = open ?? { at: place, remove: '', insert: '' };
      if (!open) edits.push(edit);
      if (had) edit.remove += piece.text;
      else edit.insert += piece.text;
    }
    if (had) place += piece.text.length;
  }
  return edits;
}

function contestedWords(
  first: readonly Stretch[],
  second: readonly Stretch[],
): readonly ContestedWords[] {
  return second.flatMap((mine) =>
    first
      .filter(
        (theirs) => !isSame(mine, theirs) && mine.start < theirs.end && theirs.start < mine.end,
      )
      .map((theirs) => ({ first: theirs.insert, second: mine.insert })),
  );
}

/**
 * Merges two sets of edits of `base`. A word that both changed keeps both versions, side by side; what either inserted
 * stays, what either removed and the other left alone goes. Of insertions at one place the first one's comes first, or
 * the second one's when `secondLeads`, as when it goes on from what its author wrote before.
 */
export function mergeEdits(
  base: string,
  first: TextEdits,
  second: TextEdits,
  secondLeads = false,
): MergedEdits {
  const [theirs, mine] = [toStretches(base, first), toStretches(base, second)];
  const pieces = parted(cutPieces(base, theirs, mine, secondLeads));
  return {
    second: editsFrom(pieces, ({ inFirst }) => inFirst),
    first: editsFrom(pieces, ({ inSecond }) => inSecond),
    contested: contestedWords(theirs, mine),
  };
}
