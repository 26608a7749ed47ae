import { z } from 'zod';
import { parse } from 'yaml';
import { CORPUS, corpusText } from '../../src/cli/corpus.ts';
import { makeLanguageContext } from '../../src/core/library/languageContext.ts';
import { extract } from '../../src/core/language/extract.ts';
import { library } from '../support/wholeLibrary.ts';

const languageContext = makeLanguageContext(library);
const saidSchema = z
  .array(
    z.strictObject({
      says: z.string(),
      not: z.array(z.string()).default([]),
      reports: z.array(z.string()).default([]),
    }),
  )
  .min(20);

/** Shares of what is no evidence and was not taken for it, and of what was reported and found. */
function judge(file: string) {
  let [ofNot, not, ofReports, reports] = [0, 0, 0, 0];
  for (const one of saidSchema.parse(parse(corpusText(file)))) {
    const found = new Set<string>(
      extract(languageContext, one.says).findings.flatMap(({ finding, value }) =>
        value ? [finding] : [],
      ),
    );
    ofNot += one.not.length;
    not += one.not.filter((id) => !found.has(id)).length;
    ofReports += one.reports.length;
    reports += one.reports.filter((id) => found.has(id)).length;
  }
  return { not: not / ofNot, reports: reports / ofReports };
}

// Labels are our own judgement of what a caller says happened.
it('takes what is asked, guessed, quoted or intended for no evidence', () => {
  expect(judge(CORPUS.assertions)).toEqual({ not: 1, reports: 1 });
});

it('does so in sentences that no rule was written for, as well as when last worked on', () => {
  const { not, reports } = judge(CORPUS.heldoutAssertions);
  expect(not).toBeGreaterThan(0.8);
  expect(reports).toBe(1);
});
