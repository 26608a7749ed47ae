import { MAX_TOWNS, type Town, type TownQuery } from '../../contracts/towns.ts';
import { distanceKm } from '../../core/timing/climate.ts';
import { regionName } from '../../wording/regions.ts';
import { regionOf } from '../../core/schema/region.ts';

/** A town of the gazetteer with how many people live there. */
export interface Settled extends Town {
  readonly people: number;
}

/** Finds towns and postcodes. */
export interface Gazetteer {
  /** The likeliest first, at most {@link MAX_TOWNS}; empty when nothing is called that. */
  readonly find: (query: TownQuery) => readonly Town[];
}

/** What a gazetteer is made of; `postcode` gives the place of a code in capitals without spaces, null where it is none. */
export interface GazetteerData {
  readonly towns: readonly Settled[];
  readonly postcode: (code: string) => Town | null;
}

/** Five digits of the United States, or the first three signs of Canada with or without the rest. */
const POSTCODE = /^(\d{5}|[A-Z]\d[A-Z](\d[A-Z]\d)?)$/;

/** Lower case without accents and signs: "Saint-Jérôme" and "st jerome" are one. */
const folded = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .replace(/^(saint|ste?) /, 'st ');

/** Name and the region behind it, as "perth" and "scotland"; the region is empty where none was said. */
interface Asked {
  readonly name: string;
  readonly region: string;
}

/** Readings of the words: with a comma one, else the whole as a name first and then with its last words as a region. */
function readingsOf(words: string): readonly Asked[] {
  const [name = '', ...rest] = words.split(',').map(folded);
  if (rest.length > 0) return [{ name, region: rest.join(' ').trim() }];
  const parts = name.split(' ');
  return parts.map((_, i) => ({
    name: parts.slice(0, parts.length - i).join(' '),
    region: parts.slice(parts.length - i).join(' '),
  }));
}

interface Indexed {
  readonly town: Settled;
  readonly key: string;
}

/** The first position in a sorted list whose key is not before `key`. */
function firstFrom(list: readonly Indexed[], key: string): number {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((list[middle]?.key ?? '') < key) low = middle + 1;
    else high = middle;
  }
  return low;
}

function startingWith(list: readonly Indexed[], prefix: string): readonly Indexed[] {
  const from = firstFrom(list, prefix);
  const to = list.findIndex(({ key }, i) => i >= from && !key.startsWith(prefix));
  return list.slice(from, to === -1 ? list.length : to);
}

/** What countries are called besides their names and codes. */
const ALSO_CALLED: Readonly<Record<string, readonly string[]>> = {
  us: ['usa', 'america'],
  gb: ['uk', 'britain', 'great britain'],
};

/** Names by which the region of a town is said: its state and country, each by name and code. */
function regionsOf({ country, state }: Town): readonly string[] {
  const whole = regionOf(country, state);
  const names = [regionName(country), ...(whole === null ? [] : [regionName(whole)])];
  return [...names.map(folded), ...(ALSO_CALLED[country] ?? []), country, state ?? country];
}

const liesIn = (town: Town, region: string): boolean =>
  region === '' || regionsOf(town).some((name) => name === region || name.startsWith(`${region} `));

/** From here on ten times as far weighs as much as a hundred times as few people. */
const NEAR_KM = 30;

/** How likely a town is meant: large and near ones, and those whose whole name was said. */
function likelihood({ town, key }: Indexed, name: string, at: TownQuery): number {
  const size = Math.log10(town.people + 100);
  const near = 2 * Math.log10(1 + distanceKm(town, at) / NEAR_KM);
  return size - near + (key === name ? 2 : 0);
}

const withoutPeople = ({ people: _, ...town }: Settled): Town => town;

/** Makes a gazetteer; the list is sorted once. */
export function makeGazetteer({ towns, postcode }: GazetteerData): Gazetteer {
  const list = towns
    .map((town): Indexed => ({ town, key: folded(town.name) }))
    .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
  return {
    find: (query) => {
      const code = query.words.toUpperCase().replace(/\s+/g, '');
      const place = POSTCODE.test(code) ? postcode(code) : null;
      if (place) return [place];
      for (const { name, region } of readingsOf(query.words)) {
        if (name === '') continue;
        const found = startingWith(list, name).filter(({ town }) => liesIn(town, region));
        if (found.length > 0)
          return found
            .map((one) => ({ one, score: likelihood(one, name, query) }))
            .sort((a, b) => b.score - a.score)
            .slice(0, MAX_TOWNS)
            .map(({ one }) => withoutPeople(one.town));
      }
      return [];
    },
  };
}
