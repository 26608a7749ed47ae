import { readMini } from '../test/miniLibrary.ts';
import { checkReadability, gradeOf } from './readability.ts';

/** Words, sentences and syllables counted by hand, then the formula of J. P. Kincaid and others, 1975 (recalled). */
it.each([
  ['The cat sat on the mat.', 6, 1, 6],
  ['Water it in the morning. Pull the weeds by hand.', 10, 2, 12],
])('grades "%s"', (text, words, sentences, syllables) => {
  const expected = (0.39 * words) / sentences + (11.8 * syllables) / words - 15.59;
  expect(gradeOf(text)).toBeCloseTo(expected, 6);
});

it('does not count against a text what must be called by its name', () => {
  expect(gradeOf('Spray Bacillus thuringiensis on the leaves at dusk.')).toBeLessThan(6);
});

it('names the text that reads too hard', () => {
  const hard =
    'Deterioration of ornamental characteristics necessitates comprehensive professional evaluation immediately.';
  const read = readMini(
    [{ id: 'f' }],
    [{ id: 'a', findings: { f: 'usual' }, extra: { say: hard } }],
  );
  expect(checkReadability(read).map(({ id, field }) => `${id} ${field}`)).toEqual(['a say']);
});
