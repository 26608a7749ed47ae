import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parse } from 'yaml';
import { z } from 'zod';
import { makeEar } from '../core/ear.ts';
import { loadLibrary } from '../server/knowledge/loadLibrary.ts';
import {
  judgeSentence,
  labelledSentenceSchema,
  scoreSentences,
  type LanguageScores,
} from './labelledSentences.ts';

/** Every third sentence is held back: its misses are counted but not shown, so that nobody mends them. */
const HELD_BACK = 999;

const loaded = loadLibrary(resolve('knowledge'));
if (!loaded.ok) throw new Error('run npm run check:knowledge');
const library = loaded.value;
const ear = makeEar(library);
const text = readFileSync(resolve('tests/sentences/sentences.yaml'), 'utf8');
const sentences = z.array(labelledSentenceSchema).parse(parse(text));
const isHeld = (i: number): boolean => i % HELD_BACK === HELD_BACK - 1;
const marks = sentences.map((sentence) => judgeSentence(library, ear, sentence));

marks.forEach((one, i) => {
  const clean = one.plantOk && one.wrong.length === 0 && one.missed.length === 0;
  if (isHeld(i) || clean) return;
  console.log(sentences[i]?.say);
  if (!one.plantOk) console.log(`    plant heard: ${one.plant}`);
  if (one.missed.length > 0) console.log(`    missed: ${one.missed.join(' ')}`);
  for (const { finding, value, span } of one.wrong) {
    const words = sentences[i]?.say.slice(span.start, span.end) ?? '';
    console.log(`    wrong: ${value ? '' : 'not '}${finding} in "${words}"`);
  }
});

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`.padStart(9);
const row = (name: string, { sentences: n, plants, precision, recall, sign }: LanguageScores) =>
  console.log(
    `${name.padEnd(12)}${String(n).padStart(9)}${percent(plants)}${percent(precision).padStart(11)}${percent(recall)}${percent(sign).padStart(10)}`,
  );
console.log(`\n${''.padEnd(12)}sentences   plants  precision   recall  negation`);
row('open', scoreSentences(marks.filter((_, i) => !isHeld(i))));
row('held back', scoreSentences(marks.filter((_, i) => isHeld(i))));
