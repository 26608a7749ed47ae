import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { makeLanguageContext } from '../core/library/languageContext.ts';
import type { Compiled } from '../core/library/compile.ts';
import { CORPUS, corpusText, labelledSentences, TRAINING_FILES } from './corpus.ts';
import { judgeSentence, scoreSentences } from './labelledSentences.ts';

const MANIFEST = 'models/manifest.json';
const LANGUAGE = 'knowledge/language';
/** The word lists of that folder that are learned with, in alphabetical order. */
const WORD_LISTS = ['synonyms.yaml', 'word-classes.yaml'];

const share = z.number().min(0).max(1);
const manifestSchema = z.strictObject({
  /** Hash of everything that the model is learned from. */
  inputs: z.string(),
  /** How many sentences and readings it is learned from, and how many findings it knows. */
  sentences: z.number().int().positive(),
  readings: z.number().int().positive(),
  findings: z.number().int().positive(),
  /** What is understood of the sentences that are held out. */
  heldOut: z.strictObject({
    sentences: z.number().int().positive(),
    plants: share,
    precision: share,
    recall: share,
    negation: share,
  }),
});
export type ModelManifest = z.infer<typeof manifestSchema>;

/** Hash of the labelled text and the word lists that the model is learned from: 64 hexadecimal digits. */
export function inputsHash(): string {
  const hash = createHash('sha256');
  for (const name of TRAINING_FILES) hash.update(`${name}\n${corpusText(name)}`);
  for (const name of WORD_LISTS)
    hash.update(`${name}\n${readFileSync(join(LANGUAGE, name), 'utf8')}`);
  return hash.digest('hex');
}

const rounded = (value: number): number => Math.round(10_000 * value) / 10_000;

/** What a library understands of the sentences that are held out. */
export function heldOutScores(library: Compiled): ModelManifest['heldOut'] {
  const languageContext = makeLanguageContext(library);
  const { sentences, plants, precision, recall, sign } = scoreSentences(
    CORPUS.heldOut
      .flatMap(labelledSentences)
      .map((sentence) => judgeSentence(library, languageContext, sentence)),
  );
  return {
    sentences,
    plants: rounded(plants),
    precision: rounded(precision),
    recall: rounded(recall),
    negation: rounded(sign),
  };
}

/** Writes what the model was learned from, and how well it does. */
export function writeManifest(manifest: Omit<ModelManifest, 'inputs'>): void {
  const content: ModelManifest = { inputs: inputsHash(), ...manifest };
  writeFileSync(MANIFEST, `${JSON.stringify(content, null, 2)}\n`);
}

/** The manifest beside the model. Throws when it has another form. */
export function readManifest(): ModelManifest {
  return manifestSchema.parse(JSON.parse(readFileSync(MANIFEST, 'utf8')));
}
