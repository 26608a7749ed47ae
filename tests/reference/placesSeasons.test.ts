import { createAlmanacs } from '../../src/core/timing/almanac.ts';
import { SEASONS } from '../../src/core/schema/window.ts';
import { seasonPositions } from '../../src/core/timing/windows.ts';
import { library } from '../support/wholeLibrary.ts';

const almanacAt = createAlmanacs(library.places);

it.each(library.places.map((place) => [place.id, place] as const))(
  'gives every season of %s a first day before its last',
  (_, { latitude, longitude }) => {
    const { year } = almanacAt({ lat: latitude, lon: longitude }, []);
    for (const season of SEASONS) {
      const { from, to } = seasonPositions(year, season);
      expect([season, to > from]).toEqual([season, true]);
    }
  },
);
