import MiniSearch from 'minisearch';
import { buildHosting, type Hosting } from '../../core/knowledge/hosting.ts';
import type { CareTopic, Cause } from '../../core/schema/cause.ts';
import type { PlantId } from '../../core/schema/common.ts';
import type { Library } from '../../core/schema/library.ts';
import { memoizeByObject, once } from '../../core/util/memoize.ts';
import { buildTaxonomy, type Taxonomy } from '../../core/knowledge/taxonomy.ts';

/** What the Library screen can show a page of. */
export const SECTIONS = ['cause', 'plant', 'finding', 'treatment', 'care', 'place'] as const;
export type SectionName = (typeof SECTIONS)[number];

/** One line of the list. */
export interface SearchHit {
  readonly shelf: SectionName;
  readonly id: string;
  readonly name: string;
  /** Scientific name, part of the plant, or the like. */
  readonly more: string;
}

/** The library made ready for reading: entries by id, what lives on what, and a search that forgives slips. */
export interface LibraryIndex {
  readonly library: Library;
  readonly taxonomy: Taxonomy;
  readonly hosting: Hosting;
  readonly causes: ReadonlyMap<string, Cause>;
  readonly careFor: (plant: PlantId) => readonly CareTopic[];
  readonly all: readonly SearchHit[];
  readonly search: (text: string) => readonly SearchHit[];
}

/** Most lines of a search that are listed. */
const MAX_FOUND = 80;

interface Indexed extends SearchHit {
  readonly key: string;
  readonly others: string;
}

function entriesOf(library: Library): readonly Indexed[] {
  const line = (
    shelf: SectionName,
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

/** Makes a value when it is first asked for. */
function searchOf(library: Library): Pick<LibraryIndex, 'all' | 'search'> {
  const entries = entriesOf(library);
  const byKey = new Map(entries.map((entry) => [entry.key, entry]));
  const index = new MiniSearch<Indexed>({
    idField: 'key',
    fields: ['name', 'more', 'others'],
    searchOptions: { prefix: true, fuzzy: 0.2, boost: { name: 4, more: 2 }, combineWith: 'AND' },
  });
  index.addAll(entries);
  const { compare } = new Intl.Collator();
  return {
    all: [...entries].sort((a, b) => compare(a.name, b.name)),
    search: (text) =>
      index
        .search(text)
        .slice(0, MAX_FOUND)
        .flatMap(({ id }) => byKey.get(String(id)) ?? []),
  };
}

function buildLibraryIndex(library: Library): LibraryIndex {
  const taxonomy = buildTaxonomy(library.plants);
  // The season and a plant's page need no index.
  const searching = once(() => searchOf(library));
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
    get all() {
      return searching().all;
    },
    search: (text) => searching().search(text),
  };
}

/** The library made ready for reading, once. */
export const makeLibraryIndex = memoizeByObject(buildLibraryIndex);
