import { entryAt } from '../util/entryAt.ts';
/** Letters that sound alike are written alike, doubled ones once, vowels after the first letter not at all. */
const SOUNDS: readonly (readonly [RegExp, string])[] = [
  [/ph/g, 'f'],
  [/(?:sch|chs|sh)/g, 's'],
  [/(?:rh|wr)/g, 'r'],
  [/(?:ch|ck|qu|q)/g, 'k'],
  [/c(?=[eiy])/g, 's'],
  [/c/g, 'k'],
  [/z/g, 's'],
  [/x/g, 'ks'],
  [/m/g, 'n'],
  [/(?<=.)[aeiouyhw]/g, ''],
  [/(.)\1+/g, '$1'],
];

/**
 * Key of how a word sounds, for names that were spelled by ear: the same for "rhododendron" and "rododendrum".
 * Input in lower case.
 */
export function soundOf(word: string): string {
  return SOUNDS.reduce((sound, [from, to]) => sound.replace(from, to), word);
}

/**
 * Damerau-Levenshtein distance of two words in characters (F. J. Damerau, 1964). Distances above `most` give `most +
 * 1`.
 */
export function slipsBetween(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let [before, row]: [number[], number[]] = [[], Array.from({ length: b.length + 1 }, (_, j) => j)];
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let best = Math.min(
        entryAt(row, j) + 1,
        entryAt(next, j - 1) + 1,
        entryAt(row, j - 1) + same,
      );
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, entryAt(before, j - 2) + 1);
      next.push(best);
    }
    // A swap reaches back two rows.
    if (Math.min(...next, ...row) > most) return most + 1;
    [before, row] = [row, next];
  }
  return Math.min(most + 1, entryAt(row, b.length));
}

/** Shortest word in which a slip is forgiven: shorter ones are too often another word. */
const SHORTEST = 6;
/** Slips forgiven by the length of the word. */
const slipsIn = (length: number): number => (length < 8 ? 1 : length < 11 ? 2 : 3);

/** Finds the known word that a misspelled one means; null when none sounds and looks like it. */
export type Speller = (word: string) => string | null;

/** Words of {@link SHORTEST} letters and more by how they sound. */
function soundsOf(words: Iterable<string>): ReadonlyMap<string, readonly string[]> {
  const bySound = new Map<string, string[]>();
  for (const word of words) {
    if (word.length < SHORTEST) continue;
    const sound = soundOf(word);
    const list = bySound.get(sound);
    if (list) list.push(word);
    else bySound.set(sound, [word]);
  }
  return bySound;
}

/** Makes a speller over known words in lower case; those shorter than six letters are left out. They are sorted by sound when first needed. */
export function makeSpeller(words: Iterable<string>): Speller {
  let sorted: ReadonlyMap<string, readonly string[]> | null = null;
  return (word) => {
    if (word.length < SHORTEST) return null;
    const most = slipsIn(word.length);
    let best: string | null = null;
    let fewest = most + 1;
    sorted ??= soundsOf(words);
    for (const known of sorted.get(soundOf(word)) ?? []) {
      const slips = slipsBetween(word, known, most);
      if (slips < fewest) [best, fewest] = [known, slips];
    }
    return best;
  };
}
