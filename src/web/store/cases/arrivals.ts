import type { WordsEdit } from '../../../contracts/rebaseEvents.ts';
import { applyEdits, diffText, placeAfter, type TextEdits } from '../../../contracts/textEdits.ts';

/** What others did to the words of a plant while this page showed them. */
export interface Arrival {
  readonly plantId: string;
  readonly before: string;
  readonly after: string;
  readonly edits: TextEdits;
}

/** So many are remembered: enough for what arrives while an input method puts one word together. */
const MAX_ARRIVALS = 32;

/** Adds what arrived, one edit on top of the other; `words` are those that the page showed before all of them. */
export function withArrivals(
  arrivals: readonly Arrival[],
  words: ReadonlyMap<string, string>,
  steps: readonly WordsEdit[],
): readonly Arrival[] {
  const shown = new Map(words);
  const fresh = steps.flatMap(({ plantId, edits }): Arrival[] => {
    const before = shown.get(plantId) ?? '';
    const after = applyEdits(before, edits);
    if (after === null || after === before) return [];
    shown.set(plantId, after);
    return [{ plantId, before, after, edits }];
  });
  return [...arrivals, ...fresh].slice(-MAX_ARRIVALS);
}

/**
 * The edits of others that led from one text of a plant to another, each on top of the one before; one edit that does the
 * same when they are not known, or when something else changed the text too.
 */
export function editsBetween(
  arrivals: readonly Arrival[],
  plantId: string,
  before: string,
  after: string,
): readonly TextEdits[] {
  const ofPlant = arrivals.filter((one) => one.plantId === plantId);
  if (before === after) return [];
  for (let first = ofPlant.length - 1; first >= 0; first--) {
    if (ofPlant[first]?.before !== before) continue;
    const edits: TextEdits[] = [];
    let text = before;
    for (const one of ofPlant.slice(first)) {
      if (one.before !== text) break;
      edits.push(one.edits);
      text = one.after;
      if (text === after) return edits;
    }
  }
  return [diffText(before, after)];
}

/** A place of the text before the edits, carried through all of them; see {@link placeAfter}. */
export function placeThrough(
  steps: readonly TextEdits[],
  place: number,
  side: 'before' | 'behind',
): number {
  return steps.reduce((at, edits) => placeAfter(edits, at, side), place);
}
