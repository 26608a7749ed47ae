import { stem } from '../language/stem.ts';
import { wordsIn } from '../language/tokens.ts';

/** Words of names that name no trouble by themselves. */
const COMMON_WORDS = new Set(
  'that this with from does some them they what when your have been into after before under over like leaf leaves plant plants tree trees spot spots damage disease injury normal much young lawn garden water watering take leave make well good need should could would there next year will have does going'.split(
    ' ',
  ),
);

/** Stems of the words of a request that are not those of every request; empty, never null. */
export function contentOf(said: string): ReadonlySet<string> {
  const words = wordsIn(said);
  return new Set(words.filter((word) => word.length > 3 && !COMMON_WORDS.has(word)).map(stem));
}

/** Whether a text of the library has a word of the content. */
export const speaksOf = (text: string, content: ReadonlySet<string>): boolean =>
  wordsIn(text).some((word) => content.has(stem(word)));
