import { miniLibrary } from '../../test/miniLibrary.ts';
import { makeLanguageContext } from '../library/languageContext.ts';
import { extract } from './extract.ts';

/** Readings of phrases are right with odds of e; words add their log-odds. */
const READINGS = { always: -1, kept: 2, words: 0.5, offPart: -4 };

const learned = (extra: Record<string, unknown> = {}) =>
  miniLibrary(
    [
      { id: 'webbing', extra: { kind: 'sign', phrases: ['fine web'] } },
      { id: 'ants', extra: { kind: 'sign', part: 'stem', phrases: ['ant', 'crawl'] } },
      { id: 'spots', extra: { phrases: ['spot'] } },
      { id: 'old-leaves', extra: { group: 'age', phrases: ['lower leaf'] } },
      { id: 'new-leaves', extra: { group: 'age', phrases: ['top leaf'] } },
    ],
    [{ id: 'a', findings: { webbing: 'often', ants: 'often', spots: 'often' } }],
    {
      'groups/a.yaml': [
        {
          id: 'age',
          question: 'Old or new?',
          choices: ['old-leaves', 'new-leaves'],
          source: 'judgement',
        },
      ],
      'language/synonyms.yaml': { silk: ['silk', 'gossamer', 'web'] },
      'models/hearing.yaml': {
        readings: READINGS,
        findings: {
          webbing: -400,
          ants: -100,
          spots: -200,
          'old-leaves': -100,
          'new-leaves': -100,
        },
        words: {
          '1silk': '200 0 900',
          silk: '300 0 300',
          web: '300 0 300',
          crawl: '200',
          bus: '300 1 -900',
          spot: '200 2 500',
          lower: '200 3 300',
          top: '200 4 900',
        },
      },
      ...extra,
    },
  );
const languageContext = makeLanguageContext(learned());
const said = (text: string): Record<string, boolean> =>
  Object.fromEntries(
    extract(languageContext, text).findings.map(({ finding, value }) => [finding, value]),
  );

describe('what was learned of words', () => {
  it('is heard without a phrase, also of words of like meaning', () => {
    expect(said('silk')).toEqual({ webbing: true });
    expect(said('gossamer')).toEqual({ webbing: true });
    expect(said('nothing of the kind')).toEqual({});
  });

  it('is denied where its words are, and no report where somebody thinks so', () => {
    expect(said('there is no gossamer')).toEqual({ webbing: false });
    expect(said('she thinks it is gossamer')).toEqual({});
  });

  it('marks the words that tell it', () => {
    const text = 'In the morning there is gossamer, I see.';
    const [found] = extract(languageContext, text).findings;
    expect(text.slice(found?.span.start, found?.span.end)).toBe('gossamer');
  });

  it('silences a phrase that is about something else', () => {
    expect(said('things crawl over it')).toEqual({ ants: true });
    expect(said('a bus may crawl past')).toEqual({});
  });

  it('decides between two of an exclusive group', () => {
    expect(said('lower leaf and top leaf')).toEqual({ 'new-leaves': true });
  });

  it('tells how sure a report is', () => {
    const sure = (text: string): number => extract(languageContext, text).findings[0]?.sure ?? 0;
    expect(sure('spots')).toBeGreaterThan(0.85);
    expect(sure('spots')).toBeGreaterThan(sure('things crawl over it') + 0.2);
    expect(sure('maybe spots')).toBe(0.6);
  });
});

describe('what was learned of rivals', () => {
  const findings = { webbing: -100, ants: -100 };
  const words = { web: '300 0 900 1 300', crawl: '200' };
  const phrases = (together: Record<string, string>) => {
    const text = { readings: READINGS, words, findings, together, rivals: { own: 1, whole: -1 } };
    const library = miniLibrary(
      [
        { id: 'webbing', extra: { kind: 'sign', phrases: ['fine web'] } },
        { id: 'ants', extra: { kind: 'sign', part: 'leaf', phrases: ['fine web'] } },
      ],
      [{ id: 'a', findings: { webbing: 'often', ants: 'often' } }],
      { 'models/hearing.yaml': text },
    );
    return extract(makeLanguageContext(library), 'fine web').findings.map(({ finding }) => finding);
  };

  it('leaves out the less likely of two readings of the same words', () => {
    expect(phrases({})).toEqual(['webbing']);
  });

  it('lets both stand where enquirers tell them together', () => {
    expect(phrases({ ants: 'webbing' })).toEqual(['ants', 'webbing']);
  });
});

it('hears the phrases of a finding that is new', () => {
  const text = { findings: { ants: -100 }, readings: READINGS, words: { bus: '300 0 -900' } };
  const young = makeLanguageContext(learned({ 'models/hearing.yaml': text }));
  expect(extract(young, 'spots on it').findings.map(({ finding }) => finding)).toEqual(['spots']);
});

it('hears phrases alone where nothing was learned', () => {
  const plain = makeLanguageContext({ ...learned(), wordModel: null });
  const found = extract(plain, 'a bus may crawl past, gossamer').findings;
  expect(found.map(({ finding }) => finding)).toEqual(['ants']);
});
