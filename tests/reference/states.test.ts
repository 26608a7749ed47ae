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
      plant: z.string().optional(),
      date: z.string(),
      lat: z.number(),
      lon: z.number(),
      country: z.string(),
      state: z.string(),
      not: z.array(z.string()).default([]),
      lead: z.array(z.string()).optional(),
      never: z.string().optional(),
      says: z.string().optional(),
      silent: z.string().optional(),
    }),
  )
  .min(25)
  .parse(parse(corpusText(CORPUS.callsFromStates)));
const consultant = createConsultant(library);

// Where causes are known and what the law allows, by state: knowledge/areas and knowledge/law, from memory; the calls were written before them.
it.each(calls.map((call) => [`${call.country}-${call.state}`, call.words, call] as const))(
  'in %s: "%s"',
  (_region, _words, call) => {
    const { words, plant, date, lat, lon, country, state, not, lead } = call;
    const body = { words, plant, date, place: { lat, lon }, country, state };
    const result = answerConsult(library, consultant, body);
    if (!result.ok) throw new Error(result.error.message);
    const { advice, causes } = result.value;
    const [first] = causes;
    if (!first) throw new Error('nothing is ranked');
    if (not.includes(first.id)) {
      expect(first.here).toBe('absent');
      expect(advice.headline).toMatch(/not known here/);
      expect(advice.steps.some(({ product }) => product)).toBe(false);
    }
    if (lead) expect(lead).toContain(first.id);
    const steps = advice.steps.map(({ text }) => text);
    if (call.never) expect(steps.join(' ')).not.toMatch(new RegExp(call.never, 'i'));
    const said = [
      ...advice.answers.map(({ text }) => text),
      ...steps,
      ...advice.steps.flatMap(({ cautions }) => cautions),
      ...advice.notDoing.flatMap(({ text, why }) => [text, why]),
      ...advice.cautions,
      ...advice.refer,
    ].join(' ');
    if (call.says) expect(said).toMatch(new RegExp(call.says, 'i'));
    if (call.silent) expect(said).not.toMatch(new RegExp(call.silent, 'i'));
    expect(violationsOf(result.value, { date, approach: 'integrated', answers: [] })).toEqual([]);
  },
);
