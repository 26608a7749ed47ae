import { parse } from 'yaml';
import { z } from 'zod';
import { answerConsult } from '../../src/application/answerConsult.ts';
import { CORPUS, corpusText } from '../../src/cli/corpus.ts';
import { createConsultant } from '../../src/core/consult/consult.ts';
import { violationsOf } from '../support/planChecker.ts';
import { library } from '../support/wholeLibrary.ts';

const calls = z
  .array(
    z.strictObject({
      words: z.string(),
      date: z.string(),
      lat: z.number(),
      lon: z.number(),
      country: z.string(),
      not: z.array(z.string()).default([]),
      lead: z.array(z.string()).optional(),
    }),
  )
  .min(20)
  .parse(parse(corpusText(CORPUS.callsFromCountries)));
const consultant = createConsultant(library);

it.each(calls)('in $country: "$words"', ({ words, date, lat, lon, country, not, lead }) => {
  const body = { words, date, place: { lat, lon }, country };
  const result = answerConsult(library, consultant, body);
  if (!result.ok) throw new Error(result.error.message);
  const [first] = result.value.causes;
  if (!first) throw new Error('nothing is ranked');
  if (not.includes(first.id)) {
    expect(first.here).toBe('absent');
    expect(result.value.advice.headline).toMatch(/not known here/);
    expect(result.value.advice.steps.some(({ product }) => product)).toBe(false);
  }
  if (lead) expect(lead).toContain(first.id);
  expect(violationsOf(result.value, { date, approach: 'integrated', answers: [] })).toEqual([]);
});
