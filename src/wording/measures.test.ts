import { CALCULATORS } from '../core/measures/all.ts';
import { readMeasure } from '../core/measures/readMeasure.ts';
import { measureFaultText, readFaultText, workedText } from './measures.ts';
import { MEASURE_WORDS } from './measureWords.ts';

const all = Object.values(CALCULATORS).flat();
const blanks = (text: string): string[] =>
  [...text.matchAll(/\{([^}]+)\}/g)].map(([, id]) => id ?? '');

describe.each(all.map((one) => [one.id, one] as const))('the words of %s', (id, one) => {
  const words = MEASURE_WORDS[id];
  if (!words) throw new Error(`no words for ${id}`);

  it('have a blank for each input', () => {
    expect(blanks(words.asks).sort()).toEqual(Object.keys(one.inputs).sort());
  });

  it.each([
    ['US', true],
    ['metric', false],
  ])('begin with %s values that can be worked out, and say all results', (_, isUs) => {
    const values = Object.fromEntries<number | string>(
      Object.entries(one.inputs).map(([name, input]): [string, number | string] => {
        const usual = words.usual[name]?.[isUs ? 0 : 1] ?? '';
        if (input.kind === 'choice') return [name, usual];
        const read = readMeasure(usual, input.dimension, isUs);
        if (!read.ok) throw new Error(`${name}: ${usual}`);
        return [name, read.value];
      }),
    );
    const run = one.run(values);
    if (!run.ok) throw new Error(JSON.stringify(run.error));
    expect([...new Set(blanks(words.gives))].sort()).toEqual(
      run.value.map((each) => each.id).sort(),
    );
    for (const each of run.value) expect(workedText(each)).not.toMatch(/NaN|undefined/);
  });
});

it.each([
  ['length', 0.05, 0.08, '5 to 8 cm (2 to 3 in)'],
  ['length', 2, 2, '2 m (7 ft)'],
  ['volume', 4, 6, '4 to 6 L (1 to 1 1/2 gal)'],
  ['volume', 0.03, 0.03, '30 mL (2 tablespoons)'],
  ['volume', 0.004, 0.004, '4 mL (0.81 teaspoons)'],
  ['loose', 700, 700, '700 L (25 cu ft)'],
  ['mass', 0.25, 0.25, '250 g (8.8 oz)'],
  ['minutes', 90, 90, '1 h 30 min'],
  ['minutes', 120, 120, '2 h'],
  ['minutes', 42.4, 42.4, '42 minutes'],
  ['count', 1200, 1200, '1,200'],
  ['percent', 19.1, 19.1, '19 %'],
] as const)('says a %s of %d to %d', (dimension, from, to, text) => {
  expect(workedText({ id: 'x', from, to, dimension })).toBe(text);
});

it('says what to write in place of what is not understood', () => {
  expect(readFaultText({ code: 'no-number' }, 'area')).toBe(
    'There is no number. Write 100 sq ft, 10 m2 or 3 by 5 ft.',
  );
  expect(readFaultText({ code: 'unknown-unit', unit: 'gal', dimension: 'mass' }, 'mass')).toBe(
    '"gal" is no unit for this. Write 10 lb or 500 g.',
  );
  expect(
    measureFaultText({
      code: 'out-of-range',
      input: 'x',
      dimension: 'length',
      least: 0.01,
      most: 2,
    }),
  ).toBe('That is not likely: between 1 cm (1/2 in) and 2 m (7 ft) makes sense.');
  expect(measureFaultText({ code: 'missing', input: 'x' })).toBeNull();
  expect(measureFaultText({ code: 'no-choice', input: 'x', choices: ['a', 'b'] })).toBe(
    'Choose one of a, b.',
  );
});
