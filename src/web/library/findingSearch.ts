import MiniSearch from 'minisearch';
import { buildHosting } from '../../core/knowledge/hosting.ts';
import type { FindingId, PlantId } from '../../core/schema/common.ts';
import { FREQUENCY } from '../../core/schema/scale.ts';
import type { Finding, Part } from '../../core/schema/finding.ts';
import type { Library } from '../../core/schema/library.ts';
import { buildTaxonomy } from '../../core/knowledge/taxonomy.ts';

/** What to look for; empty words and no part list everything that the plant can show. */
export interface FindingQuery {
  readonly words: string;
  readonly part: Part | null;
  readonly plant: PlantId | null;
}

/** Findings that fit, the likeliest to be meant first. */
export type FindingSearch = (query: FindingQuery) => readonly Finding[];

const MAX_FOUND = 40;

/** The words of phrases, without the signs of the phrase language. */
const wordsOf = (phrases: readonly string[]): string =>
  phrases.join(' ').replace(/[>|@~]|(?:^|\s)[-+]\S+|~\d+/g, ' ');

/** Makes the search over a library's findings: forgives slips, and puts first what the plant shows most commonly. */
export function makeFindingSearch(library: Library): FindingSearch {
  const askable = library.findings.filter(({ askable: can }) => can);
  const byId = new Map<string, Finding>(askable.map((one) => [one.id, one]));
  const index = new MiniSearch<{ id: string; label: string; question: string; said: string }>({
    fields: ['label', 'question', 'said'],
    searchOptions: { prefix: true, fuzzy: 0.2, boost: { label: 4, question: 2 } },
  });
  index.addAll(
    askable.map(({ id, label, question, how, phrases }) => ({
      id,
      label,
      question: `${question} ${how ?? ''}`,
      said: wordsOf(phrases),
    })),
  );
  const hosting = buildHosting(library.causes, buildTaxonomy(library.plants));
  const causes = new Map(library.causes.map((cause) => [cause.id, cause]));
  const shownOn = (plant: PlantId): ReadonlyMap<string, number> => {
    const shown = new Map<string, number>();
    for (const [id, factor] of hosting(plant))
      for (const [finding, word] of Object.entries(causes.get(id)?.findings ?? {}))
        shown.set(finding, (shown.get(finding) ?? 0) + factor * FREQUENCY[word]);
    return shown;
  };
  return ({ words, part, plant }) => {
    const shown = plant === null ? null : shownOn(plant);
    const weight = (id: FindingId): number => shown?.get(id) ?? 0;
    const found =
      words.trim() === ''
        ? [...askable].sort((a, b) => weight(b.id) - weight(a.id))
        : index.search(words).flatMap(({ id }) => byId.get(String(id)) ?? []);
    // What the plant cannot show stays in the list, below: the plant may be another one.
    const isShown = ({ id }: Finding): boolean => shown === null || weight(id) > 0;
    return [...found.filter(isShown), ...found.filter((one) => !isShown(one))]
      .filter((one) => part === null || one.part === part)
      .filter((one) => words.trim() !== '' || isShown(one))
      .slice(0, MAX_FOUND);
  };
}
