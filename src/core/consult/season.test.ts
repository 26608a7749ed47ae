import { eventName } from '../../wording/season.ts';
import { readMini } from '../../test/miniLibrary.ts';
import { plantId } from '../../test/setting.ts';
import { buildHosting } from '../knowledge/hosting.ts';
import { buildTaxonomy } from '../knowledge/taxonomy.ts';
import { traitsSchema, type Traits } from '../schema/plant.ts';
import { seasonEvents } from './season.ts';

const { library } = readMini(
  [{ id: 'spots' }],
  [
    {
      id: 'bagworm',
      findings: { spots: 'usual' },
      extra: {
        common: 'rare',
        seen: '05-01..09-01',
        stages: [{ name: 'hatch', when: 'dd10 200..400' }],
        hosts: { moss: 'usual' },
      },
    },
    {
      id: 'mildew',
      findings: { spots: 'usual' },
      extra: { common: 'common', seen: '06-01..09-01' },
    },
    {
      id: 'ageing',
      findings: { spots: 'usual' },
      extra: { category: 'normal', seen: '06-01..07-01' },
    },
    { id: 'undated', findings: { spots: 'usual' }, extra: { common: 'common' } },
  ],
  { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', source: 'judgement' }] },
);
const hosting = buildHosting(library.causes, buildTaxonomy(library.plants));
const events = (plant: string | null, traits: Traits = {}): string[] =>
  seasonEvents(
    library,
    hosting,
    plant === null ? null : { id: plantId(plant), name: plant, traits, kinds: [plantId(plant)] },
  ).map(({ about, name, kind }) => `${about} ${eventName(name)} ${kind}`);

it('tells a cause by its stages, or else by when it is seen', () => {
  expect(events('moss')).toEqual(['bagworm hatch stage']);
});

it('tells when a plant leafs out, flowers and sheds its leaves', () => {
  const traits = traitsSchema.parse({ woody: true, bloom: '05-01..05-20' });
  expect(events('moss', traits)).toEqual([
    'moss leafs out plant',
    'moss in flower plant',
    'moss sheds its leaves plant',
    'bagworm hatch stage',
  ]);
  expect(events('moss', { ...traits, evergreen: true })).toHaveLength(2);
});

it('tells no dates of what breeds all year under a roof', () => {
  expect(events('moss', { indoors: true })).toEqual([]);
});

it('without a plant lists what is common, and never a normal look', () => {
  expect(events(null)).toEqual(['mildew seen seen']);
});
