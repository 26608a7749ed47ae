import fc from 'fast-check';
import { NOWHERE, Presence, SEVERAL } from './presence.ts';
import { tokenize } from './tokens.ts';

const WORDS = ['leaf', 'spot', 'tar', 'moss', 'ant'];
const sentence = fc.array(fc.constantFrom(...WORDS), { maxLength: 6 });
const terms = fc.array(
  fc.uniqueArray(fc.constantFrom(...WORDS), { maxLength: 3 }).map((words) => new Set(words)),
  { minLength: 1, maxLength: 5 },
);
const places = (term: ReadonlySet<string>, words: readonly string[]): readonly number[] =>
  words.flatMap((word, i) => (term.has(word) ? [i] : []));

it('finds what a look at each word finds, in one sentence after another', () => {
  fc.assert(
    fc.property(terms, fc.array(sentence), fc.constantFrom(...WORDS), (all, said, understood) => {
      const presence = new Presence(all);
      for (const words of said) {
        presence.read(tokenize(words.join(' ')), 0, words.length, new Set([understood]));
        all.forEach((term, t) => {
          const found = places(term, words);
          const [only = NOWHERE] = found;
          expect(presence.placeOf(t)).toBe(found.length > 1 ? SEVERAL : only);
          expect(presence.isMeant(t)).toBe(found.length > 0 || term.has(understood));
        });
      }
    }),
  );
});

it('refuses a term beyond the last', () => {
  const presence = new Presence([new Set(['leaf'])]);
  presence.read(tokenize('leaf'), 0, 1, new Set());
  expect(() => presence.isMeant(1)).toThrow(RangeError);
  expect(() => presence.placeOf(-1)).toThrow(RangeError);
});
