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
const search = (text: string, wanted: string, understood?: ReadonlySet<string>) =>
  buildPhraseIndex([phrase(wanted)])(tokenize(text), understood);
/** Phrases found within their reach. */
const finds = (text: string, wanted: string): string[] => [
  ...new Set(
    search(text, wanted)
      .filter(({ far }) => !far)
      .map((match) => match.phrase.target),
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

describe('words that stand further apart', () => {
  it('are found as far, but not at any distance', () => {
    expect(search('leaf goes yellow', 'leaf yellow ~2').map(({ far }) => far)).toEqual([true]);
    expect(search('leaf a b c d e f g h i j k yellow', 'leaf yellow ~2')).toEqual([]);
  });

  it('are never found without one of their terms (property)', () => {
    const word = fc.constantFrom('leaf', 'yellow', 'spot', 'black');
    fc.assert(
      fc.property(fc.array(word, { maxLength: 14 }), word, word, (spoken, a, b) =>
        search(spoken.join(' '), `${a} ${b}`).every(
          ({ positions }) =>
            positions.length === 2 &&
            positions[0] !== positions[1] &&
            spoken[positions[0] ?? -1] === a &&
            spoken[positions[1] ?? -1] === b,
        ),
      ),
    );
  });
});

describe('words that go without saying', () => {
  const lawn = new Set(['lawn', 'grass']);

  it('need not be said, and have no position', () => {
    expect(search('there is moss', 'moss lawn|yard', lawn)).toMatchObject([
      { positions: [2], far: true },
    ]);
    expect(search('there is moss', 'moss lawn|yard')).toEqual([]);
  });

  it('stand in for no other word', () => {
    expect(search('there is moss', 'moss bark', lawn)).toEqual([]);
    expect(search('there is a lawn', 'moss lawn', lawn)).toEqual([]);
  });

  it('only ever add matches (property)', () => {
    const word = fc.constantFrom('moss', 'lawn', 'grass', 'bark', 'thin');
    fc.assert(
      fc.property(fc.array(word, { maxLength: 10 }), word, word, (spoken, a, b) => {
        const text = spoken.join(' ');
        return search(text, `${a} ${b}`, lawn).length >= search(text, `${a} ${b}`).length;
      }),
    );
  });
});

it('notes that a phrase needs its part named, and takes that for no word', () => {
  expect(phrase('yellow +part')).toMatchObject({ needsPart: true, terms: [new Set(['yellow'])] });
  expect(phrase('yellow leaf').needsPart).toBe(false);
});

it.each([57, 58, 59, 60, 61, 118, 119, 120])(
  'finds a phrase wherever it stands in what is said without a stop (word %i)',
  (place) => {
    const said = Array.from({ length: 200 }, (_, i) => `filler${i}`);
    said.splice(place, 3, 'yellow', 'old', 'leaves');
    const [found] = search(said.join(' '), 'yellow leaf');
    expect(found?.positions).toEqual([place, place + 2]);
  },
);
