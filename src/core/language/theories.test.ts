import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { z } from 'zod';
import { readRequests } from './requests.ts';
import { readTheories } from './theories.ts';
import { tokenize } from './tokens.ts';

const cases = z
  .array(z.strictObject({ says: z.string(), theory: z.string() }))
  .parse(parse(readFileSync('corpus/heldout/theories.yaml', 'utf8')));

const theoriesIn = (text: string): string[] => {
  const tokens = tokenize(text);
  const asked = readRequests(tokens).filter(({ kind }) => kind === 'theory');
  return [...readTheories(text, tokens), ...asked].map(({ span }) =>
    text.slice(span.start, span.end),
  );
};

it.each(cases)('$says: $theory', ({ says, theory }) => {
  const found = theoriesIn(says);
  if (theory === 'none') expect(found).toEqual([]);
  else expect(found.join(' | ')).toContain(theory);
});

it('ends a name at a pause', () => {
  expect(theoriesIn('I think slugs, there is slime on the path')).toEqual(['slugs']);
});
