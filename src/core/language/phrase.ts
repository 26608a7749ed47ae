import { memoizeByObject } from '../util/memoize.ts';
import { stem, stemSet } from './stem.ts';

/**
 * A phrase of the library: words that must stand near each other, in any order.
 *
 * Written as words with blanks between: `leaf @yellow between|amid vein ~8 -powder`.
 * `a|b` is either word, `no` or `not` any word of denial, `@class` any word of a class in word-classes.yaml, `~8` the longest stretch in words
 * (default: number of words + 4), `-word` a word that must not stand within the stretch or the two
 * words before it, a leading `>` asks for the given order, and `+part` for the part of the finding to be what the
 * sentence speaks of: `@drop +part` is heard in "the leaves turn yellow and most drop". Words are compared by stem.
 */
export interface Phrase<Target> {
  readonly target: Target;
  readonly terms: readonly ReadonlySet<string>[];
  readonly without: ReadonlySet<string>;
  readonly reach: number;
  readonly ordered: boolean;
  readonly negates: boolean;
  readonly needsPart: boolean;
}

/** Stems that turn what follows into its opposite. */
export const NEGATORS: ReadonlySet<string> = stemSet(
  'no not never without none neither nor nothing cannot hardly didnt doesnt dont isnt arent wasnt werent hasnt havent hadnt cant couldnt wont wouldnt aint',
);

const EXTRA_REACH = 4;
const NEEDS_PART = '+part';

/** Word classes by name, each a set of stems. */
export type WordClasses = ReadonlyMap<string, ReadonlySet<string>>;

/** Turns the lists of word-classes.yaml into sets of stems; `@class` inside a list takes that class in. */
export function compileClasses(lists: Readonly<Record<string, readonly string[]>>): WordClasses {
  const classes = new Map<string, ReadonlySet<string>>();
  const expand = (name: string, seen: readonly string[]): string[] =>
    (lists[name] ?? []).flatMap((word) => {
      if (!word.startsWith('@')) return [stem(word)];
      return seen.includes(word) ? [] : expand(word.slice(1), [...seen, word]);
    });
  for (const name of Object.keys(lists)) classes.set(name, new Set(expand(name, [`@${name}`])));
  return classes;
}

/** A term and whether a word of denial is among its words. */
interface Term {
  readonly stems: ReadonlySet<string>;
  readonly denies: boolean;
}

/** What was read of the phrases of a library: terms by their text, stems by their word. */
interface Read {
  readonly terms: Map<string, Term>;
  readonly stems: Map<string, string>;
}

const readOf = memoizeByObject<WordClasses, Read>(() => ({ terms: new Map(), stems: new Map() }));

function addWord(
  stems: Set<string>,
  word: string,
  classes: WordClasses,
  known: Read['stems'],
): void {
  const list = word.startsWith('@')
    ? classes.get(word.slice(1))
    : word === 'no' || word === 'not'
      ? NEGATORS
      : null;
  if (list === null) {
    const found = known.get(word) ?? stem(word);
    known.set(word, found);
    stems.add(found);
  } else for (const one of list ?? []) stems.add(one);
}

/** Reads one term; the same term of the same library is the same set. */
function readTerm(text: string, classes: WordClasses, read: Read): Term {
  const known = read.terms.get(text);
  if (known) return known;
  const stems = new Set<string>();
  for (const word of text.split('|')) addWord(stems, word, classes, read.stems);
  let denies = false;
  for (const word of stems) denies ||= NEGATORS.has(word);
  const term = { stems, denies };
  read.terms.set(text, term);
  return term;
}

const NO_WORDS: ReadonlySet<string> = new Set();

/**
 * Compiles one phrase. An unknown class gives an empty term, which never matches; {@link checkQuality} reports it as
 * invalid.
 */
export function compilePhrase<Target>(
  text: string,
  target: Target,
  classes: WordClasses,
): Phrase<Target> {
  const read = readOf(classes);
  const terms: Term[] = [];
  const without: string[] = [];
  let [reach, ordered, needsPart]: [number | null, boolean, boolean] = [null, false, false];
  for (const word of text.toLowerCase().split(/\s+/)) {
    const [mark] = word;
    if (mark === undefined) continue;
    if (word === '>') ordered = true;
    else if (word === NEEDS_PART) needsPart = true;
    else if (mark === '~') reach = Number(word.slice(1));
    else if (mark === '-') without.push(...readTerm(word.slice(1), classes, read).stems);
    else terms.push(readTerm(word, classes, read));
  }
  return {
    target,
    terms: terms.map(({ stems }) => stems),
    without: without.length === 0 ? NO_WORDS : new Set(without),
    reach: reach ?? terms.length + EXTRA_REACH,
    ordered,
    needsPart,
    negates: terms.some(({ denies }) => denies),
  };
}
