import { commonTexts } from '../../texts/commonTexts.ts';
import { seasonTexts } from '../../texts/seasonTexts.ts';
import { useEffect, useMemo, useState } from 'react';
import type { ClinicWeather } from '../../../contracts/weather.ts';
import { observedDays } from '../../../application/answerConsult.ts';
import type { PlantId } from '../../../core/schema/common.ts';
import { seasonEvents, type SeasonPlant } from '../../../core/consult/season.ts';
import type { Day } from '../../../core/timing/calendar.ts';
import type { Outlook } from '../../../core/timing/outlook.ts';
import type { WeatherDay } from '../../../core/timing/weather.ts';
import type { LibraryIndex } from '../../library/libraryIndex.ts';
import type { LibraryState } from '../../library/useLibrary.ts';
import type { DatedEvent } from '../../season/seasonFiles.ts';
import { api } from '../../api/api.ts';
import { workOutSeason } from '../../workers/seasonClient.ts';

/** Base of the heat that the screen draws, Celsius: that of most insects of the library. */
export const HEAT_BASE_CELSIUS = 10;

/** Everything the Season screen shows. */
export interface SeasonView {
  readonly today: Day;
  readonly dated: readonly DatedEvent[];
  readonly outlook: Outlook;
  readonly observed: readonly WeatherDay[];
  readonly source: ClinicWeather['source'];
}

export type SeasonState =
  | { readonly kind: 'working' }
  | { readonly kind: 'failed'; readonly message: string; readonly retry: () => void }
  | { readonly kind: 'ready'; readonly view: SeasonView };

const NO_LIBRARY = commonTexts.libraryNotLoaded;
const NO_SEASON = seasonTexts.seasonFailed;

function chosenPlant({ library, taxonomy }: LibraryIndex, id: PlantId | null): SeasonPlant | null {
  const plant = library.plants.find((one) => one.id === id);
  if (!plant) return null;
  const { id: of, name } = plant;
  return { id: of, name, traits: taxonomy.traits(of), kinds: taxonomy.lineage(of) };
}

/** Works the season out for a plant, or for what is common; `round` counts imports, each of which works it out anew. */
export function useSeason(
  { reading, failed, retry }: LibraryState,
  plant: PlantId | null,
  round: number,
): SeasonState {
  const [weather, setWeather] = useState<ClinicWeather | null>(null);
  const [state, setState] = useState<SeasonState>({ kind: 'working' });
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let here = true;
    void api.weather().then((read) => {
      // Without the station the normals still tell a season.
      if (here) setWeather(read.ok ? read.value : { source: 'none', days: [] });
    });
    return () => {
      here = false;
    };
  }, [round]);
  const chosen = useMemo(
    () => (reading ? chosenPlant(reading.shelf, plant) : null),
    [reading, plant],
  );
  const events = useMemo(
    () => (reading ? seasonEvents(reading.shelf.library, reading.shelf.hosting, chosen) : null),
    [reading, chosen],
  );
  useEffect(() => {
    if (!reading || !events || !weather) return undefined;
    const { today, almanac, shelf } = reading;
    const observed = observedDays(weather.days);
    const { outlook, cancel } = workOutSeason({
      places: shelf.library.places,
      at: almanac.at,
      today,
      observed,
      simulated: weather.source === 'simulated',
      rules: events.map(({ rule }) => rule),
      bloom: chosen?.traits.bloom ?? null,
      baseCelsius: HEAT_BASE_CELSIUS,
    });
    outlook.then(
      (found) => {
        const dated = events.flatMap((event, i): DatedEvent[] => {
          const span = found.predictionIntervals[i];
          return span ? [{ event, span }] : [];
        });
        const { source } = weather;
        setState({ kind: 'ready', view: { today, dated, outlook: found, observed, source } });
      },
      () =>
        setState({
          kind: 'failed',
          message: NO_SEASON,
          retry: () => {
            setState({ kind: 'working' });
            setTries((before) => before + 1);
          },
        }),
    );
    return cancel;
  }, [reading, chosen, events, weather, tries]);
  return failed ? { kind: 'failed', message: NO_LIBRARY, retry } : state;
}
