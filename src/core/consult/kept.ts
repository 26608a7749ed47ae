import { buildNetwork, type Network } from '../diagnosis/network.ts';
import type { Experience } from '../diagnosis/learning.ts';
import { saidAmounts, type SaidAmount } from '../language/amounts.ts';
import { findDangers, type FoundDanger } from '../language/dangers.ts';
import { extract, type Extracted } from '../language/extract.ts';
import { partByPlant, type PlantPart } from '../language/severalPlants.ts';
import { saidSizes, type SaidSize } from '../language/sizes.ts';
import { usesUsUnits } from '../language/usUnits.ts';
import type { Compiled } from '../library/compile.ts';
import { makeLanguageContext } from '../library/languageContext.ts';
import type { PlantId } from '../schema/common.ts';
import { createAlmanacs, type Almanac } from '../timing/almanac.ts';
import type { Day } from '../timing/calendar.ts';
import type { Coordinates } from '../timing/climate.ts';
import type { WeatherDay } from '../timing/weather.ts';
import { memoize } from '../util/memoize.ts';
import type { Enquiry } from './enquiry.ts';

/** Networks, almanacs and parsed texts that are cached; an advisor's day needs a handful. */
const MAX_CACHED = 64;

interface Setting {
  readonly plant: PlantId | null;
  readonly place: Coordinates;
  readonly today: Day;
  readonly experience: Experience;
  readonly weather: readonly WeatherDay[];
  readonly since: Day | null;
  readonly region: string | null;
}

type Spoken = Pick<Enquiry, 'words' | 'plant'>;

const spokenKey = ({ words, plant }: Spoken): string => `${plant ?? ''} ${words}`;

type Whereabouts = Pick<Setting, 'place' | 'weather'>;

/** Distinguishes places and runs of weather; days that are changed change the weighted sum. */
function whereKey({ place: { lat, lon, height }, weather }: Whereabouts): string {
  const sum = weather.reduce(
    (total, { minCelsius, maxCelsius }, i) => total + (i + 1) * (minCelsius + 2 * maxCelsius),
    0,
  );
  return `${lat} ${lon} ${height ?? ''} ${weather.length} ${weather.at(-1)?.day ?? ''} ${sum}`;
}

/** What is worked out once and kept between the answers of an enquiry. */
export interface Kept {
  readonly almanacs: (where: Whereabouts) => Almanac;
  readonly networks: (setting: Setting) => Network;
  readonly extracting: (spoken: Spoken) => Extracted;
  readonly partsOf: (spoken: Spoken) => readonly PlantPart[];
  readonly amounts: (enquiry: Enquiry) => readonly SaidAmount[];
  readonly sizes: (enquiry: Enquiry) => readonly SaidSize[];
  readonly dangers: (words: string) => readonly FoundDanger[];
}

/** What is kept of a library: of at most 64 enquiries each. Results do not depend on it; null stands for an unknown plant or region. */
export function keepFor(library: Compiled): Kept {
  const makeAlmanac = createAlmanacs(library.places);
  const almanacs = memoize(({ place, weather }: Whereabouts) => makeAlmanac(place, weather), {
    keyOf: whereKey,
    max: MAX_CACHED,
  });
  const networks = memoize(
    (setting: Setting) =>
      buildNetwork(library, setting.plant, { ...setting, almanac: almanacs(setting) }),
    {
      keyOf: (setting) =>
        `${setting.plant ?? ''} ${whereKey(setting)} ${setting.today} ${setting.since ?? ''} ${setting.region ?? ''} ${[...setting.experience].join(' ')}`,
      max: MAX_CACHED,
    },
  );
  const languageContext = makeLanguageContext(library);
  const extracting = memoize(({ words, plant }: Spoken) => extract(languageContext, words, plant), {
    keyOf: spokenKey,
    max: MAX_CACHED,
  });
  const partsOf = memoize(
    ({ words, plant }: Spoken) =>
      plant === null && extracting({ words, plant }).plants.length > 1
        ? partByPlant(languageContext, words)
        : [],
    { keyOf: spokenKey, max: MAX_CACHED },
  );
  const amounts = memoize(
    ({ words, place, today }: Enquiry) =>
      saidAmounts(words, { today, south: place.lat < 0, fahrenheit: usesUsUnits(place) }),
    {
      keyOf: ({ words, place: { lat, lon }, today }) => `${lat} ${lon} ${today} ${words}`,
      max: MAX_CACHED,
    },
  );
  const sizes = memoize(({ words, place }: Enquiry) => saidSizes(words, usesUsUnits(place)), {
    keyOf: ({ words, place }) => `${usesUsUnits(place) ? 'feet' : 'metres'} ${words}`,
    max: MAX_CACHED,
  });
  const dangers = memoize((words: string) => findDangers(library.dangers, words), {
    max: MAX_CACHED,
  });
  return { almanacs, networks, extracting, partsOf, amounts, sizes, dangers };
}
