import { caseTexts } from '../../texts/caseTexts.ts';
import { withoutBoilerplate } from '../../../core/language/boilerplate.ts';

const TITLE_WORDS = 4;
/** What a clause begins with that was taken out of a sentence. */
const LEADS_IN = /^[^\p{L}\p{N}]*(?:(?:and|but|while|whereas) )?/iu;

/** What a plant of a call is called: the plant that was chosen, or else the first words about it; no greeting and no name of the enquirer. */
export function tabTitle(words: string, plant: string | null, position: number): string {
  if (plant !== null) return plant.replaceAll('-', ' ');
  const opening = withoutBoilerplate(words).replace(LEADS_IN, '').split(' ').slice(0, TITLE_WORDS);
  const start = opening.join(' ').replace(/[.,;:]$/, '');
  return start === '' ? caseTexts.plantNumber(position + 1) : start;
}
