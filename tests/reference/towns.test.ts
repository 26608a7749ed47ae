import { execFileSync } from 'node:child_process';
import { z } from 'zod';
import { townSchema } from '../../src/contracts/towns.ts';

// Where towns lie: their coordinates in any atlas, to a tenth of a degree.
const TOWNS: readonly (readonly [string, string, string | null, number, number])[] = [
  ['Ellsworth', 'us', 'me', 44.5, -68.4],
  ['Bangor', 'us', 'me', 44.8, -68.8],
  ['Bangor, Wales', 'gb', 'wls', 53.2, -4.1],
  ['Toronto', 'ca', 'on', 43.7, -79.4],
  ['Saint John, New Brunswick', 'ca', 'nb', 45.3, -66.1],
  ['Hobart, Tasmania', 'au', 'tas', -42.9, 147.3],
  ['Perth, Western Australia', 'au', 'wa', -32, 115.9],
  ['Aberdeen, Scotland', 'gb', 'sct', 57.1, -2.1],
  ['Nairobi', 'ke', null, -1.3, 36.8],
  ['Lyon', 'fr', null, 45.7, 4.8],
  ['04605', 'us', 'me', 44.6, -68.4],
  ['90210', 'us', 'ca', 34.1, -118.4],
  ['K1A 0B1', 'ca', 'on', 45.4, -75.7],
];

// In a process of its own: the test runner takes most of a minute to load the list of towns.
const printed = execFileSync(
  process.execPath,
  ['--import', 'tsx', 'tests/support/findTowns.ts', ...TOWNS.map(([words]) => words)],
  { encoding: 'utf8' },
);
const found = z.array(townSchema.nullable()).parse(JSON.parse(printed));

it.each(TOWNS.map((one, i) => [...one, i] as const))(
  'finds %s',
  (_words, country, state, lat, lon, i) => {
    const town = found[i];
    expect(town).toMatchObject({ country, state });
    expect(Math.abs((town?.lat ?? 0) - lat)).toBeLessThan(0.15);
    expect(Math.abs((town?.lon ?? 0) - lon)).toBeLessThan(0.15);
  },
);
