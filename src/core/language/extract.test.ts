import fc from 'fast-check';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { makeLanguageContext } from '../library/languageContext.ts';
import { extract, type Extracted } from './extract.ts';

const library = miniLibrary(
  [
    { id: 'webbing', extra: { kind: 'sign', phrases: ['webbing', 'fine @web'] } },
    { id: 'sticky', extra: { kind: 'sign', phrases: ['sticky'] } },
    { id: 'bags', extra: { part: 'stem', kind: 'sign', phrases: ['bag hang'] } },
    { id: 'wilt', extra: { phrases: ['hang|hanging'] } },
    {
      id: 'asks-coffee',
      extra: { part: 'history', kind: 'context', askable: false, phrases: ['coffee grounds'] },
    },
    { id: 'spots', extra: { phrases: ['@leaf spot', 'spot|spots -bald'] } },
    { id: 'rain-since', extra: { phrases: ['rain since'] } },
    { id: 'veins-green', extra: { phrases: ['vein green', 'vein green yellow'] } },
    { id: 'mites-seen', extra: { kind: 'sign', phrases: ['mite|mites'] } },
    { id: 'no-flowers', extra: { phrases: ['not|no flower|bloom'] } },
    { id: 'old-leaves', extra: { group: 'age', phrases: ['lower @leaf'] } },
    { id: 'new-leaves', extra: { group: 'age', phrases: ['new @leaf', 'very new top @leaf'] } },
  ],
  [{ id: 'a', findings: { webbing: 'often' } }],
  {
    'language/word-classes.yaml': { leaf: ['leaf', 'foliage'], web: ['web', 'cobweb'] },
    'groups/a.yaml': [
      {
        id: 'age',
        question: 'Old or new?',
        choices: ['old-leaves', 'new-leaves'],
        source: 'judgement',
      },
    ],
    'plants/b.yaml': [
      { id: 'maple', name: 'Maple', rank: 'genus', source: 'judgement' },
      { id: 'japanese-maple', name: 'Japanese maple', parents: ['maple'], source: 'judgement' },
      { id: 'olive', name: 'Olive', ambiguous: ['olive'], source: 'judgement' },
      { id: 'oak', name: 'Oak', source: 'judgement' },
    ],
  },
);
const listen = (text: string): Extracted => extract(makeLanguageContext(library), text);
const said = (text: string): Record<string, boolean> =>
  Object.fromEntries(listen(text).findings.map(({ finding, value }) => [finding, value]));

describe('where things are said to be', () => {
  const garden = miniLibrary(
    [
      { id: 'leaf-yellow', extra: { phrases: ['@leaf yellow', 'yellow +part'] } },
      { id: 'cane-spots', extra: { part: 'stem', phrases: ['cane spots'] } },
      { id: 'leaf-spots', extra: { phrases: ['@leaf spots', 'spots'] } },
      { id: 'fruit-split', extra: { part: 'fruit', phrases: ['@fruit split'] } },
      { id: 'fruit-black', extra: { part: 'fruit', phrases: ['@fruit black'] } },
      { id: 'lawn-moss', extra: { part: 'turf', kind: 'sign', phrases: ['lawn|grass moss'] } },
      { id: 'stem-galls', extra: { part: 'stem', phrases: ['hard round galls twig'] } },
    ],
    [
      {
        id: 'a',
        extra: { hosts: { tomato: 'usual', turf: 'usual', lilac: 'usual' } },
        findings: { 'leaf-yellow': 'often', 'leaf-spots': 'often', 'fruit-split': 'often' },
      },
      { id: 'b', extra: { hosts: { turf: 'usual' } }, findings: { 'lawn-moss': 'often' } },
      { id: 'c', extra: { hosts: { tomato: 'usual' } }, findings: { 'fruit-black': 'often' } },
    ],
    {
      'language/word-classes.yaml': { leaf: ['leaf', 'foliage'], fruit: ['fruit'] },
      'plants/b.yaml': [
        {
          id: 'tomato',
          name: 'Tomato',
          traits: { edible: 'fruit' },
          source: 'judgement',
        },
        { id: 'turf', name: 'Lawn', names: ['grass'], source: 'judgement' },
        { id: 'lilac', name: 'Lilac', source: 'judgement' },
      ],
    },
  );
  const languageContext = makeLanguageContext(garden);
  const heard = (text: string): string[] =>
    extract(languageContext, text)
      .findings.filter(({ value }) => value)
      .map(({ finding }) => finding);

  it.each([
    ['the name of what is eaten names its fruit', 'My tomatoes split', ['fruit-split']],
    ['but not before the word plant', 'My tomato plants split', []],
    ['the fruit goes without saying', 'About my tomato. They split after rain.', ['fruit-split']],
    ['and so does the lawn', 'It is my lawn. There is moss.', ['lawn-moss']],
    [
      'a part named long before counts',
      'The leaves of the lilac were fine and then turned yellow',
      ['leaf-yellow'],
    ],
    ['where it is needed, none will not do', 'My lilac turned yellow', []],
    [
      '"of my" and a name part no words',
      'The leaves of my dear old lilac are yellow',
      ['leaf-yellow'],
    ],
    ['another part between forbids', 'My tomatoes and their leaves are black', []],
    ['what is told of canes is not told of leaves', 'The canes have spots', ['cane-spots']],
    [
      'many words are heard of any plant',
      'My lilac has hard round galls on a twig',
      ['stem-galls'],
    ],
  ])('%s', (_, text, expected) => {
    expect(heard(text)).toEqual(expected);
  });
});

