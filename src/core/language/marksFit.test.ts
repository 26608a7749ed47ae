import { fitsMarks } from './marksFit.ts';
import { stem } from './stem.ts';
import { tokenize } from './tokens.ts';

/** Whether a reading of these words of a text, the parts of the plant among them told apart, keeps its colours and marks. */
const fits = (text: string, words: string): boolean => {
  const tokens = tokenize(text);
  const wanted = tokenize(words).map(({ stem }) => stem);
  const positions = wanted.map((one) => tokens.findIndex(({ stem }) => stem === one));
  expect(positions).not.toContain(-1);
  const telling = positions.filter((i) => tokens[i]?.stem !== stem('leaves'));
  return fitsMarks(tokens, positions, telling);
};

it('gives a colour to the mark it stands before', () => {
  expect(fits('the leaves have brown streaks', 'leaves brown')).toBe(false);
  expect(fits('the leaves have brown streaks', 'brown streaks')).toBe(true);
  expect(fits('spots with a yellow edge on the leaf', 'leaf yellow')).toBe(false);
  expect(fits('tiny black flies over the leaves', 'leaves black')).toBe(false);
});

it('looks past other colours and small words on the way', () => {
  expect(fits('leaves with brown and black round spots', 'leaves brown')).toBe(false);
  expect(fits('leaves with brown and black round spots', 'black spots')).toBe(true);
});

it('leaves a colour to the plant where no mark follows', () => {
  expect(fits('the leaves are yellow, spots came later', 'leaves yellow')).toBe(true);
  expect(fits('yellow leaves. Spots came later', 'leaves yellow')).toBe(true);
  expect(fits('yellow leaves with spots', 'leaves yellow')).toBe(true);
  expect(fits('spots on leaves that turn yellow', 'leaves yellow')).toBe(true);
});

it('minds the colour beside words that tell more', () => {
  expect(fits('flat brown scales along the midrib', 'brown along midrib')).toBe(false);
  expect(fits('it is brown along the midrib', 'brown along midrib')).toBe(true);
  expect(fits('leaves curled and yellow', 'leaves curled yellow')).toBe(true);
});

it('leaves the spots of a creature to it', () => {
  expect(fits('chewed leaves and brown beetles with black spots', 'leaves spots')).toBe(false);
  expect(fits('beetles on the leaves and black spots', 'leaves spots')).toBe(true);
  expect(fits('beetles that have yellow stripes', 'stripes')).toBe(false);
});
