import Papa from 'papaparse';
import { IMPORT_FIELDS, MAX_IMPORTED } from '../../../contracts/importing.ts';

/** A file that cases can be taken from. */
export type ImportFile =
  | { readonly kind: 'cases'; readonly items: readonly unknown[] }
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
  if (plain.startsWith('{')) return { kind: 'cases', items: plain.split(/\r?\n/).map(lineOf) };
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

/** Characters of one request at most, well below what a server takes. */
const MAX_PIECE = 600_000;

/** Items in pieces that a request may hold. */
export function piecesOf(items: readonly unknown[]): readonly (readonly unknown[])[] {
  const pieces: unknown[][] = [];
  let size = 0;
  for (const item of items) {
    const length = JSON.stringify(item).length;
    const piece = pieces.at(-1);
    if (piece && piece.length < MAX_IMPORTED && size + length < MAX_PIECE) {
      piece.push(item);
      size += length;
    } else {
      pieces.push([item]);
      size = length;
    }
  }
  return pieces;
}
