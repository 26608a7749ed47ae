import fc from 'fast-check';
import { findingIdSchema } from '../schema/common.ts';
import { stem } from './stem.ts';
import { tokenize } from './tokens.ts';
import {
  compileWordModel,
  makeSynonyms,
  tfIdfVector,
  speaksFor,
  scoreSentences,
} from './wordModel.ts';

const likening = makeSynonyms([
  new Map([['brown', new Set(['tan', 'brown'].map(stem))]]),
  new Map([['rot', new Set(['mush', 'brown'].map(stem))]]),
]);
const edge = findingIdSchema.parse('edge-brown');
const rot = findingIdSchema.parse('rot');
const model = compileWordModel(
  {
    readings: { always: -1 },
    rivals: {},
    together: {},
    findings: { [edge]: -400, [rot]: -300 },
    words: { [stem('tan')]: '300', '0brown': '200 0 500', [stem('edge')]: '200 0 600' },
  },
  likening,
);
const told = (text: string) => scoreSentences(model, tokenize(text));

describe('what words have in common', () => {
  it('is named by list and class', () => {
    expect(likening(stem('tan'))).toEqual([stem('tan'), '0brown']);
    expect(likening(stem('brown'))).toEqual([stem('brown'), '0brown', '1rot']);
    expect(likening('leaf')).toEqual(['leaf']);
  });
});

describe('shares', () => {
  it('are of length 1 together, and known words alone have any', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('tan', 'brown', 'leaf', 'mush'), { minLength: 1 }),
        (words) => {
          const shares = tfIdfVector(words.map(stem), likening, (one) =>
            one === 'leaf' ? undefined : 2,
          );
          const length = [...shares.values()].reduce((sum, one) => sum + one * one, 0);
          expect(shares.has('leaf')).toBe(false);
          expect(shares.size === 0 || Math.abs(length - 1) < 1e-12).toBe(true);
        },
      ),
    );
  });
});

describe('what a sentence tells', () => {
  it('sums the words by their shares', () => {
    const sentence = told('tan edges').get(0);
    const length = Math.sqrt(3 ** 2 + 2 ** 2 + 2 ** 2);
    expect(sentence?.logOddsOf(edge)).toBeCloseTo(-4 + (2 / length) * 5 + (2 / length) * 6, 9);
    expect(sentence?.logOddsOf(rot)).toBe(-3);
  });

  it('is told by each word as far as it is rare', () => {
    expect(speaksFor(model.stemOf(stem('tan')), 0)).toBe(2 * 5);
    expect(speaksFor(model.stemOf(stem('edge')), 0)).toBe(2 * 6);
    expect(speaksFor(model.stemOf(stem('edge')), 1)).toBe(0);
    expect(speaksFor(model.stemOf('leaf'), 0)).toBe(0);
  });

  it('is the sum over its words and what they have in common', () => {
    const weights = new Map([
      ['0brown', 5],
      [stem('edge'), 6],
    ]);
    const rarities = new Map([
      [stem('tan'), 3],
      ['0brown', 2],
      [stem('edge'), 2],
    ]);
    const words = fc.array(fc.constantFrom('tan', 'brown', 'edges', 'mush', 'leaf'), {
      minLength: 1,
    });
    fc.assert(
      fc.property(words, (said) => {
        const shares = tfIdfVector(said.map(stem), likening, (one) => rarities.get(one));
        let odds = -4;
        for (const [word, share] of shares) odds += share * (weights.get(word) ?? 0);
        expect(told(said.join(' ')).get(0)?.logOddsOf(edge)).toBeCloseTo(odds, 9);
      }),
    );
  });

  it('is told sentence by sentence', () => {
    const sentences = told('Tan edges. Nothing known here.');
    expect([...sentences.keys()]).toEqual([0, 1]);
    expect(sentences.get(1)?.logOddsOf(edge)).toBe(-4);
  });

  it('is little for a finding that was not learned', () => {
    expect(told('tan edges').get(0)?.logOddsOf(findingIdSchema.parse('other'))).toBeLessThan(-3);
  });
});

it('knows pairs that are told together in either order', () => {
  const [a, b, c, d] = ['a', 'b', 'c', 'd'].map((name) => findingIdSchema.parse(name));
  if (!a || !b || !c || !d) throw new Error('ids');
  const { reportedTogether } = compileWordModel(
    { readings: {}, rivals: {}, together: { [a]: 'b c', [b]: 'd' }, words: {}, findings: {} },
    likening,
  );
  expect([reportedTogether(a, b), reportedTogether(b, a), reportedTogether(c, a)]).toEqual([
    true,
    true,
    true,
  ]);
  expect([reportedTogether(b, c), reportedTogether(a, d), reportedTogether(d, b)]).toEqual([
    false,
    false,
    true,
  ]);
});
