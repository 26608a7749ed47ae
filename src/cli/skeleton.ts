import { stringify } from 'yaml';
import { ENTRY_FIELDS, type KnowledgeFile } from '../core/knowledge/read.ts';
import { UNWRITTEN } from '../core/knowledge/unwritten.ts';
import { fail, ok, type Result } from '../core/util/result.ts';
import { knowledgeLayout } from '../server/knowledge/knowledgeLayout.ts';

/** Kinds of entry that can be begun, and the folder of the library that each lies in. */
export const KINDS = { cause: 'causes', care: 'care', plant: 'plants' } as const;
export type Kind = keyof typeof KINDS;

export type SkeletonFault =
  | { readonly code: 'no-such-file'; readonly files: readonly string[] }
  | { readonly code: 'taken'; readonly id: string; readonly file: string }
  | { readonly code: 'no-letters' };

export interface Begun {
  readonly id: string;
  /** Path below the folder of the library. */
  readonly file: string;
  /** The whole file with the new entry. */
  readonly text: string;
}

const slugOf = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f'’]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');

function entryOf(kind: Kind, id: string, name: string, file: string): Record<string, unknown> {
  const source = 'practice';
  switch (kind) {
    case 'cause':
      return {
        ...{ id, name, category: file, hosts: {}, common: 'occasional', findings: {}, harm: {} },
        ...{ say: UNWRITTEN, source },
      };
    case 'care':
      return {
        ...{ id, name, hosts: {}, phrases: [UNWRITTEN], say: UNWRITTEN },
        ...{ steps: [{ text: UNWRITTEN, rung: 'conditions' }], source },
      };
    case 'plant':
      return { id, name, parents: [], names: [], source };
  }
}

/** Whether an entry of a file goes by this id or name, in whatever case. */
function has({ content }: KnowledgeFile, id: string, name: string): boolean {
  if (!Array.isArray(content)) return false;
  return content.some(
    (entry: unknown) =>
      typeof entry === 'object' &&
      entry !== null &&
      ((('id' in entry && entry.id) || null) === id ||
        ('name' in entry &&
          typeof entry.name === 'string' &&
          entry.name.toLowerCase() === name.toLowerCase())),
  );
}

/**
 * A new entry with its required fields, in a file that the library has, laid out as all others. Fails where the file is not
 * there, the name has no letters, or an entry of the kind has the id or the name already.
 */
export function beginEntry(
  files: readonly KnowledgeFile[],
  { kind, name, file }: { readonly kind: Kind; readonly name: string; readonly file: string },
): Result<Begun, SkeletonFault> {
  const id = slugOf(name);
  if (id === '') return fail({ code: 'no-letters' });
  const folder = KINDS[kind];
  const all = files.filter((one) => one.file.startsWith(`${folder}/`));
  const path = `${folder}/${file}.yaml`;
  const into = all.find((one) => one.file === path);
  if (!into) {
    const names = all.map((one) => one.file.slice(folder.length + 1, -'.yaml'.length));
    return fail({ code: 'no-such-file', files: names.sort() });
  }
  const taken = all.find((one) => has(one, id, name));
  if (taken) return fail({ code: 'taken', id, file: taken.file });
  const text = `${into.text.trimEnd()}\n${stringify([entryOf(kind, id, name, file)])}`;
  return ok({ id, file: path, text: knowledgeLayout(text, ENTRY_FIELDS[folder] ?? []) });
}
