import type { Finding } from '../schema/finding.ts';
import { findingSchema } from '../schema/finding.ts';
import { fitsPart, namesPart } from './partFit.ts';
import { stem } from './stem.ts';
import { tokenize } from './tokens.ts';

function finding(part: string, kind = 'symptom'): Finding {
  return findingSchema.parse({
    id: 'one',
    label: 'One',
    part,
    kind,
    question: 'Is it so?',
    how: 'Look.',
    background: 'rare',
    plate: 'none',
    source: 'judgement',
  });
}

/** Whether the words, which stand in the text, are told of the part. */
function fits(part: string, text: string, words: string, needsPart = false, kind = 'symptom') {
  const tokens = tokenize(text);
  const positions = words.split(' ').map((word) => {
    const place = tokens.findIndex((token) => token.stem === stem(word));
    if (place < 0) throw new Error(`${word} is not said`);
    return place;
  });
  return fitsPart(finding(part, kind), tokens, positions, { needsPart });
}

describe('what is told of a part', () => {
  it.each([
    ['its own noun before', 'leaf', 'the leaves have spots', 'spots', true],
    ['another noun before', 'leaf', 'the canes have spots', 'spots', false],
    ['no noun at all', 'leaf', 'it has spots', 'spots', true],
    ['its own noun after', 'leaf', 'spots on the leaves', 'spots', true],
    ['another noun after', 'leaf', 'spots on the canes', 'spots', false],
    [
      'the nearer of two before',
      'leaf',
      'leaves are fine but the canes have spots',
      'spots',
      false,
    ],
    ['the noun of the sentence before', 'leaf', 'Canes are fine. It has spots', 'spots', true],
    ['the noun that "they" means', 'leaf', 'The leaves are pale. They drop', 'drop', true],
    ['another noun that "they" means', 'fruit', 'The leaves are pale. They drop', 'drop', false],
    ['what comes after a pause', 'leaf', 'it has spots, the canes split', 'spots', true],
    ['what comes after "and"', 'leaf', 'it has spots and canes', 'spots', true],
    [
      'where it is placed',
      'trunk',
      'the leaves are thin and there are holes on the trunk',
      'holes',
      true,
    ],
    [
      'where it is not placed',
      'leaf',
      'the leaves are thin and there are holes on the trunk',
      'holes',
      false,
    ],
    ['a lawn it stands in', 'stem', 'the shoots come up all over the lawn', 'come', true],
    ['another noun between', 'fruit', 'tomatoes and leaves are black', 'tomatoes black', false],
    ['shoots, which carry leaves', 'leaf', 'the shoots are limp', 'limp', true],
    ['and wood', 'stem', 'the shoots are limp', 'limp', true],
    ['blades of grass', 'turf', 'the blades have bands', 'bands', true],
    ['leaves are no turf', 'turf', 'the leaves have bands', 'bands', false],
    ['the whole plant', 'whole', 'the canes wilt', 'wilt', true],
    ['what happened', 'history', 'the canes saw rain', 'rain', true],
  ])('minds %s', (_, part, text, words, expected) => {
    expect(fits(part, text, words)).toBe(expected);
  });

  it('is the fruit where the plant is named for it', () => {
    const tokens = tokenize('tomatoes split round the stem');
    expect(fitsPart(finding('fruit'), tokens, [0, 1], { namesFruit: true })).toBe(true);
    expect(fitsPart(finding('stem'), tokens, [0, 1], { namesFruit: true })).toBe(false);
    const others = tokenize('leaves on the tomatoes split');
    expect(fitsPart(finding('fruit'), others, [3, 4], { namesFruit: true })).toBe(false);
  });

  it('is asked for when the phrase needs it', () => {
    expect(fits('leaf', 'the leaves were fine and then turned yellow', 'yellow', true)).toBe(true);
    expect(fits('leaf', 'it turned yellow', 'yellow', true)).toBe(false);
  });

  it('is not asked of insects, which sit anywhere, when two words name them', () => {
    expect(fits('leaf', 'the stems have green bugs', 'green bugs', false, 'sign')).toBe(true);
    expect(fits('leaf', 'the stems have bugs', 'bugs', false, 'sign')).toBe(false);
  });
});

it('knows the nouns for parts', () => {
  const nouns = tokenize('leaf blade shoot stem root bloom berry lawn').filter(namesPart);
  expect(nouns).toHaveLength(8);
  expect(tokenize('spot rain neighbor').filter(namesPart)).toEqual([]);
  expect(namesPart(undefined)).toBe(false);
});
