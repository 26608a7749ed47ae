import fc from 'fast-check';
import { compileClasses, compilePhrase, type Phrase } from './phrase.ts';
import { buildPhraseIndex } from './phraseIndex.ts';
import { tokenize, type Token } from './tokens.ts';

const classes = compileClasses({
  leaf: ['leaf', 'foliage', '@needle'],
  needle: ['needle'],
  loop: ['@loop', 'x'],
});
const phrase = (text: string): Phrase<string> => compilePhrase(text, text, classes);
const finds = (text: string, ...phrases: string[]): string[] => [
  ...new Set(
    buildPhraseIndex(phrases.map(phrase))(tokenize(text)).map((match) => match.phrase.target),
  ),
];

describe('word classes', () => {
  it('take in other classes, and end where a class names itself', () => {
    expect([...(classes.get('leaf') ?? [])]).toEqual(['leaf', 'foliag', 'needl']);
    expect([...(classes.get('loop') ?? [])]).toEqual(['x']);
  });
});

describe('phrases', () => {
  it.each([
    ['yellow leaf', 'the leaves are yellow', true],
    ['yellow @leaf', 'yellow needles', true],
    ['yellow|pale leaf', 'a pale leaf', true],
    ['> leaf yellow', 'yellow leaf', false],
    ['> leaf yellow', 'leaf goes yellow', true],
    ['leaf yellow ~2', 'leaf goes yellow', false],
    ['powder leaf -black', 'black powder on the leaf', false],
    ['powder leaf -black', 'powder on the leaf', true],
    ['no flower', "it doesn't flower", true],
    ['yellow leaf', 'yellow paint. A leaf', false],
    ['leaf leaf', 'one leaf', false],
    ['@nosuch leaf', 'leaf', false],
  ])('"%s" in "%s": %s', (text, spoken, found) => {
    expect(finds(spoken, text)).toEqual(found ? [text] : []);
  });
});

/** The slow plain version: every way to place the words of a phrase. */
function plainly(tokens: readonly Token[], { terms, reach }: Phrase<string>): boolean {
  const place = (term: number, taken: readonly number[]): boolean => {
    const words = terms[term];
    if (!words) {
      const [first, last] = [Math.min(...taken), Math.max(...taken)];
      return last - first < reach;
    }
    return tokens.some(
      (token, i) => words.has(token.stem) && !taken.includes(i) && place(term + 1, [...taken, i]),
    );
  };
  return terms.length > 0 && place(0, []);
}

it('finds no phrase that the plain search does not', () => {
  const word = fc.constantFrom('leaf', 'yellow', 'spot', 'black', 'old', 'new');
  fc.assert(
    fc.property(
      fc.array(word, { maxLength: 14 }),
      fc.array(word, { minLength: 1, maxLength: 3 }),
      (spoken, words) => {
        const tokens = tokenize(spoken.join(' '));
        const found = finds(spoken.join(' '), words.join(' ')).length > 0;
        return !found || plainly(tokens, phrase(words.join(' ')));
      },
    ),
  );
});

it('finds every phrase of two words that the plain search finds', () => {
  const word = fc.constantFrom('leaf', 'yellow', 'spot', 'black');
  fc.assert(
    fc.property(fc.array(word, { maxLength: 12 }), word, word, (spoken, a, b) => {
      const text = spoken.join(' ');
      return finds(text, `${a} ${b}`).length > 0 === plainly(tokenize(text), phrase(`${a} ${b}`));
    }),
  );
});
