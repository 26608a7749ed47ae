import { emptyPlant } from '../../contracts/applyCaseEvent.ts';
import { exportedCaseSchema, type ExportedCase } from '../../contracts/casebook.ts';
import type { CaseEvent } from '../../contracts/caseEvents.ts';
import {
  importRowSchema,
  importSchema,
  type ImportedCases,
  type ImportResult,
  type ImportRow,
} from '../../contracts/importing.ts';
import { problemFrom, type Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import type { Actor } from '../access/guard.ts';
import { writeAudit } from '../audit/auditLog.ts';
import { enterCase, idOfText, ImpossibleEvent, type EnteredCase } from '../cases/enterCase.ts';
import { insertCase, insertEvents, readCase, saveCase } from '../cases/queries.ts';
import type { Database, Queries } from '../db/connect.ts';
import { isTaken } from '../db/errors.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';
import type { Names } from './occurrences.ts';

const PLANT_ID = 'plant-1';
const plantId = PLANT_ID;

const taken = (number: number): ImportResult => ({ outcome: 'taken', number, problem: null });
const known = (number: number): ImportResult => ({ outcome: 'known', number, problem: null });
const refused = (problem: Problem): ImportResult => ({
  outcome: 'refused',
  number: null,
  problem,
});

const ELSEWHERE: Problem = {
  code: 'conflict',
  field: 'id',
  message: 'A case of this id is kept by another clinic.',
  cure: 'Take it in on a server of your own.',
};
const BROKEN: Problem = {
  code: 'invalid-field',
  field: 'events',
  message: 'The events of this case are not all there, or not in order.',
  cure: 'Take the export anew from where it came from.',
};
const notNamed = (field: 'plant' | 'proved', said: string): Problem => ({
  code: 'invalid-field',
  field,
  message: `The library has no ${field === 'plant' ? 'plant' : 'cause'} called “${said}”.`,
  cure: 'Use a name of the library, or leave the cell empty and say it in the words.',
});

/** Every version from the first on has its event, and the record is as it was after the last. */
const isWhole = ({ case: record, events }: ExportedCase): boolean =>
  record.version === events.length && events.every(({ version }, i) => version === i + 1);

async function takeCase(
  tx: Queries,
  { clinicId }: Actor,
  one: ExportedCase,
): Promise<ImportResult> {
  const { case: record, events } = one;
  const [plant] = record.plants;
  if (!plant || !isWhole(one)) return refused(BROKEN);
  const here = await readCase(tx, clinicId, record.id, false);
  if (here) return known(here.number);
  if (!(await insertCase(tx, clinicId, { ...record, plant }, null))) return refused(ELSEWHERE);
  const opened = await readCase(tx, clinicId, record.id, true);
  if (!opened) return refused(ELSEWHERE);
  const bare = { ...opened, plants: [] };
  await saveCase(tx, bare, { ...record, number: opened.number }, { clinicId, personId: null });
  await insertEvents(tx, record.id, { baseVersion: 0, personId: null }, events);
  return taken(opened.number);
}

/** Ids by every name in small letters. */
function idsByName(
  entries: ReadonlyMap<string, { readonly name: string }>,
  othersOf: (id: string) => readonly string[],
): ReadonlyMap<string, string> {
  const ids = new Map<string, string>();
  for (const [id, { name }] of entries)
    for (const one of [...othersOf(id), name, id]) ids.set(one.toLowerCase(), id);
  return ids;
}

/** Names to ids, for plants and for causes. */
interface Lookup {
  readonly plants: ReadonlyMap<string, string>;
  readonly causes: ReadonlyMap<string, string>;
}
export const lookupIn = ({ plants, causes }: Names): Lookup => ({
  plants: idsByName(plants, (id) => plants.get(id)?.names ?? []),
  causes: idsByName(causes, (id) => causes.get(id)?.aliases ?? []),
});

function idOf(
  names: ReadonlyMap<string, string>,
  field: 'plant' | 'proved',
  said: string,
): Result<string | null, Problem> {
  const text = said.trim().toLowerCase();
  if (text === '') return ok(null);
  const id = names.get(text);
  return id === undefined ? fail(notNamed(field, said.trim())) : ok(id);
}

/** A row as a case; the id is made of all it says, so that the same row makes the same case. */
function caseOf(
  row: ImportRow,
  { plants, causes }: Lookup,
  { clinicId, office }: Actor,
): Result<EnteredCase, Problem> {
  const plant = idOf(plants, 'plant', row.plant);
  if (!plant.ok) return plant;
  const cause = idOf(causes, 'proved', row.proved);
  if (!cause.ok) return cause;
  const { opened, words, name, contact, latitude, longitude } = row;
  const place =
    latitude === undefined || longitude === undefined
      ? office.place
      : { lat: latitude, lon: longitude };
  const outcome = cause.value && {
    cause: cause.value,
    confirmed: row.confirmed ?? ('enquirer' as const),
    on: row.provedOn ?? opened,
  };
  const events: CaseEvent[] = [
    ...(name + contact === '' ? [] : [{ kind: 'enquirer-set' as const, name, contact }]),
    { kind: 'words-edited', plantId, edits: [{ at: 0, remove: '', insert: words }] },
    ...(plant.value === null
      ? []
      : [{ kind: 'plant-chosen' as const, plantId, plant: plant.value }]),
    ...(outcome ? [{ kind: 'outcome-set' as const, plantId, outcome }] : []),
    { kind: 'status-set', status: row.status ?? 'closed' },
  ];
  return ok({
    id: idOfText(`${clinicId} ${JSON.stringify(row)}`),
    channel: row.channel ?? 'phone',
    openedAt: `${opened}T12:00:00.000Z`,
    plant: { ...emptyPlant(PLANT_ID, opened, place), approach: office.approach },
    events,
  });
}

async function takeRow(
  tx: Queries,
  actor: Actor,
  row: ImportRow,
  lookup: Lookup,
): Promise<ImportResult> {
  const made = caseOf(row, lookup, actor);
  if (!made.ok) return refused(made.error);
  const here = await readCase(tx, actor.clinicId, made.value.id, false);
  if (here) return known(here.number);
  const by = { author: actor.name, personId: actor.id, device: 'import' };
  const entered = await enterCase(tx, actor.clinicId, made.value, by);
  return entered === null ? refused(ELSEWHERE) : taken(entered.number);
}

async function takeOne(
  db: Database,
  actor: Actor,
  kind: 'cases' | 'rows',
  item: unknown,
  lookup: Lookup,
): Promise<ImportResult> {
  const read =
    kind === 'cases' ? exportedCaseSchema.safeParse(item) : importRowSchema.safeParse(item);
  if (!read.success) return refused(problemFrom(read.error));
  const { data } = read;
  try {
    return await db.transaction((tx) =>
      'case' in data ? takeCase(tx, actor, data) : takeRow(tx, actor, data, lookup),
    );
  } catch (error) {
    if (error instanceof ImpossibleEvent) return refused(error.problem);
    if (isTaken(error)) return refused(ELSEWHERE);
    throw error;
  }
}

/** Takes cases in, each by itself: one that cannot be taken keeps none of the others out. */
export async function takeIn(
  db: Database,
  actor: Actor,
  sent: unknown,
  lookup: Lookup,
): Promise<Reply> {
  const body = readBody(importSchema, sent);
  if (!body.ok) return { problem: body.error };
  const { kind, items } = body.value;
  const results: ImportResult[] = [];
  for (const item of items) results.push(await takeOne(db, actor, kind, item, lookup));
  const count = results.filter(({ outcome }) => outcome === 'taken').length;
  const { clinicId, id: personId } = actor;
  if (count > 0)
    await db.transaction((tx) =>
      writeAudit(tx, { clinicId, personId, action: 'cases-imported', subject: String(count) }),
    );
  const answer: ImportedCases = { results };
  return { body: answer };
}
