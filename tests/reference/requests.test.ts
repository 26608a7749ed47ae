import { parse } from 'yaml';
import { z } from 'zod';
import { CORPUS, corpusText } from '../../src/cli/corpus.ts';
import { readRequests, REQUEST_KINDS } from '../../src/core/language/requests.ts';
import { tokenize } from '../../src/core/language/tokens.ts';

const askedSchema = z
  .array(z.strictObject({ says: z.string(), asks: z.array(z.enum(REQUEST_KINDS)) }))
  .min(30);

const wrongIn = (file: string): readonly string[] =>
  askedSchema.parse(parse(corpusText(file))).flatMap(({ says, asks }) => {
    const found = readRequests(tokenize(says)).map(({ kind }) => kind);
    return JSON.stringify(found) === JSON.stringify(asks) ? [] : [says];
  });

// Labels are our own judgement of what a caller wants.
it('finds what is asked for', () => {
  expect(wrongIn(CORPUS.requests)).toEqual([]);
});

it('does so in sentences that no rule was written for, as well as when last worked on', () => {
  expect(wrongIn(CORPUS.heldoutRequests).length).toBeLessThanOrEqual(1);
});
