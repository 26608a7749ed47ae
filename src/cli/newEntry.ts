import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { readLibrary } from '../core/knowledge/read.ts';
import { readKnowledgeFiles } from '../server/knowledge/loadLibrary.ts';
import { issueLine } from '../wording/libraryFaults.ts';
import { brokenIn, lackingIn } from './libraryIssues.ts';
import { beginEntry, KINDS, type Kind, type SkeletonFault } from './skeleton.ts';

/** Begins an entry of the library and says what it still lacks: `npm run new -- cause "Willow leaf blister" fungus`. */
const FOLDER = 'knowledge';
const USAGE = 'npm run new -- cause|care|plant NAME FILE';

const isKind = (word: string | undefined): word is Kind => word !== undefined && word in KINDS;

function faultText(fault: SkeletonFault): string {
  switch (fault.code) {
    case 'no-letters':
      return 'The name has no letters to make an id of: write it in Latin letters.';
    case 'no-such-file':
      return `There is no such file; FILE is one of: ${fault.files.join(', ')}.`;
    case 'taken':
      return `${fault.id} is there already, in ${fault.file}: change that entry, or choose another name.`;
  }
}

function stop(message: string): never {
  console.error(message);
  process.exit(2);
}

const [kind, name, file] = process.argv.slice(2);
if (!isKind(kind) || name === undefined || file === undefined)
  stop(`Say what is new, its name, and the file it goes into: ${USAGE}`);
const files = readKnowledgeFiles(FOLDER);
if (!files.ok) stop(files.error.map(issueLine).join('\n'));
const begun = beginEntry(files.value, { kind, name, file });
if (!begun.ok) stop(faultText(begun.error));
const { id, text, file: path } = begun.value;
writeFileSync(join(FOLDER, path), text);

const read = (() => {
  const again = readKnowledgeFiles(FOLDER);
  return again.ok ? readLibrary(again.value) : again;
})();
if (!read.ok) stop(read.error.map(issueLine).join('\n'));
const broken = brokenIn(read.value);
const issues = [...broken, ...(broken.every((one) => one.id === id) ? lackingIn(read.value) : [])];
// One line for each field: of several the last asks for most.
const own = new Map(
  issues.filter((one) => one.id === id).map((one) => [one.field, issueLine(one)]),
);
console.log(`Began ${id} in ${FOLDER}/${path}; it still lacks:`);
for (const line of own.values()) console.log(`  ${line}`);
console.log(
  'docs/knowledge.md explains each field; npm run check:knowledge says when it is whole.',
);
