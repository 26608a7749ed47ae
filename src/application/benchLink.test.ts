import { CALCULATORS } from '../core/measures/all.ts';
import { MEASURES } from '../core/schema/amount.ts';
import { benchLink } from './benchLink.ts';

const span = { start: 0, end: 1 };
const job = {
  sizes: [
    { kind: 'trunk' as const, metres: 0.0508, span },
    { kind: 'area' as const, squareMetres: 55.7, span },
    { kind: 'ph' as const, value: 5.2, span },
    { kind: 'count' as const, number: 3, span },
  ],
  weeksPlanted: 2,
  winter: true,
  acidLoving: false,
};

it('opens the calculator with what was said', () => {
  expect(benchLink('tree-water', job)).toBe(
    '/bench/new-tree?trunk=5.1+cm&area=56+m2&present=5.2&since=2+weeks',
  );
  expect(benchLink('succulent', { ...job, sizes: [] })).toBe('/bench/succulent?season=winter');
  expect(benchLink('rain', { ...job, sizes: [] })).toBe('/bench/bed-water');
});

it('is none where nothing is worked out', () => {
  expect(benchLink(null, job)).toBeNull();
  expect(benchLink('pot-wider', job)).toBeNull();
  expect(benchLink('tree-water', { ...job, weeksPlanted: null })).toBeNull();
});

it('names calculators that there are', () => {
  const ids = Object.values(CALCULATORS).flatMap((list) => list.map(({ id }) => id));
  for (const measure of MEASURES) {
    const id = benchLink(measure, job)?.replace(/^\/bench\/|\?.*$/g, '');
    if (id !== undefined) expect(ids).toContain(id);
  }
});
