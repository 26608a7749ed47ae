import { miniLibrary } from '../../test/miniLibrary.ts';
import { findingId, plantId } from '../../test/setting.ts';
import { makeLanguageContext } from './languageContext.ts';

const PLANTS = [
  { id: 'plant', name: 'Plant', rank: 'group', source: 'practice' },
  { id: 'turf', name: 'Lawn', parents: ['plant'], source: 'practice' },
  { id: 'fern', name: 'Fern', parents: ['plant'], source: 'practice' },
];
const languageContext = makeLanguageContext(
  miniLibrary(
    [
      { id: 'patches', extra: { part: 'turf' } },
      { id: 'mown', extra: { part: 'turf', kind: 'context' } },
      { id: 'yellow', extra: { part: 'leaf' } },
    ],
    [
      {
        id: 'burn',
        findings: { patches: 'usual', mown: 'usual', yellow: 'usual' },
        extra: { hosts: { plant: 'usual' } },
      },
    ],
    { 'plants/a.yaml': PLANTS },
  ),
);
const told = (plant: string): string[] =>
  ['patches', 'mown', 'yellow'].filter((id) =>
    languageContext.shownOn(plantId(plant)).has(findingId(id)),
  );

it('hears what only lawns show of lawns, and of plants that may be one', () => {
  expect(told('turf')).toEqual(['patches', 'mown', 'yellow']);
  expect(told('plant')).toEqual(['patches', 'mown', 'yellow']);
  expect(told('fern')).toEqual(['mown', 'yellow']);
});
