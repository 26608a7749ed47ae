import { parse } from 'yaml';
import { z } from 'zod';
import { CORPUS, corpusText } from '../../src/cli/corpus.ts';
import { findDangers } from '../../src/core/language/dangers.ts';
import { library } from '../support/wholeLibrary.ts';

const schema = z.strictObject({
  raise: z.record(z.string(), z.array(z.string())),
  'raise-not': z.array(z.string()),
});
const read = (file: string) => schema.parse(parse(corpusText(file)));
const kindsIn = (words: string): string[] =>
  findDangers(library.dangers, words).map(({ danger }) => danger.id);

const worked = read(CORPUS.urgentWorkedWith);
const kept = read(CORPUS.urgentHeldOut);

// What a poison center, a vet, a utility or the fire service must know at once; common practice.
describe('remarks that were worked with', () => {
  const raise = Object.entries(worked.raise).flatMap(([kind, list]) =>
    list.map((words) => [words, kind] as const),
  );

  it('are 80 of either kind', () => {
    expect([raise.length, worked['raise-not'].length]).toEqual([80, 80]);
  });

  it.each(raise)('"%s" is urgent: %s', (words, kind) => {
    const kinds = kindsIn(words);
    // Whoever cannot breathe or swallow is helped as such, whatever did it.
    expect([kind, 'breathed']).toContain(kinds[0]);
  });

  it.each(worked['raise-not'])('"%s" is not', (words) => {
    expect(kindsIn(words)).toEqual([]);
  });
});

it('raises most of what was kept apart, and none that is only alike', () => {
  const raise = Object.values(kept.raise).flat();
  expect(raise.length).toBeGreaterThanOrEqual(35);
  expect(raise.filter((words) => kindsIn(words).length > 0).length).toBeGreaterThanOrEqual(33);
  expect(kept['raise-not'].filter((words) => kindsIn(words).length > 0)).toEqual([]);
});

// A poison center and a vet are called for whatever was swallowed, however loosely it is said; common practice.
describe('what is said in looser words', () => {
  it.each([CORPUS.swallowedWorkedWith, CORPUS.swallowedHeldOut, CORPUS.injuryFireFalling])(
    'is raised of %s, and nothing that is only alike',
    (file) => {
      const { raise, 'raise-not': alike } = read(file);
      const missed = Object.entries(raise).flatMap(([kind, list]) =>
        list.filter((words) => kindsIn(words)[0] !== kind),
      );
      expect(missed).toEqual([]);
      expect(alike.filter((words) => kindsIn(words).length > 0)).toEqual([]);
    },
  );
});

it('raises most of what was written after that, and nothing that is only alike', () => {
  const { raise, 'raise-not': alike } = read(CORPUS.swallowedSecond);
  const missed = Object.values(raise)
    .flat()
    .filter((words) => kindsIn(words).length === 0);
  expect(missed.length).toBeLessThanOrEqual(1);
  expect(alike.filter((words) => kindsIn(words).length > 0)).toEqual([]);
});

it('names somebody to call for every danger, in every country', () => {
  const anywhere = library.contacts.find(({ id }) => id === 'any');
  for (const { danger } of library.dangers)
    for (const call of danger.call) expect(anywhere?.calls[call]).toBeDefined();
});

it.each([
  ['My son ate slug bait and the dog ate some too', ['swallowed-person', 'swallowed-animal']],
  ['I put down slug bait and my dog ate some of it', ['swallowed-animal']],
])('"%s" names who swallowed it', (words, kinds) => {
  expect(kindsIn(words)).toEqual(kinds);
});
