import { z } from 'zod';
import { judgeCase, judgedCaseSchema } from '../../src/cli/judgedCases.ts';
import { judgedEnquiries } from '../../src/cli/corpus.ts';
import { openConsultant } from '../../src/cli/openConsultant.ts';

const casesSchema = z.array(judgedCaseSchema.extend({ reason: z.string() })).min(20);
const answer = openConsultant();

/** Enquiries of which the verdict fits the timing, and whose advice names all that it should, when last worked on. */
const FITTING = [
  { file: 'clinic', timing: 58, mentions: 60 },
  { file: 'county', timing: 92, mentions: 98 },
  // Two of the enquiries are judged to call for an act now, and to be told to wait for new growth.
  { file: 'garden', timing: 69, mentions: 78 },
  { file: 'long', timing: 27, mentions: 29 },
  { file: 'spoken', timing: 24, mentions: 27 },
  { file: 'spoken2', timing: 20, mentions: 23 },
] as const;

describe.each(FITTING)('$file', ({ file, timing, mentions }) => {
  const judged = casesSchema
    .parse(judgedEnquiries(file))
    .map((one) => ({ reason: one.reason, marks: judgeCase(one, answer, true) }));

  it.each(judged.map(({ reason, marks }) => [reason, marks] as const))('%s', (_reason, marks) => {
    expect(marks.plantOk).toBe(true);
    expect(marks.rank ?? 99).toBeLessThanOrEqual(3);
    expect(marks.harmful).toEqual([]);
  });

  it('has a verdict that fits the timing', () => {
    const fitting = judged.filter(({ marks }) => marks.timingOk).length;
    expect(fitting).toBeGreaterThanOrEqual(timing);
  });

  it('names all that the advice should', () => {
    const naming = judged.filter(({ marks }) => marks.mentionOk).length;
    expect(naming).toBeGreaterThanOrEqual(mentions);
  });
});
