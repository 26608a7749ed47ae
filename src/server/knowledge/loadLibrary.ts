import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { LineCounter, parseDocument } from 'yaml';
import { asRead, type KnowledgeIssue } from '../../core/knowledge/faults.ts';
import { checkLibrary } from '../../core/knowledge/check.ts';
import { checkReliedOn } from '../../core/knowledge/reliedOn.ts';
import { compileLibrary, type Compiled } from '../../core/library/compile.ts';
import type { Library } from '../../core/schema/library.ts';
import { libraryVersion, readLibrary, type KnowledgeFile } from '../../core/knowledge/read.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { cacheLibrary, readCached } from './libraryCache.ts';

function listYaml(folder: string): string[] {
  return readdirSync(folder)
    .map((name) => join(folder, name))
    .flatMap((path) =>
      statSync(path).isDirectory() ? listYaml(path) : path.endsWith('.yaml') ? [path] : [],
    );
}

interface TextFile {
  readonly file: string;
  readonly text: string;
}

const readTextFile = (path: string, from: string): TextFile => ({
  file: relative(from, path).split(sep).join('/'),
  text: readFileSync(path, 'utf8'),
});

/**
 * Every YAML file below a folder, which must exist, by its path from there, and what was learned, where there is a folder
 * `models` beside it.
 */
function readTexts(folder: string): readonly TextFile[] {
  const beside = join(folder, '..');
  const models = join(beside, 'models');
  return [
    ...listYaml(folder).map((path) => readTextFile(path, folder)),
    ...(existsSync(models) ? listYaml(models).map((path) => readTextFile(path, beside)) : []),
  ];
}

function parseTexts(
  texts: readonly TextFile[],
): Result<readonly KnowledgeFile[], readonly KnowledgeIssue[]> {
  const issues: KnowledgeIssue[] = [];
  const files = texts.map(({ file, text }): KnowledgeFile => {
    const lines = new LineCounter();
    const document = parseDocument(text, { lineCounter: lines });
    for (const error of document.errors) {
      const { line } = lines.linePos(error.pos[0]);
      const message = error.message.split('\n')[0] ?? '';
      issues.push({ file, id: '(file)', field: `line ${line}`, fault: asRead(message) });
    }
    return { file, text, content: document.errors.length > 0 ? [] : document.toJS() };
  });
  return issues.length > 0 ? fail(issues) : ok(files);
}

/** Reads and parses every YAML file below a folder; the folder must exist. */
export function readKnowledgeFiles(
  folder: string,
): Result<readonly KnowledgeFile[], readonly KnowledgeIssue[]> {
  return parseTexts(readTexts(folder));
}

/** Reads and checks the library below a folder, or lists everything that is wrong with it. */
export function readCheckedLibrary(folder: string): Result<Library, readonly KnowledgeIssue[]> {
  const texts = readTexts(folder);
  const version = libraryVersion(texts);
  const kept = readCached(version);
  if (kept) return ok(kept);
  const files = parseTexts(texts);
  if (!files.ok) return files;
  const read = readLibrary(files.value);
  if (!read.ok) return read;
  const issues = [...checkLibrary(read.value), ...checkReliedOn(read.value.library)];
  if (issues.length > 0) return fail(issues);
  cacheLibrary(read.value.library);
  return ok(read.value.library);
}

/** The same, compiled for use. */
export function loadLibrary(folder: string): Result<Compiled, readonly KnowledgeIssue[]> {
  const library = readCheckedLibrary(folder);
  return library.ok ? ok(compileLibrary(library.value)) : library;
}
