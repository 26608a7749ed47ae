import { and, arrayContains, eq, not, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
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

const documentOf = (text: string) => sql<string>`to_tsvector('english', ${searchWords(text)})`;

type Searched = Pick<CaseRecord, 'id' | 'openedAt' | 'status' | 'plants' | 'enquirer'>;

/** Writes what a case is found by, whether it is new or known. */
async function writeTerms(db: Queries, clinicId: number, record: Searched): Promise<void> {
  const { text, ...terms } = searchTerms(record);
  const { id: caseId, status } = record;
  const found = { status, document: documentOf(text), ...terms };
  await db
    .insert(caseSearch)
    .values({ caseId, clinicId, openedAt: new Date(record.openedAt), people: [], ...found })
    .onConflictDoUpdate({ target: caseSearch.caseId, set: found });
}

/** Adds somebody to those who worked on a case, once. */
async function addPerson(db: Queries, caseId: string, personId: string): Promise<void> {
  await db
    .update(caseSearch)
    .set({ people: sql`${caseSearch.people} || ${personId}::uuid` })
    .where(and(eq(caseSearch.caseId, caseId), not(arrayContains(caseSearch.people, [personId]))));
}

/** What changed of a case: `before` null where it is new, `personId` null where nobody did it. */
interface SearchChange {
  readonly before: Searched | null;
  readonly after: Searched;
  readonly personId: string | null;
}

/** Keeps what a case is found by; most changes, as an answer, leave it as it is. */
export async function keepSearchRow(
  db: Queries,
  clinicId: number,
  { before, after, personId }: SearchChange,
): Promise<void> {
  const isSame =
    before?.status === after.status && isDeepStrictEqual(searchTerms(before), searchTerms(after));
  if (!isSame) await writeTerms(db, clinicId, after);
  if (personId !== null) await addPerson(db, after.id, personId);
}
