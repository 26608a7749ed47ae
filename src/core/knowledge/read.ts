import { z } from 'zod';
import { fail, ok, type Result } from '../util/result.ts';
import { careTopicSchema, causeSchema } from '../schema/cause.ts';
import { contactsSchema, dangerSchema } from '../schema/danger.ts';
import { fieldFaultOf } from '../schema/fieldFault.ts';
import { findingGroupSchema, findingSchema, wordClassesSchema } from '../schema/finding.ts';
import type { Library } from '../schema/library.ts';
import { lawSchema } from '../schema/law.ts';
import { lookSchema } from '../schema/look.ts';
import { placeSchema } from '../schema/place.ts';
import { plantSchema } from '../schema/plant.ts';
import { areaSchema } from '../schema/range.ts';
import { sourceSchema } from '../schema/source.ts';
import { treatmentSchema } from '../schema/treatment.ts';
import { sampleKindSchema } from '../schema/sampleKind.ts';
import { viewSchema } from '../schema/view.ts';
import { wordModelSchema, type WordModelText } from '../schema/wordModel.ts';
import { asRead, type KnowledgeIssue, type LibraryFault } from './faults.ts';
import { hashText } from './hash.ts';

/** One parsed YAML file of the library. `file` is its path below `knowledge/`. */
export interface KnowledgeFile {
  readonly file: string;
  readonly content: unknown;
  readonly text: string;
}

const SECTIONS = {
  plants: plantSchema,
  findings: findingSchema,
  groups: findingGroupSchema,
  looks: lookSchema,
  causes: causeSchema,
  care: careTopicSchema,
  treatments: treatmentSchema,
  views: viewSchema,
  samples: sampleKindSchema,
  places: placeSchema,
  areas: areaSchema,
  law: lawSchema,
  dangers: dangerSchema,
  contacts: contactsSchema,
  sources: sourceSchema,
} as const;

/** Names of the fields of an entry, in the order in which they are written, by the folder of the library. */
export const ENTRY_FIELDS: Readonly<Record<string, readonly string[]>> = Object.fromEntries(
  Object.entries(SECTIONS).map(([folder, { shape }]) => [folder, Object.keys(shape)]),
);

const identified = z.object({ id: z.string() });

function readEntry<T>(
  schema: z.ZodType<T>,
  entry: unknown,
  file: string,
  issues: KnowledgeIssue[],
  files: Map<string, string>,
): T[] {
  const named = identified.safeParse(entry);
  const id = named.success ? named.data.id : '(no id)';
  const parsed = schema.safeParse(entry);
  if (parsed.success) {
    files.set(id, file);
    return [parsed.data];
  }
  for (const issue of parsed.error.issues) {
    const field = issue.path.join('.') || '(entry)';
    issues.push({ file, id, field, fault: fieldFaultOf(issue) ?? asRead(issue.message) });
  }
  return [];
}

/** Reads every entry of the files below `folder/`, by id; entries that fail are reported and left out. */
function readSection<T extends { readonly id: string }>(
  folder: string,
  schema: z.ZodType<T>,
  input: readonly KnowledgeFile[],
  issues: KnowledgeIssue[],
  files: Map<string, string>,
): T[] {
  return input
    .filter(({ file }) => file.startsWith(`${folder}/`))
    .flatMap(({ file, content }) => {
      const list = z.array(z.unknown()).safeParse(content);
      if (list.success)
        return list.data.flatMap((entry) => readEntry(schema, entry, file, issues, files));
      issues.push({ file, id: '(file)', field: '(file)', fault: { code: 'no-list' } });
      return [];
    })
    .sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
}

/** Written by `npm run learn`. */
export const WORD_MODEL_FILE = 'models/hearing.yaml';

/** Lists of words by the name of what they have in common; none where there is no such file. */
function readWordLists(
  name: string,
  input: readonly KnowledgeFile[],
  issues: KnowledgeIssue[],
): Library['wordClasses'] {
  const file = input.find((one) => one.file === name);
  const parsed = wordClassesSchema.safeParse(file?.content ?? {});
  if (parsed.success) return parsed.data;
  for (const issue of parsed.error.issues) {
    const id = issue.path.join('.');
    issues.push({
      file: name,
      id,
      field: '(list)',
      fault: fieldFaultOf(issue) ?? asRead(issue.message),
    });
  }
  return {};
}

/** What was learned for hearing, if anything. */
function readWordModel(
  input: readonly KnowledgeFile[],
  issues: KnowledgeIssue[],
): WordModelText | null {
  const file = input.find((one) => one.file === WORD_MODEL_FILE);
  if (!file) return null;
  const parsed = wordModelSchema.safeParse(file.content);
  if (parsed.success) return parsed.data;
  for (const issue of parsed.error.issues) {
    const { message, path } = issue;
    const fault: LibraryFault = { code: 'word-model', message };
    issues.push({ file: WORD_MODEL_FILE, id: path.join('.'), field: '(text)', fault });
  }
  return null;
}

/** The library and, for messages, the file each id came from. */
export interface ReadLibrary {
  readonly library: Library;
  readonly fileOf: ReadonlyMap<string, string>;
}

/**
 * Hash of all texts of a library as 16 hexadecimal digits, independent of file order. Invalid texts have a version
 * too.
 */
export function libraryVersion(input: readonly Pick<KnowledgeFile, 'file' | 'text'>[]): string {
  return hashText(
    input
      .map(({ file, text }) => `${file}\n${text}`)
      .sort()
      .join('\n'),
  );
}

/**
 * Checks each entry of the YAML files against its schema. Returns the library with entries sorted by id, or one issue
 * for each invalid field; never a partial library.
 */
export function readLibrary(
  input: readonly KnowledgeFile[],
): Result<ReadLibrary, readonly KnowledgeIssue[]> {
  const issues: KnowledgeIssue[] = [];
  const files = new Map<string, string>();
  const library: Library = {
    version: libraryVersion(input),
    plants: readSection('plants', SECTIONS.plants, input, issues, files),
    findings: readSection('findings', SECTIONS.findings, input, issues, files),
    groups: readSection('groups', SECTIONS.groups, input, issues, files),
    looks: readSection('looks', SECTIONS.looks, input, issues, files),
    wordClasses: readWordLists('language/word-classes.yaml', input, issues),
    synonyms: readWordLists('language/synonyms.yaml', input, issues),
    wordModel: readWordModel(input, issues),
    causes: readSection('causes', SECTIONS.causes, input, issues, files),
    careTopics: readSection('care', SECTIONS.care, input, issues, files),
    treatments: readSection('treatments', SECTIONS.treatments, input, issues, files),
    views: readSection('views', SECTIONS.views, input, issues, files),
    sampleKinds: readSection('samples', SECTIONS.samples, input, issues, files),
    places: readSection('places', SECTIONS.places, input, issues, files),
    areas: readSection('areas', SECTIONS.areas, input, issues, files),
    laws: readSection('law', SECTIONS.law, input, issues, files),
    dangers: readSection('dangers', SECTIONS.dangers, input, issues, files),
    contacts: readSection('contacts', SECTIONS.contacts, input, issues, files),
    dangerWords: readWordLists('language/danger-words.yaml', input, issues),
    sources: readSection('sources', SECTIONS.sources, input, issues, files),
  };
  return issues.length > 0 ? fail(issues) : ok({ library, fileOf: files });
}
