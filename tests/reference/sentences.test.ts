import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parse } from 'yaml';
import { z } from 'zod';
import {
  judgeSentence,
  labelledSentenceSchema,
  scoreSentences,
} from '../../src/cli/labelledSentences.ts';
import { makeEar } from '../../src/core/ear.ts';
import { loadLibrary } from '../../src/server/knowledge/loadLibrary.ts';

const loaded = loadLibrary(resolve('knowledge'));
if (!loaded.ok) throw new Error('run npm run check:knowledge');
const library = loaded.value;
const ear = makeEar(library);
const sentences = ['first', 'later'].flatMap((name) =>
  z
    .array(labelledSentenceSchema)
    .parse(parse(readFileSync(resolve(`tests/sentences/${name}.yaml`), 'utf8'))),
);

it('labels with what the library holds', () => {
  const findings: ReadonlySet<string> = new Set(library.findings.keys());
  const plants: ReadonlySet<string> = new Set(library.plants.keys());
  for (const { plant, yes, no } of sentences) {
    expect([...yes, ...no].filter((id) => !findings.has(id))).toEqual([]);
    expect(plant === null || plants.has(plant)).toBe(true);
  }
});

it('understands the labelled sentences no worse than when they were last worked on', () => {
  const scores = scoreSentences(sentences.map((sentence) => judgeSentence(library, ear, sentence)));
  expect(scores.sentences).toBeGreaterThanOrEqual(250);
  expect(scores.plants).toBeGreaterThan(0.97);
  expect(scores.precision).toBeGreaterThan(0.83);
  expect(scores.recall).toBeGreaterThan(0.87);
  expect(scores.sign).toBeGreaterThan(0.97);
});
