import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { z } from 'zod';
import { answerConsult } from '../../src/application/answerConsult.ts';
import { createConsultant } from '../../src/core/consult/consult.ts';
import { library } from '../support/wholeLibrary.ts';

const callSchema = z.strictObject({
  words: z.string(),
  plant: z.string().optional(),
  date: z.string(),
  lat: z.number(),
  lon: z.number(),
  country: z.string(),
  never: z.string(),
  says: z.string(),
  quiet: z.boolean().default(false),
});
const calls = z.array(callSchema).parse(parse(readFileSync('corpus/heldout/laws.yaml', 'utf8')));
const consultant = createConsultant(library);

function answerTo({ words, plant, date, lat, lon }: (typeof calls)[number]) {
  const body = { words, date, place: { lat, lon }, ...(plant === undefined ? {} : { plant }) };
  const result = answerConsult(library, consultant, body);
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value.advice;
}

// What is allowed where: the acts named in knowledge/law/law.yaml, from memory; the calls were written before the law.
it.each(calls.map((call) => [call.country, call.words, call] as const))(
  'keeps the law of %s: "%s"',
  (_country, _words, call) => {
    const advice = answerTo(call);
    const steps = advice.steps.map(({ text }) => text);
    const forbidden = new RegExp(call.never, 'i');
    expect(steps.filter((text) => forbidden.test(text))).toEqual([]);
    const said = [
      ...steps,
      ...advice.steps.flatMap(({ cautions }) => cautions),
      ...advice.notDoing.flatMap(({ text, why }) => [text, why]),
      ...advice.refer,
    ].join(' ');
    if (!call.quiet) expect(said).toMatch(new RegExp(call.says, 'i'));
  },
);
