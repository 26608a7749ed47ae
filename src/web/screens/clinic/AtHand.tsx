import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import type { ClinicLabel } from '../../../contracts/cases.ts';
import { api } from '../../api/api.ts';
import { shortDate } from '../../kit/dates.ts';
import { loadWeather } from '../../store/actions.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { clinicTexts } from '../../texts/clinicTexts.ts';

const Facts = styled.section`
  & h2:not(:first-child) {
    padding-top: 20px;
  }
  & p,
  & li {
    font-size: 14px;
  }
  & code {
    font-family: var(--figures);
  }
`;

/** What the clinic has at hand: its station, its labels, and how its backups are made. */
export function AtHand({ today }: { readonly today: string }) {
  const dispatch = useAppDispatch();
  const weather = useAppSelector((state) => state.desk.weather);
  const [labels, setLabels] = useState<readonly ClinicLabel[]>([]);
  useEffect(() => {
    void loadWeather(dispatch);
    void api.labels().then((read) => {
      if (read.ok) setLabels(read.value.labels);
    });
  }, [dispatch]);
  const last = weather?.days.at(-1)?.day;
  return (
    <Facts>
      <h2>{clinicTexts.station}</h2>
      {weather && <p>{clinicTexts.stationIs[weather.source]}</p>}
      {weather && last !== undefined && (
        <p>{clinicTexts.stationDays(weather.days.length, shortDate(last, today))}</p>
      )}
      <h2>{clinicTexts.labels}</h2>
      {labels.length === 0 && <p>{clinicTexts.noLabels}</p>}
      <ul>
        {labels.map(({ id, name }) => (
          <li key={id}>{name}</li>
        ))}
      </ul>
      <h2>{clinicTexts.backups}</h2>
      <p>{clinicTexts.backupsWhat}</p>
    </Facts>
  );
}
