import { judgeSentence, scoreSentences } from '../../src/cli/labelledSentences.ts';
import { CORPUS, labelledSentences, paraphrases } from '../../src/cli/corpus.ts';
import { makeLanguageContext } from '../../src/core/library/languageContext.ts';
import { isAsking } from '../../src/core/knowledge/careTopics.ts';
import type { FindingId, PlantId } from '../../src/core/schema/common.ts';
import { extract } from '../../src/core/language/extract.ts';
import { library } from '../support/wholeLibrary.ts';

const languageContext = makeLanguageContext(library);
const worked = [...CORPUS.corrected, CORPUS.uncorrected].flatMap(labelledSentences);
const held = CORPUS.heldOut.flatMap(labelledSentences);
const scoresOf = (sentences: typeof worked) =>
  scoreSentences(sentences.map((sentence) => judgeSentence(library, languageContext, sentence)));

it('labels with what the library holds', () => {
  const findings: ReadonlySet<string> = new Set(library.findings.keys());
  const plants: ReadonlySet<string> = new Set(library.plants.keys());
  for (const { plant, yes, no, also, alsoNot } of [
    ...worked,
    ...held,
    ...labelledSentences(CORPUS.machineLabelled),
  ]) {
    expect([...yes, ...no, ...also, ...alsoNot].filter((id) => !findings.has(id))).toEqual([]);
    expect(plant === null || plants.has(plant)).toBe(true);
  }
});

it('understands the labelled sentences no worse than when they were last worked on', () => {
  const scores = scoresOf(worked);
  expect(scores.sentences).toBeGreaterThanOrEqual(5000);
  expect(scores.plants).toBeGreaterThan(0.97);
  expect(scores.precision).toBeGreaterThan(0.95);
  expect(scores.recall).toBeGreaterThan(0.93);
  expect(scores.sign).toBeGreaterThan(0.98);
});

it('understands sentences that it was never corrected by and never learned from', () => {
  const scores = scoresOf(held);
  expect(scores.sentences).toBeGreaterThanOrEqual(250);
  expect(scores.plants).toBeGreaterThan(0.96);
  expect(scores.precision).toBeGreaterThan(0.91);
  expect(scores.recall).toBeGreaterThan(0.84);
  expect(scores.sign).toBeGreaterThan(0.95);
});

it('hears nearly all turns of speech of the plants that show the finding most', () => {
  const plants = [...library.plants.keys()];
  const showing = (id: FindingId): readonly PlantId[] => {
    const shown = plants.map((one) => [one, languageContext.shownOn(one).get(id) ?? 0] as const);
    return shown
      .filter(([, weight]) => weight > 0)
      .sort(([, a], [, b]) => b - a)
      .slice(0, 3)
      .map(([one]) => one);
  };
  const heard = paraphrases(CORPUS.paraphrases[0]).flatMap(([id, said]) => {
    const named = showing(id);
    const where = named.length > 0 ? named : [null];
    return said.map((words) => {
      const times = where.filter((plant) =>
        extract(languageContext, words, plant).findings.some(
          ({ finding, value }) => value && library.implied(finding).includes(id),
        ),
      );
      return 2 * times.length > where.length;
    });
  });
  expect(heard.length).toBeGreaterThan(2000);
  expect(heard.filter(Boolean).length / heard.length).toBeGreaterThan(0.88);
});

describe('what the library itself says', () => {
  const named = [...library.findings.values()].filter(({ id }) => !isAsking(id));
  const plants = [...library.plants.keys()];
  const isHeard = ({ id }: (typeof named)[number], text: string): boolean => {
    const plant = plants.find((one) => languageContext.shownOn(one).has(id)) ?? null;
    return extract(languageContext, text, plant).findings.some(
      ({ finding, value }) => value && library.implied(finding).includes(id),
    );
  };

  it('is heard from the name of a finding', () => {
    const unheard = named.filter((finding) => !isHeard(finding, `${finding.label}.`));
    expect(unheard.length).toBeLessThanOrEqual(0.03 * named.length);
  });

  it('is heard when its question is answered in its own words', () => {
    const asserted = (question: string): string =>
      `It ${question.replaceAll('?', '').replace(/^(Is|Are|Do|Does|Did|Has|Have|Was|Were|Can) (it|there|they|the|you)? ?/, '')}.`;
    const unheard = named.filter((finding) => !isHeard(finding, asserted(finding.question)));
    expect(unheard.length).toBeLessThanOrEqual(0.06 * named.length);
  });
});
