import { readAssertion } from './assertion.ts';
import { tokenize } from './tokens.ts';

type Flag = 'denied' | 'doubted' | 'theory' | 'planned';

/** Words of a text that carry a flag. */
function flagged(text: string, flag: Flag): string[] {
  const tokens = tokenize(text);
  const flags = readAssertion(tokens)[flag];
  return tokens.filter((_, i) => flags[i] === true).map(({ word }) => word);
}

describe('denial', () => {
  it.each([
    ['no webbing, but sticky', ['webbing']],
    ['no spots or bugs', ['spots', 'or', 'bugs']],
    ['no spots, bugs or webs', ['spots', 'bugs', 'or', 'webs']],
    ['not just spots', []],
    ['it is not wilting and there is webbing', ['wilting']],
    ['nothing moves. The leaves curl', ['moves']],
    ["I don't know if it has webs", []],
    ['never any fruit', ['any', 'fruit']],
    ['grass never grows under the maple', ['grows']],
    ['not under the maple', ['under', 'the', 'maple']],
    ['slime none, holes many', ['slime']],
    ['I looked, none', []],
    ["it hasn't bloomed since we pruned it", ['bloomed']],
    ['spots below but the new growth looks just fine', ['the', 'new', 'growth']],
    ["holes? no they're blisters in the leaf", ['holes']],
    ['one limb wilts while the others look perfect', []],
    ['the leaves look fine at noon only', []],
    ['the roots look white and healthy', ['the', 'roots']],
    ['spots on it, new leaves look clean', ['new', 'leaves']],
    ['Webs underneath? No.', ['webs', 'underneath']],
    ['Pee spots? no pee', ['pee', 'spots', 'pee']],
    ["Holes? No, they're blisters", ['holes']],
    ['What is it? No webs', ['webs']],
    ['Are there webs? No idea', []],
    ["the new shoots aren't affected", ['the', 'new', 'shoots', 'affected']],
    ['the fruit is not harmed', ['the', 'fruit', 'harmed']],
    ["the leaf doesn't look right", ['look', 'right']],
  ])('%s', (text, expected) => {
    expect(flagged(text, 'denied')).toEqual(expected);
  });

  it('reaches no further than a few words', () => {
    const far = 'no one two three four five six seven eight nine';
    expect(flagged(far, 'denied')).toHaveLength(7);
  });
});

describe('doubt', () => {
  it.each([
    ['maybe mildew', ['mildew']],
    ['it could be rust, the leaves curl', ['rust']],
    ["I'm not sure the roots rot", ['the', 'roots', 'rot']],
    ['rain in May', []],
  ])('%s', (text, expected) => {
    const words = flagged(text, 'doubted');
    expect(words).toEqual(expect.arrayContaining(expected));
    if (expected.length === 0) expect(words).toEqual([]);
  });
});

describe('theory', () => {
  it.each([
    ['she says it is mites', 'mites', true],
    ['he told me that moles did it', 'moles', true],
    ['I thought it was mould', 'mould', true],
    ['is it blight', 'blight', true],
    ['it must be grubs', 'grubs', true],
    ['she says there are webs', 'webs', false],
    ['there are mites', 'mites', false],
    ['something digs, looking for grubs', 'grubs', true],
    ["I have been blaming the neighbour's cat", 'cat', true],
  ])('%s', (text, word, expected) => {
    expect(flagged(text, 'theory').includes(word)).toBe(expected);
  });
});

describe('what is to be done', () => {
  it.each([
    ['when should I cut back my lilac', ['cut']],
    ['can we just still prune it', ['prune']],
    ['the best time to water', ['water']],
    ['prune it in spring or wait', ['prune', 'it', 'in', 'spring', 'or']],
    ['I cut it back in May', []],
    ['the leaves began to curl', []],
  ])('%s', (text, expected) => {
    expect(flagged(text, 'planned')).toEqual(expected);
  });
});
