import { stem, stemSet } from './stem.ts';

/**
 * A phrase of the library: words that must stand near each other, in any order.
 *
 * Written as words with blanks between: `leaf @yellow between|amid vein ~8 -powder`.
 * `a|b` is either word, `no` or `not` any word of denial, `@class` any word of a class in words.yaml, `~8` the longest stretch in words
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

/** Turns the lists of words.yaml into sets of stems; `@class` inside a list takes that class in. */
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

/** What was read of the phrases of a library: terms by their text, stems by their word. */
interface Read {
  readonly terms: Map<string, ReadonlySet<string>>;
  readonly stems: Map<string, string>;
}

const readOf = new WeakMap<WordClasses, Read>();

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

/** Stems of one term; the same term of the same library is the same set. */
function termStems(term: string, classes: WordClasses): ReadonlySet<string> {
  const read: Read = readOf.get(classes) ?? { terms: new Map(), stems: new Map() };
  readOf.set(classes, read);
  const known = read.terms.get(term);
  if (known) return known;
  const stems = new Set<string>();
  for (const word of term.split('|')) addWord(stems, word, classes, read.stems);
  read.terms.set(term, stems);
  return stems;
}

const denials = new WeakMap<ReadonlySet<string>, boolean>();

/** Whether a term has a word of denial among its words; looked at once for each term. */
function isDenial(term: ReadonlySet<string>): boolean {
  const known = denials.get(term);
  if (known !== undefined) return known;
  let found = false;
  for (const word of term) found ||= NEGATORS.has(word);
  denials.set(term, found);
  return found;
}

/** Reads one phrase. Unknown classes give an empty term, which never matches; the checks of the library report them. */
export function compilePhrase<Target>(
  text: string,
  target: Target,
  classes: WordClasses,
): Phrase<Target> {
  const terms: ReadonlySet<string>[] = [];
  const without = new Set<string>();
  let [reach, ordered, needsPart]: [number | null, boolean, boolean] = [null, false, false];
  for (const word of text.toLowerCase().split(/\s+/)) {
    const [mark] = word;
    if (mark === undefined) continue;
    if (word === '>') ordered = true;
    else if (word === NEEDS_PART) needsPart = true;
    else if (mark === '~') reach = Number(word.slice(1));
    else if (mark === '-') for (const one of termStems(word.slice(1), classes)) without.add(one);
    else terms.push(termStems(word, classes));
  }
  return {
    target,
    terms,
    without,
    reach: reach ?? terms.length + EXTRA_REACH,
    ordered,
    needsPart,
    negates: terms.some((term) => isDenial(term)),
  };
}
