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
import { library } from '../support/wholeLibrary.ts';

const ear = makeEar(library);
const read = (name: string) =>
  z
    .array(labelledSentenceSchema)
    .parse(parse(readFileSync(resolve(`tests/sentences/${name}.yaml`), 'utf8')));
const worked = ['first', 'later'].flatMap(read);
const fresh = read('fresh');

it('labels with what the library holds', () => {
  const findings: ReadonlySet<string> = new Set(library.findings.keys());
  const plants: ReadonlySet<string> = new Set(library.plants.keys());
  for (const { plant, yes, no } of [...worked, ...fresh]) {
    expect([...yes, ...no].filter((id) => !findings.has(id))).toEqual([]);
    expect(plant === null || plants.has(plant)).toBe(true);
  }
});

it('understands the labelled sentences no worse than when they were last worked on', () => {
  const scores = scoreSentences(worked.map((sentence) => judgeSentence(library, ear, sentence)));
  expect(scores.sentences).toBeGreaterThanOrEqual(250);
  expect(scores.plants).toBeGreaterThan(0.97);
  expect(scores.precision).toBeGreaterThanOrEqual(0.92);
  expect(scores.recall).toBeGreaterThan(0.88);
  expect(scores.sign).toBeGreaterThan(0.97);
});
