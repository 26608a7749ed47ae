import { commonTexts } from '../../texts/commonTexts.ts';
import { seasonTexts } from '../../texts/seasonTexts.ts';
import { styled } from 'styled-components';
import { isoDay } from '../../../core/timing/calendar.ts';
import type { ComingDay } from '../../../core/timing/outlook.ts';
import type { WeatherDay } from '../../../core/timing/weather.ts';
import { dayAndMonth } from '../../kit/dates.ts';

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

const windInWords = (windKmh: number | null): string =>
  windKmh === null ? seasonTexts.notKnown : seasonTexts.windKmh(Math.round(windKmh));

/** The last days of the station and the ten to come, the latter with how far they may be off. */
export function WeatherStrip({ observed, coming }: WeatherStripProps) {
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">{commonTexts.day}</th>
          <th scope="col">{seasonTexts.nightC}</th>
          <th scope="col">{seasonTexts.dayC}</th>
          <th scope="col">{seasonTexts.rain}</th>
          <th scope="col">{seasonTexts.wind}</th>
        </tr>
      </thead>
      <tbody>
        {observed.slice(-PAST_DAYS).map((one) => (
          <tr key={one.day} data-coming="no">
            <th scope="row">{dayAndMonth(isoDay(one.day))}</th>
            <td>{degrees(one.minCelsius)}</td>
            <td>{degrees(one.maxCelsius)}</td>
            <td>{one.rainMillimetres.toFixed(1)} mm</td>
            <td>{windInWords(one.windKmh)}</td>
          </tr>
        ))}
        {coming.map(({ day, minCelsius, maxCelsius, plusMinus, rain, windKmh }) => (
          <tr key={day} data-coming="yes">
            <th scope="row">{dayAndMonth(isoDay(day))}</th>
            <td>{degrees(minCelsius)}</td>
            <td>
              {degrees(maxCelsius)} ± {degrees(plusMinus)}
            </td>
            <td>{Math.round(100 * rain)} %</td>
            <td>{windInWords(windKmh)}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
