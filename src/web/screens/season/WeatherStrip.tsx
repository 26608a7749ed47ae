import { styled } from 'styled-components';
import { isoDay } from '../../../core/timing/calendar.ts';
import type { ComingDay } from '../../../core/timing/outlook.ts';
import type { WeatherDay } from '../../../core/timing/weather.ts';
import { dayAndMonth } from '../../app/dates.ts';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
  & th {
    text-align: left;
    font-weight: 400;
    color: var(--quiet);
  }
  & td {
    font-family: var(--figures);
    text-align: right;
  }
  & th,
  & td {
    padding: 1px 0 1px 10px;
    border-top: 1px solid var(--hairline);
  }
  & th:first-child {
    padding-left: 0;
  }
  & tr[data-coming='yes'] {
    background: var(--sunk);
  }
`;

/** Days of the station that are shown before the ones to come. */
const PAST_DAYS = 5;
const degrees = (celsius: number): string => celsius.toFixed(0);

interface WeatherStripProps {
  readonly observed: readonly WeatherDay[];
  readonly coming: readonly ComingDay[];
}

/** The last days of the station and the ten to come, the latter with how far they may be off. */
export function WeatherStrip({ observed, coming }: WeatherStripProps) {
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Night, C</th>
          <th scope="col">Day, C</th>
          <th scope="col">Rain</th>
        </tr>
      </thead>
      <tbody>
        {observed.slice(-PAST_DAYS).map(({ day, minCelsius, maxCelsius, rainMillimetres }) => (
          <tr key={day} data-coming="no">
            <th scope="row">{dayAndMonth(isoDay(day))}</th>
            <td>{degrees(minCelsius)}</td>
            <td>{degrees(maxCelsius)}</td>
            <td>{rainMillimetres.toFixed(1)} mm</td>
          </tr>
        ))}
        {coming.map(({ day, minCelsius, maxCelsius, plusMinus, rain }) => (
          <tr key={day} data-coming="yes">
            <th scope="row">{dayAndMonth(isoDay(day))}</th>
            <td>{degrees(minCelsius)}</td>
            <td>
              {degrees(maxCelsius)} ± {degrees(plusMinus)}
            </td>
            <td>{Math.round(100 * rain)} %</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
