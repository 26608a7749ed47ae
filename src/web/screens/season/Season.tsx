import { commonTexts } from '../../texts/commonTexts.ts';
import { seasonTexts } from '../../texts/seasonTexts.ts';
import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import { plantIdSchema, type PlantId } from '../../../core/schema/common.ts';
import { Button } from '../../kit/Button.tsx';
import { Chip } from '../../kit/Chip.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { saveFile } from '../../kit/saveFile.ts';
import { PlantChooser } from '../../choosers/PlantChooser.tsx';
import { CalendarButton } from '../../season/CalendarButton.tsx';
import { seasonCalendar, weatherCsv } from '../../season/seasonFiles.ts';
import { useLibrary } from '../../library/useLibrary.ts';
import { HeatChart } from './HeatChart.tsx';
import { ImportWeather } from './ImportWeather.tsx';
import { Timeline } from './Timeline.tsx';
import { HEAT_BASE_CELSIUS, useSeason, type SeasonView } from './useSeason.ts';
import { WeatherStrip } from './WeatherStrip.tsx';

const Page = styled.main`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  background: var(--surface);
`;
const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--hairline);
  & h1 {
    font-size: 18px;
  }
  & > :nth-child(4) {
    margin-left: auto;
  }
`;
const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  min-height: 0;
  & > section {
    overflow: auto;
    padding: 8px 20px 24px;
  }
  & > section + section {
    border-left: 1px solid var(--hairline);
  }
  & h2 {
    font-size: 15px;
    padding: 8px 0 4px;
  }
  @media (max-width: 900px) {
    display: block;
    overflow: auto;
  }
`;

const STATION = {
  none: seasonTexts.noStation,
  simulated: seasonTexts.simulatedStation,
  imported: seasonTexts.theClinicsStation,
} as const;

/** What is active here now and next, with bands, the heat of the year and the weather. */
export function Season() {
  const [plant, setPlant] = useState<PlantId | null>(null);
  const [round, setRound] = useState(0);
  const shelf = useLibrary();
  const state = useSeason(shelf, plant, round);
  useEffect(() => {
    document.title = seasonTexts.seasonSounding;
  }, []);
  const name = shelf.reading?.shelf.library.plants.find(({ id }) => id === plant)?.name;
  const choose = (id: string | null): void => {
    const read = plantIdSchema.safeParse(id);
    setPlant(read.success ? read.data : null);
  };
  return (
    <Page>
      <Bar>
        <h1>{commonTexts.season}</h1>
        <Chip name={commonTexts.plant} value={name ?? seasonTexts.theCommonTroublesOfAll}>
          {(close) => (
            <PlantChooser
              back={plant === null ? null : seasonTexts.allPlants}
              onChoose={(id) => {
                choose(id);
                close();
              }}
            />
          )}
        </Chip>
        <Chip
          name={seasonTexts.weather}
          value={state.kind === 'ready' ? STATION[state.view.source] : seasonTexts.beingRead}
        >
          {() => <ImportWeather onImported={() => setRound(round + 1)} />}
        </Chip>
        {state.kind === 'ready' && <Files view={state.view} />}
      </Bar>
      {state.kind === 'working' && <Notice>{seasonTexts.beingWorkedOut}</Notice>}
      {state.kind === 'failed' && (
        <Notice tone="caution">
          {state.message} <Button onPress={state.retry}>{commonTexts.tryAgain}</Button>
        </Notice>
      )}
      {state.kind === 'ready' && <Shown view={state.view} />}
    </Page>
  );
}

function Files({ view }: { readonly view: SeasonView }) {
  return (
    <>
      <CalendarButton fileName="season.ics" make={() => seasonCalendar(view.dated)} />
      <Button
        kind="quiet"
        onPress={() => saveFile('weather.csv', 'text/csv', weatherCsv(view.observed))}
      >
        {seasonTexts.weatherAsCsv}
      </Button>
    </>
  );
}

function Shown({ view }: { readonly view: SeasonView }) {
  const { dated, today, outlook, observed } = view;
  return (
    <Columns>
      <section aria-label={seasonTexts.whatIsActive} tabIndex={0}>
        <Timeline dated={dated} today={today} />
      </section>
      <section aria-label={seasonTexts.heatAndWeather} tabIndex={0}>
        <h2>{seasonTexts.heatOfTheYear}</h2>
        <HeatChart heat={outlook.heat} today={today} baseCelsius={HEAT_BASE_CELSIUS} />
        <h2>{seasonTexts.weather}</h2>
        <WeatherStrip observed={observed} coming={outlook.coming} />
      </section>
    </Columns>
  );
}
