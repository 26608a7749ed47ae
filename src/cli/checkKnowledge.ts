import { z } from 'zod';
import { asRead, type KnowledgeIssue } from '../core/knowledge/faults.ts';
import { compileLibrary } from '../core/library/compile.ts';
import { UNPUBLISHED } from '../core/schema/source.ts';
import {
  ENTRY_FIELDS,
  readLibrary,
  type KnowledgeFile,
  type ReadLibrary,
} from '../core/knowledge/read.ts';
import { weakestPairs } from '../core/library/separation.ts';
import { fileNameFor, knowledgeLayout } from '../server/knowledge/knowledgeLayout.ts';
import { readKnowledgeFiles } from '../server/knowledge/loadLibrary.ts';
import { issueLine } from '../wording/libraryFaults.ts';
import { issuesOf } from './libraryIssues.ts';

/** Pairs listed in the report. */
const PAIRS_SHOWN = 10;

const folder = process.argv[2] ?? 'knowledge';

/** Files that are not in the layout of the library, and entries that belong into another file. */
function layoutIssues(files: readonly KnowledgeFile[]): readonly KnowledgeIssue[] {
  return files.flatMap(({ file, text, content }) => {
    const [section = '', name = ''] = file.replace(/\.yaml$/, '').split('/');
    const fields = ENTRY_FIELDS[section];
    if (fields === undefined || !Array.isArray(content)) return [];
    const misplaced = content.flatMap((entry: unknown): KnowledgeIssue[] => {
      const wanted = fileNameFor(section, entry);
      if (wanted === null || wanted === name) return [];
      const id = z.object({ id: z.string() }).safeParse(entry);
      const message = `belongs into ${section}/${wanted}.yaml`;
      return [{ file, id: id.data?.id ?? '(no id)', field: '(file)', fault: asRead(message) }];
    });
    const message = 'is not in the layout of the library: run npm run format:knowledge';
    return knowledgeLayout(text, fields) === text
      ? misplaced
      : [...misplaced, { file, id: '(file)', field: '(file)', fault: asRead(message) }];
  });
}

/** Line on which the entry of an issue begins, from 1; null when it cannot be found. */
function lineOf({ file, id }: KnowledgeIssue, files: readonly KnowledgeFile[]): number | null {
  const text = files.find((one) => one.file === file)?.text ?? '';
  const line = text.split('\n').findIndex((one) => new RegExp(`\\bid: ${id}(?![\\w-])`).test(one));
  return line < 0 ? null : line + 1;
}

function reportPairs({ library }: ReadLibrary): void {
  const shown = new Set<string>();
  console.log('Least told apart (alike in what they show, 100 % = the same):');
  for (const { plant, first, second, similarity } of weakestPairs(compileLibrary(library))) {
    if (shown.size >= PAIRS_SHOWN || shown.has(`${first} ${second}`)) continue;
    shown.add(`${first} ${second}`);
    console.log(
      `  ${Math.round(100 * similarity)} %  ${first} and ${second}, for example on ${plant}`,
    );
  }
}

function reportCounts({ library }: ReadLibrary): void {
  console.log(
    `${library.plants.length} plants and groups, ${library.causes.length} causes, ${library.careTopics.length} care topics, ` +
      `${library.findings.length} findings, ${library.treatments.length} treatments, ${library.places.length} places: all well. ` +
      `Version ${library.version}.`,
  );
}

/** Where the entries come from, and how many of what is done say how much or how often. */
function reportShares({ library }: ReadLibrary): void {
  const { causes, careTopics, treatments, laws, plants } = library;
  const count = (of: (source: string) => boolean): number =>
    [causes, careTopics, treatments, laws, plants].flat().filter(({ source }) => of(source)).length;
  const [practice, judgement] = UNPUBLISHED.map((name) => count((source) => source === name));
  const published = count((source) => UNPUBLISHED.every((name) => name !== source));
  console.log(`Sources: ${published} published, ${practice} practice, ${judgement} judgement.`);
  const own = causes.flatMap((cause) => cause.treatments.filter(({ text }) => text !== undefined));
  const done = [treatments, careTopics.flatMap(({ steps }) => steps), own].flat();
  const isCounted = ({ text = '' }: { readonly text?: string | undefined }): boolean =>
    /\d/.test(text);
  const withAmount = done.filter((step) => step.amount?.parts.length || isCounted(step)).length;
  const without = done.filter((step) => step.amount?.parts.length === 0).length;
  const open = done.length - withAmount - without;
  console.log(
    `Amounts: ${withAmount} of ${done.length} steps, ${without} need none, ${open} say nothing.`,
  );
}

const files = readKnowledgeFiles(folder);
const read = files.ok ? readLibrary(files.value) : files;
const issues = [
  ...(read.ok ? issuesOf(read.value) : read.error),
  ...(files.ok ? layoutIssues(files.value) : []),
];
for (const issue of issues) {
  const line = files.ok ? lineOf(issue, files.value) : null;
  console.error(issueLine(line === null ? issue : { ...issue, file: `${issue.file}:${line}` }));
}
if (read.ok && issues.length === 0) {
  reportPairs(read.value);
  reportShares(read.value);
  reportCounts(read.value);
} else {
  console.error(`${issues.length} problems in ${folder}.`);
  process.exitCode = 1;
}
