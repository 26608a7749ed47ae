import { readMini } from '../../test/miniLibrary.ts';
import { almanacAt, day, plantId } from '../../test/setting.ts';
import { parseWindow } from '../../core/schema/window.ts';
import { makeLibraryIndex } from './libraryIndex.ts';
import { dayOfYear, spansInYear } from './yearSpans.ts';

const { library } = readMini(
  [{ id: 'spots', extra: { label: 'Brown spots on leaves' } }],
  [
    {
      id: 'mildew',
      findings: { spots: 'usual' },
      extra: { name: 'Powdery mildew', aliases: ['white mold'] },
    },
    { id: 'rust', findings: { spots: 'usual' }, extra: { name: 'Rust', hosts: { moss: 'usual' } } },
  ],
  { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', names: ['bog moss'], source: 'judgement' }] },
);
const shelf = makeLibraryIndex(library);
const found = (text: string): string[] =>
  shelf.search(text).map(({ shelf: s, id }) => `${s} ${id}`);

it('finds by name, by old name, by the start of a word and in spite of a slip', () => {
  expect(found('powdery mildew')).toContain('cause mildew');
  expect(found('white mold')).toEqual(['cause mildew']);
  expect(found('powd')).toEqual(['cause mildew']);
  expect(found('powdry mildw')).toEqual(['cause mildew']);
  expect(found('bog moss')).toEqual(['plant moss']);
  expect(found('nothing like it')).toEqual([]);
});

it('lists everything by name, and what lives on a plant', () => {
  expect(shelf.all.length).toBe(
    library.plants.length + library.causes.length + library.findings.length + library.places.length,
  );
  expect([...shelf.hosting(plantId('moss')).keys()]).toEqual(['rust']);
});

it('cuts a window over the turn of the year in two, and finds none that never opens', () => {
  const almanac = almanacAt(library, 40);
  const rule = parseWindow('11-15..03-15');
  if (!rule) throw new Error('no window');
  const spans = spansInYear(almanac, rule, day('2026-06-13'));
  expect(spans).toHaveLength(2);
  expect(spans[0]?.from).toBe(0);
  expect(spans[1]?.to).toBe(364);
  expect(spansInYear(almanac, { kind: 'any' }, day('2026-06-13'))).toEqual([{ from: 0, to: 364 }]);
  expect(dayOfYear(day('2026-01-01'))).toBe(0);
});
