import { heardText } from '../../../core/language/unheard.ts';

const TITLE_WORDS = 4;

/** What a plant of a call is called: the plant that was chosen, or else the first words about it; no greeting and no name of the enquirer. */
export function tabTitle(words: string, plant: string | null, position: number): string {
  if (plant !== null) return plant.replaceAll('-', ' ');
  const opening = heardText(words)
    .replace(/^[^\p{L}\p{N}]+/u, '')
    .split(' ')
    .slice(0, TITLE_WORDS);
  const start = opening.join(' ').replace(/[.,;:]$/, '');
  return start === '' ? `Plant ${position + 1}` : start;
}
