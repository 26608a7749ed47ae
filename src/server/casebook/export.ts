import Papa from 'papaparse';
import writeExcel from 'write-excel-file/node';
import type { ExportedCase } from '../../contracts/casebook.ts';
import type { CasePlant, CaseRecord } from '../../contracts/cases.ts';
import { readCase, readEvents, type PageKey } from '../cases/queries.ts';
import type { Database } from '../db/connect.ts';
import { coarse } from './occurrences.ts';
import { findIds, type Condition } from './search.ts';

/** Cases that are read with one statement. */
const PIECE = 100;

/** Every case that a condition names, the newest first, piece by piece; each is read as of one moment. */
export async function* exportedCases(
  db: Database,
  clinicId: number,
  condition: Condition,
): AsyncGenerator<ExportedCase> {
  let after: PageKey | null = null;
  for (;;) {
    const ids: string[] = await findIds(db, condition, { limit: PIECE, after });
    for (const id of ids) {
      const one = await readWhole(db, clinicId, id);
      if (!one) continue;
      after = { value: one.case.openedAt, id };
      yield one;
    }
    if (ids.length < PIECE) return;
  }
}

function readWhole(db: Database, clinicId: number, id: string): Promise<ExportedCase | null> {
  return db.transaction(async (tx) => {
    const record = await readCase(tx, clinicId, id, false);
    if (!record) return null;
    const events = await readEvents(tx, id, { after: 0 });
    return { case: record, events };
  }, 'isolation level repeatable read read only');
}

/** Columns of the tables, one row for each plant; nothing of them names the enquirer. */
const COLUMNS = [
  'case',
  'opened',
  'channel',
  'status',
  'plant',
  'day',
  'latitude',
  'longitude',
  'words',
  'verdict',
  'first cause',
  'proved to be',
  'confirmed by',
  'outcome on',
  'followed',
  'result',
  'knowledge version',
] as const;
type Row = readonly (string | number)[];

function rowOf({ number, openedAt, channel, status }: CaseRecord, plant: CasePlant): Row {
  const { closingAnswer: answer, outcome } = plant;
  return [
    number,
    openedAt,
    channel,
    status,
    plant.plant ?? answer?.plant?.id ?? '',
    plant.date,
    coarse(plant.place.lat),
    coarse(plant.place.lon),
    plant.words,
    answer?.advice.verdict ?? '',
    answer?.causes[0]?.id ?? '',
    outcome?.cause ?? '',
    outcome?.confirmed ?? '',
    outcome?.on ?? '',
    plant.followUp?.followed ?? '',
    plant.followUp?.result ?? '',
    plant.knowledgeVersion ?? '',
  ];
}

const rowsOf = ({ case: record }: ExportedCase): Row[] =>
  record.plants.map((plant) => rowOf(record, plant));

/** Lines of a CSV file; a text that a spreadsheet would take for a formula begins with an apostrophe. */
export async function* csvLines(cases: AsyncIterable<ExportedCase>): AsyncGenerator<string> {
  const line = (rows: readonly Row[]): string =>
    `${Papa.unparse(
      rows.map((row) => [...row]),
      { escapeFormulae: true },
    )}\r\n`;
  yield line([COLUMNS]);
  for await (const one of cases) yield line(rowsOf(one));
}

/** Lines of a JSON Lines file: everything that is kept of a case, names included. */
export async function* jsonLines(cases: AsyncIterable<ExportedCase>): AsyncGenerator<string> {
  for await (const one of cases) yield `${JSON.stringify(one)}\n`;
}

/** Most rows of a workbook; a sheet holds a million, and it is made in memory. */
export const MAX_WORKBOOK_ROWS = 20_000;

/** The same rows as a workbook; null when there are too many for one. */
export async function workbook(cases: AsyncIterable<ExportedCase>): Promise<Buffer | null> {
  const rows: Row[] = [];
  for await (const one of cases) {
    rows.push(...rowsOf(one));
    if (rows.length > MAX_WORKBOOK_ROWS) return null;
  }
  const head = COLUMNS.map((value) => ({ value, fontWeight: 'bold' as const }));
  const cells = rows.map((row) =>
    row.map((value) =>
      typeof value === 'number' ? { value, type: Number } : { value, type: String },
    ),
  );
  return writeExcel([head, ...cells]).toBuffer();
}
