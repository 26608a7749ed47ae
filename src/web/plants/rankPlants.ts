import MiniSearch from 'minisearch';
import { once } from '../../core/util/memoize.ts';
import type { PlantChoice } from '../workers/messages.ts';

/** A plant that fits what was typed, and the name by which it does where that is not its own. */
export interface FoundPlant extends PlantChoice {
  readonly by: string | null;
}

/** Plants that fit what was typed, the one that is meant first; all of them by name where nothing is typed. */
export type PlantSearch = (typed: string) => readonly FoundPlant[];

/** How a name fits: the lower the better. The name of the plant itself goes before another one that fits as well. */
const EXACT = 0;
const BEGINS = 2;
const WORD_BEGINS = 4;
const HOLDS = 6;
const OTHER_NAME = 1;

const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** "roses" is typed for "rose", "berries" for "berry". */
const singulars = (typed: string): readonly string[] =>
  [typed, typed.replace(/ies$/, 'y'), typed.replace(/es$/, ''), typed.replace(/s$/, '')].filter(
    (one, i, all) => all.indexOf(one) === i && (i === 0 || one.length > 2),
  );

function fitOf(name: string, typed: string): number | null {
  if (name === typed) return EXACT;
  if (name.startsWith(typed)) return BEGINS;
  if (name.includes(` ${typed}`)) return WORD_BEGINS;
  return name.includes(typed) ? HOLDS : null;
}

/** Names of a plant, its own first. */
const namesOf = ({ name, scientific, names }: PlantChoice): readonly string[] => [
  name,
  ...(scientific === null ? [] : [scientific]),
  ...names,
];

interface Ranked {
  readonly plant: FoundPlant;
  readonly fit: number;
}

/** Makes the search over the plants of a library; where no name holds what was typed, slips of a letter or two are forgiven. */
export function makePlantSearch(plants: readonly PlantChoice[]): PlantSearch {
  const { compare } = new Intl.Collator();
  const sorted = [...plants].sort((a, b) => compare(a.name, b.name));
  const known = sorted.map((plant) => ({
    plant,
    names: namesOf(plant).map((name) => ({ name, plain: plain(name) })),
  }));
  const byId = new Map(sorted.map((plant) => [plant.id, plant]));
  const slips = once(() => {
    const index = new MiniSearch<{ id: string; text: string }>({
      fields: ['text'],
      searchOptions: { prefix: true, fuzzy: 0.25, combineWith: 'AND' },
    });
    index.addAll(sorted.map((plant) => ({ id: plant.id, text: namesOf(plant).join(' ') })));
    return index;
  });

  const rank = (typed: string): readonly Ranked[] =>
    known.flatMap(({ plant, names }): Ranked[] => {
      const fits = names.flatMap(({ name, plain: text }, i) => {
        const fit = fitOf(text, typed);
        return fit === null ? [] : [{ fit: fit + (i === 0 ? 0 : OTHER_NAME), i, name }];
      });
      const best = fits.sort((a, b) => a.fit - b.fit)[0];
      if (!best) return [];
      const by = best.i === 0 || best.name === plant.scientific ? null : best.name;
      return [{ plant: { ...plant, by }, fit: best.fit }];
    });

  return (typed) => {
    const text = plain(typed);
    if (text === '') return sorted.map((plant) => ({ ...plant, by: null }));
    const best = new Map<string, Ranked>();
    for (const one of singulars(text).flatMap(rank))
      if (one.fit < (best.get(one.plant.id)?.fit ?? Infinity)) best.set(one.plant.id, one);
    if (best.size > 0)
      return [...best.values()]
        .sort((a, b) => a.fit - b.fit || a.plant.name.length - b.plant.name.length)
        .map(({ plant }) => plant);
    return slips()
      .search(text)
      .flatMap(({ id }) => byId.get(String(id)) ?? [])
      .map((plant) => ({ ...plant, by: null }));
  };
}
