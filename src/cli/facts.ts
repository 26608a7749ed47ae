import type { KnowledgeFile } from '../core/knowledge/read.ts';
import { seeded } from '../core/util/random.ts';
import { entryAt } from '../core/util/entryAt.ts';

/** One statement of the library that can be right or wrong by itself. */
export interface Fact {
  /** Entry and field, for example `causes/apple-scab treatments`. */
  readonly of: string;
  /** What is stated, as in the file. */
  readonly states: string;
}

/** Facts of what is seen, and of what to do and when. */
export interface FactsByKind {
  readonly seen: readonly Fact[];
  readonly done: readonly Fact[];
}

const SEEN = ['hosts', 'findings', 'seen', 'stages', 'range', 'knownSince', 'lookAlikes', 'traits'];
const DONE = [
  'treatments',
  'steps',
  'avoid',
  'cautions',
  'expect',
  'leave',
  'leaveOn',
  'pastHelp',
  'confirm',
  'harm',
  'lookAgainDays',
  'text',
  'when',
  'limits',
  'amount',
  'repeat',
  'classes',
  'organic',
  'who',
];

type Entry = Readonly<Record<string, unknown>>;

const isEntry = (value: unknown): value is Entry =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The statements of one field: each item of a list, each pair of a record. */
function statementsOf(value: unknown): readonly string[] {
  if (Array.isArray(value)) return value.map((one) => JSON.stringify(one));
  if (isEntry(value))
    return Object.entries(value).map(([key, one]) => `${key}: ${JSON.stringify(one)}`);
  return [JSON.stringify(value)];
}

function factsIn(folder: string, entry: Entry, fields: readonly string[]): readonly Fact[] {
  return fields
    .filter((field) => field in entry)
    .flatMap((field) =>
      statementsOf(entry[field]).map((states) => ({
        of: `${folder}/${String(entry.id)} ${field}`,
        states,
      })),
    );
}

/** Folders whose entries speak of plants. */
const FOLDERS = ['causes', 'care', 'treatments', 'plants'];

/** Every fact of causes, care, treatments and plants. */
export function factsOf(files: readonly KnowledgeFile[]): FactsByKind {
  const entries = files.flatMap(({ file, content }) => {
    const [folder = ''] = file.split('/');
    if (!FOLDERS.includes(folder) || !Array.isArray(content)) return [];
    return content.filter(isEntry).map((entry) => ({ folder, entry }));
  });
  const of = (fields: readonly string[]) =>
    entries.flatMap(({ folder, entry }) => factsIn(folder, entry, fields));
  return { seen: of(SEEN), done: of(DONE) };
}

/** Draws so many different facts, the same for the same seed; all of them where there are fewer. */
export function drawFacts(facts: readonly Fact[], count: number, seed: number): readonly Fact[] {
  const random = seeded(seed);
  const left = [...facts];
  return Array.from({ length: Math.min(count, facts.length) }, () => {
    const at = Math.floor(random() * left.length);
    const drawn = entryAt(left, at);
    left.splice(at, 1);
    return drawn;
  });
}
