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
const NOT_READ = new Set(['id', 'phrases', 'names', 'ambiguous', 'aliases', 'source', 'wordModel']);

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
const texts = [
  ...textsOf([causes, careTopics, treatments, findings, groups, looks, dangers, laws, views]),
  ...catalogs,
];
const words = new Set(texts.flatMap((text) => text.match(/\b[A-Za-z][a-z]+\b/g) ?? []));

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
