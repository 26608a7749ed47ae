import { z } from 'zod';
import { judgeCase, judgedCaseSchema } from '../../src/cli/judgedCases.ts';
import { judgedEnquiries } from '../../src/cli/corpus.ts';
import { openConsultant } from '../../src/cli/openConsultant.ts';

const read = (name: string): unknown[] => z.array(z.unknown()).parse(judgedEnquiries(name));
const cases = z
  .array(judgedCaseSchema.extend({ reason: z.string() }))
  .min(30)
  .parse(['clinic', 'garden', 'county', 'long', 'spoken', 'spoken2'].flatMap((name) => read(name)));
const answer = openConsultant();

it.each(cases.map((one) => [one.reason, one] as const))('%s', (_reason, one) => {
  const marks = judgeCase(one, answer, true);
  expect(marks.plantOk).toBe(true);
  expect(marks.rank ?? 99).toBeLessThanOrEqual(3);
  expect(marks.harmful).toEqual([]);
});
