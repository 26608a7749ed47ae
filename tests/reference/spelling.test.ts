import { readdirSync, readFileSync } from 'node:fs';
import american from 'dictionary-en';
import british from 'dictionary-en-gb';
import nspell from 'nspell';
import { join } from 'node:path';
import { readCheckedLibrary } from '../../src/server/knowledge/loadLibrary.ts';
import { inSpelling } from '../../src/wording/spelling.ts';

const read = readCheckedLibrary('knowledge');
if (!read.ok) throw new Error('the library has faults: run npm run check:knowledge');

/** Fields that hold no text to be read: ids, and what people say in their own spelling. */
const NOT_READ = new Set([
  'id',
  'ingredients',
  'plate',
  'phrases',
  'names',
  'ambiguous',
  'aliases',
  'source',
  'wordModel',
]);

function textsOf(value: unknown): readonly string[] {
  if (typeof value === 'string') return value.includes(' ') ? [value] : [];
  if (Array.isArray(value)) return value.flatMap(textsOf);
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, one]) => (NOT_READ.has(key) ? [] : textsOf(one)));
}

const catalogs = ['src/wording', 'src/web/texts'].flatMap((folder) =>
  readdirSync(folder)
    .filter((name) => name !== 'spelling.ts' && !name.includes('test'))
    .map((name) => readFileSync(join(folder, name), 'utf8')),
);
const { causes, careTopics, treatments, findings, groups, looks, dangers, laws, views } =
  read.value;
const ofLibrary = textsOf([causes, careTopics, treatments, findings, groups, looks, laws, views]);
const wordsIn = (texts: readonly string[]): ReadonlySet<string> =>
  new Set(texts.flatMap((text) => text.match(/\b[A-Za-z][a-z]+\b/g) ?? []));
const words = wordsIn([...ofLibrary, ...textsOf(dangers), ...catalogs]);

const checkerOf = ({ aff, dic }: typeof american) => nspell(Buffer.from(aff), Buffer.from(dic));

// Dictionaries of SCOWL in both spellings (packages dictionary-en and dictionary-en-gb).
it('spells every word of the library and the catalogs as a British dictionary does', () => {
  const us = checkerOf(american);
  const gb = checkerOf(british);
  expect(words.size).toBeGreaterThan(5000);
  const wrong = [...words].filter(
    (word) => us.correct(word) && !gb.correct(inSpelling(word, 'gb')),
  );
  expect(wrong).toEqual([]);
});

/** Words that are used on both sides of the sea, whatever the dictionary of one of them holds. */
const OF_BOTH = ['enquiry', 'enquiries', 'mums', 'flyers'];

it('spells the library in one way, that of the United States', () => {
  const us = checkerOf(american);
  const gb = checkerOf(british);
  const ofBritain = [...wordsIn(ofLibrary)].filter(
    (word) => gb.correct(word) && !us.correct(word) && !OF_BOTH.includes(word),
  );
  expect(ofBritain).toEqual([]);
});
