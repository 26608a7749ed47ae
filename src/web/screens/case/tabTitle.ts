import { caseTexts } from '../../texts/caseTexts.ts';
import { withoutBoilerplate } from '../../../core/language/boilerplate.ts';

const TITLE_WORDS = 4;
/** What a clause begins with that was taken out of a sentence. */
const LEADS_IN = /^[^\p{L}\p{N}]*(?:(?:and|but|while|whereas) )?/iu;

interface Tab {
  readonly words: string;
  /** Id of the plant that was chosen; null where none was. */
  readonly plant: string | null;
  /** Name of the plant that was chosen or heard; null where none is known. */
  readonly name: string | null;
  readonly position: number;
}

/** What a plant of a call is called: by its plant, or else by the first words about it; no greeting and no name of the enquirer. */
export function tabTitle({ words, plant, name, position }: Tab): string {
  if (name !== null) return name;
  if (plant !== null) return plant.replaceAll('-', ' ');
  const opening = withoutBoilerplate(words).replace(LEADS_IN, '').split(' ').slice(0, TITLE_WORDS);
  const start = opening.join(' ').replace(/[.,;:]$/, '');
  return start === '' ? caseTexts.plantNumber(position + 1) : start;
}

/** Titles of the plants of a call in their order, each once: a second rose is "Rose 2". */
export function tabTitles(tabs: readonly Omit<Tab, 'position'>[]): readonly string[] {
  const counts = new Map<string, number>();
  return tabs.map((tab, position) => {
    const title = tabTitle({ ...tab, position });
    const count = (counts.get(title) ?? 0) + 1;
    counts.set(title, count);
    return count === 1 ? title : `${title} ${count}`;
  });
}
