import fc from 'fast-check';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { makeLanguageContext } from '../library/languageContext.ts';
import { mentionOfEach, readNaming, withoutNames, stripPossessors } from './named.ts';
import { findPlants, type PlantMention } from './plantNames.ts';
import { tokenize, type Token } from './tokens.ts';

const languageContext = makeLanguageContext(
  miniLibrary([{ id: 'spots' }], [{ id: 'a', findings: { spots: 'often' } }], {
    'plants/b.yaml': [
      { id: 'lilac', name: 'Lilac', names: ['korean lilac'], source: 'judgement' },
      { id: 'white-pine', name: 'White pine', source: 'judgement' },
      { id: 'tomato', name: 'Tomato', traits: { edible: 'fruit' }, source: 'judgement' },
    ],
  }),
);

const read = (text: string): { tokens: readonly Token[]; mentions: readonly PlantMention[] } => {
  const tokens = tokenize(text);
  return { tokens, mentions: findPlants(languageContext.plantNames, tokens, () => false) };
};
const stems = (tokens: readonly Token[]): string => tokens.map(({ stem }) => stem).join(' ');

describe('whose part it is', () => {
  const heard = (text: string): string => {
    const { tokens, mentions } = read(text);
    return stems(stripPossessors(languageContext, tokens, mentions));
  };
  it.each([
    ['leaves of the lilac are brown', 'leaf are brown'],
    ['leaves of my dear old lilac are brown', 'leaf are brown'],
    ['the top of the korean lilac', 'the top'],
    ['leaves of the tomato curl', 'leaf curl'],
    ['the skin of the tomato', 'the skin of the tomato'],
    ['leaves of it. The lilac is fine', 'leaf of it the lilac is fin'],
    [
      'a lot of things ail the poor old dear little lilac',
      'a lot of thing ail the poor old dear littl lilac',
    ],
    ['leaves of my brown lilac', 'leaf of my brown lilac'],
    ['lilac', 'lilac'],
    ['of lilac', 'of lilac'],
  ])('takes no room in "%s"', (text, left) => {
    expect(heard(text)).toBe(left);
  });

  it('is all that is left out, and the order stays (property)', () => {
    const word = fc.constantFrom(
      'leaves',
      'of',
      'the',
      'lilac',
      'tomato',
      'brown',
      'white',
      'pine',
      '.',
    );
    fc.assert(
      fc.property(fc.array(word, { maxLength: 20 }), (words) => {
        const { tokens, mentions } = read(words.join(' '));
        const left = stripPossessors(languageContext, tokens, mentions);
        const places = left.map((token) => tokens.indexOf(token));
        return (
          places.every((place, i) => place >= 0 && place > (places[i - 1] ?? -1)) &&
          tokens.every((token) => left.includes(token) || token.stem !== 'brown')
        );
      }),
    );
  });
});

describe('names', () => {
  it('are read as "plant", but for what is eaten', () => {
    const { tokens, mentions } = read('half the white pine and the tomato');
    expect(stems(withoutNames(languageContext, tokens, mentions))).toBe(
      'half the plant plant and the tomato',
    );
  });

  it('keep their places in the text', () => {
    const { tokens, mentions } = read('my white pine is brown');
    const spans = withoutNames(languageContext, tokens, mentions).map(({ start, end }) => [
      start,
      end,
    ]);
    expect(spans).toEqual(tokens.map(({ start, end }) => [start, end]));
  });

  it('are told for each word that belongs to one', () => {
    const { tokens, mentions } = read('white pine by a lilac');
    expect(mentionOfEach(tokens, mentions).map((mention) => mention?.plant ?? null)).toEqual([
      'white-pine',
      'white-pine',
      null,
      null,
      'lilac',
    ]);
  });

  it('before a noun for a plant name the whole of it', () => {
    const { tokens, mentions } = read('tomato plants have tomatoes');
    const { wholes, fruits } = readNaming(tokens, mentions, () => true);
    expect(wholes).toEqual([true, false, false, false]);
    expect(fruits).toEqual([false, false, false, true]);
    expect(readNaming(tokens, mentions, () => false).fruits).toEqual(Array(4).fill(false));
  });
});