describe('findings', () => {
  it.each([
    ['There is fine webbing between the leaves', { webbing: true }],
    ['No webbing, nothing moves, but sticky', { webbing: false, sticky: true }],
    ["I can't see any spots on the leaves", { spots: false }],
    ['spots on the leaf, no webbing', { spots: true, webbing: false }],
    ['no spots, the leaf is long', { spots: false }],
    ['the foliage has spots but the new leaves look fine', { spots: true, 'new-leaves': false }],
    ['no spots or webbing', { spots: false, webbing: false }],
    ['not just spots, webbing too', { spots: true, webbing: true }],
    ["It hasn't rained for weeks and it's sticky", { sticky: true }],
    ['No rain since we planted it', { 'rain-since': false }],
    ["the veins aren't green, the whole leaf is yellow", { 'veins-green': false }],
    ['It did not flower this year', { 'no-flowers': true }],
    ['my neighbour says it is mites', {}],
    ['Any webbing? No. Spots? Yes', { webbing: false, spots: true }],
    ['my wife says there are spots', { spots: true }],
    ['bald spots', {}],
    ['spotted foliage', { spots: true }],
    ['little bags hanging on it', { bags: true }],
    ['the leaves are hanging', { wilt: true }],
    ['should I use coffee grounds', { 'asks-coffee': true }],
    ['dirt like coffee grounds', {}],
  ])('hears "%s"', (text, expected) => {
    expect(said(text)).toEqual(expected);
  });

  it('doubts what the speaker doubts', () => {
    const [sure] = listen('There is webbing').findings;
    const [doubtful] = listen('It might be webbing').findings;
    expect(doubtful?.sure).toBeLessThan(sure?.sure ?? 0);
  });

  it('takes one finding of an exclusive group, the longer phrase', () => {
    expect(said('lower leaves, well, the very new top leaves')).toEqual({ 'new-leaves': true });
  });

  it('does not join words across a pause and sentences', () => {
    expect(said('The foliage is fine. A spotless pot')).toEqual({});
  });
});

describe('plants', () => {
  const first = (text: string): string | undefined => listen(text).plants[0]?.plant;

  it.each([
    ['the maple, a Japanese maple that is', 'japanese-maple'],
    ['my fern under the oak', 'fern'],
    ['olive brown spots on my fern', 'fern'],
    ['my olive tree', 'olive'],
    ['our maples', 'maple'],
  ])('finds the plant in "%s"', (text, plant) => {
    expect(first(text)).toBe(plant);
  });

  it('finds none where none is named', () => {
    expect(listen('something is wrong').plants).toEqual([]);
  });
});

it('survives any text and keeps spans inside it', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 400 }), (text) => {
      const { findings, mentions } = listen(`${text} no webbing on the Maple 🍁 مرحبا ${text}`);
      const spans = [...findings.map(({ span }) => span), ...mentions];
      return spans.every(
        ({ start, end }) => start >= 0 && end > start && end <= text.length * 2 + 60,
      );
    }),
  );
});

it('reads 100,000 characters without stopping', () => {
  expect(listen('fine web '.repeat(11_200)).findings).toHaveLength(1);
});

it('tells which words speak of the trouble: not what is denied, guessed or names the plant', () => {
  const words = listen('My maple has sticky bags, no webbing, I think it is mites').contentWords;
  const heard = words.map(({ word }) => word);
  expect(heard).toEqual(expect.arrayContaining(['sticky', 'bags']));
  for (const word of ['maple', 'webbing', 'mites']) expect(heard).not.toContain(word);
});
