import { sql } from 'drizzle-orm';
import type { CaseRecord } from '../../contracts/cases.ts';
import type { Queries } from '../db/connect.ts';
import { searchWords } from './searchWords.ts';
import { caseSearch } from '../db/schema.ts';

/** Most characters of a case that are looked through; PostgreSQL takes a megabyte of words at most. */
const MAX_DOCUMENT = 200_000;

const named = (ids: readonly (string | null | undefined)[]): string[] => [
  ...new Set(ids.filter((id) => id !== null && id !== undefined)),
];
const inWords = (id: string): string => id.replaceAll('-', ' ');

/** What a case is found by. */
export function searchTerms({ plants, enquirer }: Pick<CaseRecord, 'plants' | 'enquirer'>) {
  const answers = plants.flatMap(({ closingAnswer }) => (closingAnswer ? [closingAnswer] : []));
  const leaders = answers.flatMap(({ causes: [first] }) => (first ? [first] : []));
  const plantIds = named([
    ...plants.map(({ plant }) => plant),
    ...answers.map(({ plant }) => plant?.id),
  ]);
  const causeIds = named([
    ...plants.map(({ outcome }) => outcome?.cause),
    ...leaders.map(({ id }) => id),
  ]);
  const text = [
    ...plants.map(({ words }) => words),
    ...plants.flatMap(({ plan }) => plan.given.map((sheet) => sheet.text)),
    ...answers.flatMap(({ plant }) => (plant ? [plant.name, plant.scientificName] : [])),
    ...leaders.flatMap(({ name, scientificName }) => [name, scientificName ?? '']),
    ...[...plantIds, ...causeIds].map(inWords),
  ];
  return {
    names: `${enquirer.name} ${enquirer.contact}`.trim(),
    plants: plantIds,
    causes: causeIds,
    outcomeKnown: plants.some(({ outcome }) => outcome !== null),
    text: text.join('\n').slice(0, MAX_DOCUMENT),
  };
}

/** Writes what a case is found by; `personId` joins those who worked on it, null adds nobody. */
export async function writeSearchRow(
  db: Queries,
  clinicId: number,
  record: Pick<CaseRecord, 'id' | 'openedAt' | 'status' | 'plants' | 'enquirer'>,
  personId: string | null,
): Promise<void> {
  const { text, ...terms } = searchTerms(record);
  const people = personId === null ? [] : [personId];
  const document = sql<string>`to_tsvector('english', ${searchWords(text)})`;
  const { id: caseId, status } = record;
  await db
    .insert(caseSearch)
    .values({
      caseId,
      clinicId,
      openedAt: new Date(record.openedAt),
      status,
      people,
      document,
      ...terms,
    })
    .onConflictDoUpdate({
      target: caseSearch.caseId,
      set: {
        status,
        document,
        ...terms,
        people:
          personId === null
            ? sql`${caseSearch.people}`
            : sql`case when ${personId}::uuid = any(${caseSearch.people}) then ${caseSearch.people} else ${caseSearch.people} || ${personId}::uuid end`,
      },
    });
}
