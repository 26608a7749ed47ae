import { readKnowledgeFiles } from '../server/knowledge/loadLibrary.ts';
import { issueLine } from '../wording/libraryFaults.ts';
import { drawFacts, factsOf } from './facts.ts';

/** Draws facts of the library for a second reading, two thirds of what to do and when: `npm run facts -- 300 7`. */
const count = Number(process.argv[2] ?? 300);
const seed = Number(process.argv[3] ?? 1);
if (!Number.isInteger(count) || !Number.isInteger(seed) || count < 1) {
  console.error('Say how many facts, and by which seed, in whole numbers: npm run facts -- 300 7');
  process.exit(2);
}
const files = readKnowledgeFiles('knowledge');
if (!files.ok) {
  console.error(files.error.map(issueLine).join('\n'));
  process.exit(2);
}
const { seen, done } = factsOf(files.value);
const ofSeen = Math.round(count / 3);
const drawn = [...drawFacts(done, count - ofSeen, seed), ...drawFacts(seen, ofSeen, seed)];
drawn.forEach(({ of, states }, i) => console.log(`${i + 1}\t${of}\t${states}`));
