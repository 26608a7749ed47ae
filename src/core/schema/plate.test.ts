import { onNarrowLeaf, readPlate } from './plate.ts';

it('reads a figure, its colours, its form and its marks', () => {
  const reading = readPlate(
    'leaf, yellow, curled, veins green, spots black yellow medium few at-edge',
  );
  expect(reading).toEqual({
    ok: true,
    value: {
      figure: 'leaf',
      colour: 'yellow',
      form: 'curled',
      regions: [{ region: 'veins', colour: 'green' }],
      marks: [
        {
          kind: 'spots',
          colour: 'black',
          rim: 'yellow',
          size: 'medium',
          amount: 'few',
          place: 'at-edge',
          shape: 'round',
        },
      ],
    },
  });
});

it.each([
  ['leef, yellow', 'leef', 'leaf'],
  ['leaf, sponts', 'sponts', 'spots'],
  ['leaf, veins', '', 'green'],
  ['leaf, veins lime', 'lime', 'green'],
  ['leaf, spots huge', 'huge', 'large'],
  ['leaf, yellow green', 'yellow green', 'curled'],
])('of "%s" names "%s" and what could stand there', (text, word, instead) => {
  const reading = readPlate(text);
  if (reading.ok) throw new Error('was read');
  expect(reading.error.word).toBe(word);
  expect(reading.error.expected).toContain(instead);
});

it('draws a flat leaf as a blade on a plant with blades, and leaves other figures as they are', () => {
  expect(onNarrowLeaf('leaf, edge brown')).toBe('leaf, blade, edge brown');
  expect(onNarrowLeaf('leaf')).toBe('leaf, blade');
  for (const plate of ['leaf, curled, edge brown', 'turf, patches yellow', 'none'])
    expect(onNarrowLeaf(plate)).toBe(plate);
  expect(readPlate(onNarrowLeaf('leaf, yellow')).ok).toBe(true);
});
