import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ENTRY_FIELDS } from '../core/knowledge/read.ts';
import { knowledgeLayout } from '../server/knowledge/knowledgeLayout.ts';

/** Brings every file of the library into its layout: `npm run format:knowledge`. */
const folder = process.argv[2] ?? 'knowledge';
for (const [section, fields] of Object.entries(ENTRY_FIELDS))
  for (const name of readdirSync(join(folder, section))) {
    const path = join(folder, section, name);
    const text = readFileSync(path, 'utf8');
    const formatted = knowledgeLayout(text, fields);
    if (formatted === text) continue;
    writeFileSync(path, formatted);
    console.log(`formatted ${path}`);
  }
