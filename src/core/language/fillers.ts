import { stem, stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

/** Words that only weaken or stress what follows. */
const FILLERS = stemSet(
  'really pretty somewhat rather kinda sorta basically actually definitely literally absolutely awfully terribly',
);
const KINDS = new Set(['kind', 'sort']);
const OF = stem('of');
/** Before these a kind is meant: "what kind of", "some sort of". */
const CHOOSES = stemSet(
  'what which this that these those some any a an every each another other same one all no different',
);

/**
 * The words without those that fill a sentence: "kind of purple" is "purple", since the parts of a phrase must stand near
 * each other.
 */
export function withoutFillers(tokens: readonly Token[]): readonly Token[] {
  const isKind = (i: number): boolean =>
    KINDS.has(tokens[i]?.word ?? '') &&
    tokens[i + 1]?.stem === OF &&
    !CHOOSES.has(tokens[i - 1]?.stem ?? '');
  return tokens.filter(({ stem: word }, i) => !FILLERS.has(word) && !isKind(i) && !isKind(i - 1));
}
