import MiniSearch from 'minisearch';
import { buildHosting, type Hosting } from '../../core/knowledge/hosting.ts';
import type { CareTopic, Cause } from '../../core/knowledge/schema/cause.ts';
import type { PlantId } from '../../core/knowledge/schema/common.ts';
import type { Library } from '../../core/knowledge/schema/library.ts';
import { buildTaxonomy, type Taxonomy } from '../../core/knowledge/taxonomy.ts';

/** What the Library screen can show a page of. */
export const SHELVES = ['cause', 'plant', 'finding', 'treatment', 'care', 'place'] as const;
export type ShelfName = (typeof SHELVES)[number];

/** One line of the list. */
export interface Found {
  readonly shelf: ShelfName;
  readonly id: string;
  readonly name: string;
  /** Scientific name, part of the plant, or the like. */
  readonly more: string;
}

/** The library made ready for reading: entries by id, what lives on what, and a search that forgives slips. */
export interface Shelf {
  readonly library: Library;
  readonly taxonomy: Taxonomy;
  readonly hosting: Hosting;
  readonly causes: ReadonlyMap<string, Cause>;
  readonly careFor: (plant: PlantId) => readonly CareTopic[];
  readonly all: readonly Found[];
  readonly search: (text: string) => readonly Found[];
}

/** Most lines of a search that are listed. */
const MOST_FOUND = 80;

interface Indexed extends Found {
  readonly key: string;
  readonly others: string;
}

function entriesOf(library: Library): readonly Indexed[] {
  const line = (
    shelf: ShelfName,
    { id, name }: { readonly id: string; readonly name: string },
    more = '',
    others: readonly string[] = [],
  ): Indexed => ({ shelf, id, name, more, others: others.join(' '), key: `${shelf} ${id}` });
  return [
    ...library.causes.map((one) => line('cause', one, one.scientific, one.aliases)),
    ...library.plants.map((one) =>
      line('plant', one, one.scientific, [...one.names, ...one.ambiguous]),
    ),
    ...library.findings.map((one) =>
      line('finding', { id: one.id, name: one.label }, '', [one.question]),
    ),
    ...library.treatments.map((one) => line('treatment', one, one.modeOfAction ?? '')),
    ...library.careTopics.map((one) => line('care', one, '', one.aliases)),
    ...library.places.map((one) => line('place', one, one.climate)),
  ];
}

/** Makes the library ready for reading. */
export function makeShelf(library: Library): Shelf {
  const taxonomy = buildTaxonomy(library.plants);
  const entries = entriesOf(library);
  const byKey = new Map(entries.map((entry) => [entry.key, entry]));
  const index = new MiniSearch<Indexed>({
    idField: 'key',
    fields: ['name', 'more', 'others'],
    searchOptions: { prefix: true, fuzzy: 0.2, boost: { name: 4, more: 2 }, combineWith: 'AND' },
  });
  index.addAll(entries);
  const inOrder = [...entries].sort((a, b) => a.name.localeCompare(b.name));
  return {
    library,
    taxonomy,
    hosting: buildHosting(library.causes, taxonomy),
    causes: new Map(library.causes.map((cause) => [cause.id, cause])),
    careFor: (plant) => {
      const line = new Set<string>(taxonomy.lineage(plant));
      return library.careTopics.filter(({ hosts }) =>
        Object.keys(hosts).some((id) => line.has(id)),
      );
    },
    all: inOrder,
    search: (text) =>
      index
        .search(text)
        .slice(0, MOST_FOUND)
        .flatMap(({ id }) => byKey.get(String(id)) ?? []),
  };
}
