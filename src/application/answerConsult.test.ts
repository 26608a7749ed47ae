import { miniLibrary } from '../test/miniLibrary.ts';
import { createConsultant } from '../core/consult/consult.ts';
import { answerConsult } from './answerConsult.ts';
import { consultResponseSchema, MAX_CHARACTERS } from '../contracts/consult.ts';
import type { Problem } from '../contracts/problem.ts';

const library = miniLibrary(
  [
    { id: 'webbing', extra: { phrases: ['webbing'] } },
    { id: 'old', extra: { group: 'age' } },
    { id: 'new', extra: { group: 'age' } },
  ],
  [
    {
      id: 'mites',
      findings: { webbing: 'always', old: 'often', new: 'seldom' },
      extra: { leave: 'It goes by itself.' },
    },
  ],
  { 'groups/a.yaml': [{ id: 'age', question: 'Old or new?', source: 'judgement' }] },
);
const consultant = createConsultant(library);
const BODY = { words: 'webbing on the fern', date: '2026-06-13', place: { lat: 40, lon: -83 } };
const ask = (change: Record<string, unknown> = {}) =>
  answerConsult(library, consultant, { ...BODY, ...change });
const problem = (change: Record<string, unknown>): Problem => {
  const answer = ask(change);
  if (answer.ok) throw new Error('was accepted');
  return answer.error;
};

it('answers in the form of the contract', () => {
  const answer = ask();
  if (!answer.ok) throw new Error(answer.error.message);
  expect(consultResponseSchema.parse(answer.value)).toEqual(answer.value);
  expect(answer.value.plant?.id).toBe('fern');
  expect(answer.value.heard).toMatchObject([{ finding: 'webbing', value: true, span: [0, 7] }]);
  expect(answer.value.causes[0]?.id).toBe('mites');
});

it('lets an answer replace what was heard, and takes a choice of a group', () => {
  const denied = ask({ answers: [{ finding: 'webbing', value: false }] });
  const [before, after] = [ask(), denied].map((one) =>
    one.ok ? (one.value.causes[0]?.probability ?? 1) : NaN,
  );
  expect(after).toBeLessThan(before ?? 0);
  expect(ask({ answers: [{ finding: 'age', value: 'old' }] }).ok).toBe(true);
  expect(ask({ answers: [{ finding: 'age', value: 'unknown' }] }).ok).toBe(true);
});

it('says of a denied finding that it is not there, whichever way it speaks', () => {
  const answer = ask({ words: 'no webbing on the fern' });
  const reasons = answer.ok ? (answer.value.causes[0]?.against ?? []) : [];
  expect(reasons.map(({ finding }) => finding)).toEqual(['webbing']);
  expect(reasons[0]?.label).toMatch(/^no “.*”$/);
});

it('asks no more about what the enquirer cannot tell', () => {
  const answer = ask({ words: 'fern', answers: [{ finding: 'webbing', value: 'unknown' }] });
  expect(answer.ok && answer.value.ask.map(({ finding }) => finding)).not.toContain('webbing');
});

it.each([
  [{ date: '2026-02-30' }, 'invalid-field', 'date'],
  [{ date: 20260613 }, 'invalid-field', 'date'],
  [{ place: { lat: 91, lon: 0 } }, 'invalid-field', 'place.lat'],
  [{ words: 'a'.repeat(MAX_CHARACTERS + 1) }, 'invalid-field', 'words'],
  [{ plant: 'triffid' }, 'unknown-plant', 'plant'],
  [{ answers: [{ finding: 'nonsense', value: true }] }, 'unknown-finding', 'answers.0.finding'],
  [{ answers: [{ finding: 'age', value: 'nonsense' }] }, 'unknown-finding', 'answers.0.value'],
  [{ colour: 'red' }, 'invalid-field', 'colour'],
])('refuses %j and names the field', (change, code, field) => {
  expect(problem(change)).toMatchObject({ code, field });
  expect(problem(change).cure).not.toBe('');
});
