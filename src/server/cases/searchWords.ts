/** Plurals that PostgreSQL's English stemmer does not bring to their singular. */
const SINGULARS: Readonly<Record<string, string>> = {
  leaves: 'leaf',
  larvae: 'larva',
  pupae: 'pupa',
  fungi: 'fungus',
  cacti: 'cactus',
  bacteria: 'bacterium',
  mice: 'mouse',
  lice: 'louse',
};
const PLURAL = new RegExp(`\\b(${Object.keys(SINGULARS).join('|')})\\b`, 'gi');

/** A text as it is searched, and as a search is: with one form of the words that have two. */
export function searchWords(text: string): string {
  return text.replace(PLURAL, (word) => SINGULARS[word.toLowerCase()] ?? word);
}
