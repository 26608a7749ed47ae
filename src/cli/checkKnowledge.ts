import { readLibrary } from '../core/knowledge/read.ts';
import { checkLibrary } from '../core/knowledge/check.ts';
import { issueLine, readKnowledgeFiles } from '../server/knowledge/loadLibrary.ts';

const folder = process.argv[2] ?? 'knowledge';
const files = readKnowledgeFiles(folder);
const read = files.ok ? readLibrary(files.value) : files;
const issues = read.ok ? checkLibrary(read.value) : read.error;

for (const issue of issues) console.error(issueLine(issue));
if (read.ok && issues.length === 0) {
  const { library } = read.value;
  console.log(
    `${library.plants.length} plants and groups, ${library.causes.length} causes, ${library.careTopics.length} care topics, ` +
      `${library.findings.length} findings, ${library.treatments.length} treatments, ${library.places.length} places: all well. ` +
      `Version ${library.version}.`,
  );
} else {
  console.error(`${issues.length} problems in ${folder}.`);
  process.exitCode = 1;
}
