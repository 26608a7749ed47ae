import Papa from 'papaparse';
import { IMPORT_FIELDS, MAX_IMPORTED } from '../../../contracts/importing.ts';

/** A file that cases can be taken from. */
export type ImportFile =
  /** Lines are read when they are sent: a file may hold thousands. */
  | { readonly kind: 'cases'; readonly items: readonly string[] }
  | {
      readonly kind: 'rows';
      readonly columns: readonly string[];
      readonly items: readonly Readonly<Record<string, string>>[];
    };

/** Columns that our own table and others call so. */
const GUESSES: Readonly<Record<string, readonly string[]>> = {
  opened: ['opened', 'date', 'day', 'on', 'received'],
  words: ['words', 'question', 'description', 'problem', 'notes', 'enquiry', 'inquiry'],
  channel: ['channel', 'came by'],
  status: ['status', 'state'],
  name: ['name', 'enquirer', 'caller', 'client'],
  contact: ['contact', 'phone', 'telephone', 'email', 'e-mail'],
  plant: ['plant', 'host', 'crop'],
  latitude: ['latitude', 'lat'],
  longitude: ['longitude', 'lon', 'lng'],
  proved: ['proved to be', 'diagnosis', 'cause', 'outcome'],
  confirmed: ['confirmed by', 'confirmed'],
  provedOn: ['outcome on', 'diagnosed on'],
};

/** Which column goes into which field; an empty one takes nothing. */
export type Mapping = Readonly<Record<string, string>>;

/** The mapping that the names of columns suggest. */
export function guessMapping(columns: readonly string[]): Mapping {
  const plain = new Map(columns.map((column) => [column.trim().toLowerCase(), column]));
  return Object.fromEntries(
    IMPORT_FIELDS.map((field) => {
      const name = (GUESSES[field] ?? []).find((one) => plain.has(one));
      return [field, name === undefined ? '' : (plain.get(name) ?? '')];
    }),
  );
}

function lineOf(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    // Refused by the server, with its line.
    return text.slice(0, 200);
  }
}

/** Reads a file: JSON Lines by their first sign, a table else. Null where there is nothing in it. */
export function readImport(text: string): ImportFile | null {
  const plain = text.replace(/^\uFEFF/, '').trim();
  if (plain === '') return null;
  if (plain.startsWith('{')) return { kind: 'cases', items: plain.split(/\r?\n/) };
  const { data, meta } = Papa.parse<Record<string, string>>(plain, {
    header: true,
    skipEmptyLines: 'greedy',
  });
  const columns = meta.fields ?? [];
  return data.length === 0 || columns.length < 2 ? null : { kind: 'rows', columns, items: data };
}

/** What is sent of a row: the fields that a column is mapped to. */
export function mappedRow(
  row: Readonly<Record<string, string>>,
  mapping: Mapping,
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    Object.entries(mapping)
      .filter(([, column]) => column !== '')
      .map(([field, column]) => [field, (row[column] ?? '').trim()]),
  );
}

/** Characters of one request at most: in letters of three bytes still below what a server takes. */
const MAX_PIECE = 300_000;

/** Items of a file in pieces that a request may hold, made one after the other as they are sent. */
export function* piecesOf(file: ImportFile, mapping: Mapping): Generator<readonly unknown[]> {
  let piece: unknown[] = [];
  let size = 0;
  for (const one of file.items) {
    const item = typeof one === 'string' ? lineOf(one) : mappedRow(one, mapping);
    const length = typeof one === 'string' ? one.length : JSON.stringify(item).length;
    if (piece.length === MAX_IMPORTED || (piece.length > 0 && size + length > MAX_PIECE)) {
      yield piece;
      [piece, size] = [[], 0];
    }
    piece.push(item);
    size += length;
  }
  if (piece.length > 0) yield piece;
}
