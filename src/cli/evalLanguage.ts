import { existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parse } from 'yaml';
import { z } from 'zod';
import { makeLanguageContext } from '../core/library/languageContext.ts';
import { CORPUS, corpusText, labelledSentences } from './corpus.ts';
import { loadLibrary } from '../server/knowledge/loadLibrary.ts';
import {
  judgeSentence,
  labelledSentenceSchema,
  scoreSentences,
  type LabelledSentence,
  type LanguageScores,
  type SentenceMarks,
} from './labelledSentences.ts';

const loaded = loadLibrary(resolve('knowledge'));
if (!loaded.ok) throw new Error('run npm run check:knowledge');
const library = loaded.value;
const languageContext = makeLanguageContext(library);
const judge = (sentence: LabelledSentence): SentenceMarks =>
  judgeSentence(library, languageContext, sentence);

const EXAMPLES = resolve('../shared/cases/examples.json');
const exampleSchema = z.object({ id: z.string(), words: z.string() });
const exampleLabelsSchema = labelledSentenceSchema.omit({ say: true }).extend({ id: z.string() });

/** The example enquiries that lie beside the project, with their labels. */
function readExamples(): readonly LabelledSentence[] {
  const enquiries = z.array(exampleSchema).parse(JSON.parse(readFileSync(EXAMPLES, 'utf8')));
  return z
    .array(exampleLabelsSchema)
    .parse(parse(corpusText(CORPUS.examples)))
    .flatMap(({ id, ...labels }) => {
      const enquiry = enquiries.find((one) => one.id === id);
      return enquiry ? [{ ...labels, say: enquiry.words }] : [];
    });
}

/** Says what was misheard in a sentence; nothing when all was right. */
function report({ say }: LabelledSentence, { plantOk, plant, missed, wrong }: SentenceMarks): void {
  if (plantOk && wrong.length === 0 && missed.length === 0) return;
  console.log(say);
  if (!plantOk) console.log(`    plant heard: ${plant}`);
  if (missed.length > 0) console.log(`    missed: ${missed.join(' ')}`);
  for (const { finding, value, span } of wrong)
    console.log(
      `    wrong: ${value ? '' : 'not '}${finding} in "${say.slice(span.start, span.end)}"`,
    );
}

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`.padStart(9);
const row = (name: string, { sentences: n, plants, precision, recall, sign }: LanguageScores) =>
  console.log(
    `${name.padEnd(30)}${String(n).padStart(9)}${percent(plants)}${percent(precision).padStart(11)}${percent(recall)}${percent(sign).padStart(10)}`,
  );

const HELD_OUT: ReadonlySet<string> = new Set(CORPUS.heldOut);
const FILES = [...CORPUS.corrected, CORPUS.uncorrected, ...CORPUS.heldOut];
const judged = FILES.map((name) => ({
  name,
  marks: labelledSentences(name).map((sentence) => {
    const marked = judge(sentence);
    // What is held out is not shown, so that nothing is corrected by it.
    if (!HELD_OUT.has(name)) report(sentence, marked);
    return marked;
  }),
}));
console.log(`\n${''.padEnd(30)}sentences   plants  precision   recall  negation`);
for (const { name, marks } of judged) row(name, scoreSentences(marks));
const heldBack = judged.filter(({ name }) => HELD_OUT.has(name));
row('held out', scoreSentences(heldBack.flatMap(({ marks }) => marks)));
row('together', scoreSentences(judged.flatMap(({ marks }) => marks)));
if (existsSync(EXAMPLES)) row('examples', scoreSentences(readExamples().map(judge)));
