import { miniLibrary } from '../test/miniLibrary.ts';
import { makeLanguageContext } from '../core/library/languageContext.ts';
import {
  judgeSentence,
  labelledSentenceSchema,
  scoreSentences,
  type SentenceMarks,
} from './labelledSentences.ts';

const library = miniLibrary(
  [
    { id: 'spots', extra: { phrases: ['spots'] } },
    { id: 'ringed', extra: { isA: ['spots'], phrases: ['ringed spots'] } },
    { id: 'sticky', extra: { phrases: ['sticky'] } },
  ],
  [{ id: 'a', findings: { spots: 'often', ringed: 'often', sticky: 'often' } }],
);
const languageContext = makeLanguageContext(library);
const judge = (sentence: Record<string, unknown>): SentenceMarks =>
  judgeSentence(
    library,
    languageContext,
    labelledSentenceSchema.parse({ plant: 'fern', ...sentence }),
  );
const wrongOf = (marks: SentenceMarks): string[] => marks.wrong.map(({ finding }) => finding);

describe('a judged sentence', () => {
  it('is right where a kind of the label is heard, or what the label is a kind of', () => {
    const special = judge({ say: 'My fern has ringed spots', yes: ['spots'] });
    expect([special.missed, special.right.length]).toEqual([[], 1]);
    const general = judge({ say: 'My fern has spots', yes: ['ringed'] });
    expect([wrongOf(general), general.missed]).toEqual([[], ['ringed']]);
  });

  it('tells what was heard and is not so', () => {
    expect(wrongOf(judge({ say: 'My fern has spots and is sticky', yes: ['spots'] }))).toEqual([
      'sticky',
    ]);
  });

  it('lets pass, and does not miss, what is true of it as well', () => {
    const also = ['sticky'];
    expect(
      wrongOf(judge({ say: 'My fern has spots and is sticky', yes: ['spots'], also })),
    ).toEqual([]);
    expect(judge({ say: 'My fern has spots', yes: ['spots'], also }).missed).toEqual([]);
  });

  it('takes a denial for a denial', () => {
    const denied = judge({ say: 'My fern is not sticky', no: ['sticky'] });
    expect([denied.signOk, denied.signWrong, denied.missed]).toEqual([1, 0, []]);
    const turned = judge({ say: 'My fern is not sticky', yes: ['sticky'] });
    expect([turned.signOk, turned.signWrong, turned.missed]).toEqual([0, 1, ['sticky']]);
    expect(wrongOf(judge({ say: 'My fern is not sticky', alsoNot: ['sticky'] }))).toEqual([]);
  });

  it('names its plant, or none', () => {
    expect(judge({ say: 'My fern is sticky' }).plantOk).toBe(true);
    expect(judge({ say: 'It is sticky' }).plantOk).toBe(false);
    expect(judge({ say: 'It is sticky', plant: null }).plantOk).toBe(true);
    expect(judge({ say: 'My fern is sticky', plant: null }).plantOk).toBe(false);
  });
});

it('scores shares of all sentences together, and a share of nothing as 1', () => {
  const marks = [
    judge({ say: 'My fern has spots and is sticky', yes: ['spots'] }),
    judge({ say: 'It is dull', yes: ['spots'] }),
  ];
  expect(scoreSentences(marks)).toMatchObject({ sentences: 2, plants: 0.5, precision: 0.5 });
  expect(scoreSentences(marks).recall).toBe(0.5);
  expect(scoreSentences([])).toEqual({
    sentences: 0,
    plants: 1,
    precision: 1,
    recall: 1,
    sign: 1,
  });
});
