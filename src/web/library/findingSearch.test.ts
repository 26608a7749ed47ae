import { readMini } from '../../test/miniLibrary.ts';
import { plantId } from '../../test/setting.ts';
import { makeFindingSearch, type FindingQuery } from './findingSearch.ts';

const { library } = readMini(
  [
    { id: 'spots', extra: { label: 'Brown spots', phrases: ['speckle|dotted -clean'] } },
    { id: 'holes', extra: { label: 'Holes chewed in leaves' } },
    { id: 'gum', extra: { label: 'Gum from the bark', part: 'trunk' } },
    { id: 'asked', extra: { label: 'Asks about mulch', askable: false } },
  ],
  [
    { id: 'blight', findings: { spots: 'always', gum: 'seldom' } },
    { id: 'beetle', findings: { holes: 'usual' }, extra: { hosts: { moss: 'usual' } } },
  ],
  { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', source: 'judgement' }] },
);
const search = makeFindingSearch(library);
const ids = (query: Partial<FindingQuery>): string[] =>
  search({ words: '', part: null, plant: null, ...query }).map(({ id }) => id);

it('finds by label, by the words people use and in spite of a slip', () => {
  expect(ids({ words: 'holes' })).toEqual(['holes']);
  expect(ids({ words: 'speckle' })).toEqual(['spots']);
  expect(ids({ words: 'chewd leavs' })[0]).toBe('holes');
  expect(ids({ words: 'clean' })).toEqual([]);
});

it('lists by part, and never what cannot be asked', () => {
  expect(ids({ part: 'trunk' })).toEqual(['gum']);
  expect(ids({})).not.toContain('asked');
});

it('lists what the plant can show, the commonest first', () => {
  expect(ids({ plant: plantId('moss') })).toEqual(['holes']);
  expect(ids({ words: 'brown chewed', plant: plantId('moss') })).toEqual(['holes', 'spots']);
});
