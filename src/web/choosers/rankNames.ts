import MiniSearch from 'minisearch';
import { once } from '../../core/util/memoize.ts';
import type { NamedChoice } from '../workers/messages.ts';

/** What fits what was typed, and the name by which it does where that is not its own. */
export interface FoundName extends NamedChoice {
  readonly by: string | null;
}

/** What fits what was typed, the one that is meant first; all by name where nothing is typed. */
export type NameSearch = (typed: string) => readonly FoundName[];

/** How a name fits: the lower the better. Its own name goes before another one that fits as well. */
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

/** Names of one choice, its own first. */
const namesOf = ({ name, scientific, names }: NamedChoice): readonly string[] => [
  name,
  ...(scientific === null ? [] : [scientific]),
  ...names,
];

interface Ranked {
  readonly choice: FoundName;
  readonly fit: number;
}

/** Makes the search over choices; where no name holds what was typed, slips of a letter or two are forgiven. */
export function makeNameSearch(choices: readonly NamedChoice[]): NameSearch {
  const { compare } = new Intl.Collator();
  const sorted = [...choices].sort((a, b) => compare(a.name, b.name));
  const known = sorted.map((choice) => ({
    choice,
    names: namesOf(choice).map((name) => ({ name, plain: plain(name) })),
  }));
  const byId = new Map(sorted.map((choice) => [choice.id, choice]));
  const slips = once(() => {
    const index = new MiniSearch<{ id: string; text: string }>({
      fields: ['text'],
      searchOptions: { prefix: true, fuzzy: 0.25, combineWith: 'AND' },
    });
    index.addAll(sorted.map((choice) => ({ id: choice.id, text: namesOf(choice).join(' ') })));
    return index;
  });

  const rank = (typed: string): readonly Ranked[] =>
    known.flatMap(({ choice, names }): Ranked[] => {
      const fits = names.flatMap(({ name, plain: text }, i) => {
        const fit = fitOf(text, typed);
        return fit === null ? [] : [{ fit: fit + (i === 0 ? 0 : OTHER_NAME), i, name }];
      });
      const best = fits.sort((a, b) => a.fit - b.fit)[0];
      if (!best) return [];
      const by = best.i === 0 || best.name === choice.scientific ? null : best.name;
      return [{ choice: { ...choice, by }, fit: best.fit }];
    });

  return (typed) => {
    const text = plain(typed);
    if (text === '') return sorted.map((choice) => ({ ...choice, by: null }));
    const best = new Map<string, Ranked>();
    for (const one of singulars(text).flatMap(rank))
      if (one.fit < (best.get(one.choice.id)?.fit ?? Infinity)) best.set(one.choice.id, one);
    if (best.size > 0)
      return [...best.values()]
        .sort((a, b) => a.fit - b.fit || a.choice.name.length - b.choice.name.length)
        .map(({ choice }) => choice);
    return slips()
      .search(text)
      .flatMap(({ id }) => byId.get(String(id)) ?? [])
      .map((choice) => ({ ...choice, by: null }));
  };
}
