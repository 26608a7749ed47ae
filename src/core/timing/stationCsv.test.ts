import fc from 'fast-check';
import { isoDay } from './calendar.ts';
import { stationProblemText } from '../../wording/stationFile.ts';
import { readStationCsv } from './stationCsv.ts';

const HEADER = 'date,min_c,max_c,rain_mm';
const told = (text: string): string[] => {
  const read = readStationCsv(text);
  if (read.ok) throw new Error('was read');
  return read.error.map(stationProblemText);
};

it('reads days in any order, lists the missing ones and leaves other columns alone', () => {
  const read = readStationCsv(
    `Date,Station,min_c,max_c,rain_mm\n2026-06-13,quay,9.5,21,0\n2026-06-10,quay,8,19.5,"4,2"\n`,
  );
  if (!read.ok) throw new Error(told('').join());
  expect(read.value.days.map(({ day, rainMillimetres }) => [isoDay(day), rainMillimetres])).toEqual(
    [
      ['2026-06-10', 4.2],
      ['2026-06-13', 0],
    ],
  );
  expect(read.value.missing.map(isoDay)).toEqual(['2026-06-11', '2026-06-12']);
});

it('turns Fahrenheit and inches into Celsius and millimetres', () => {
  const read = readStationCsv('date,min_f,max_f,rain_in\n2026-06-13,50,68,1');
  expect(read.ok && read.value.days[0]).toMatchObject({
    minCelsius: 10,
    maxCelsius: 20,
    rainMillimetres: 25.4,
  });
});

it.each([
  ['date,min_c,rain_mm\n2026-06-13,1,2', /no column max_c or max_f/],
  [HEADER, /holds no day/],
  [`${HEADER}\n13.6.2026,1,2,0`, /Line 2: date "13.6.2026" is no date/],
  [`${HEADER}\n2026-02-30,1,2,0`, /is no date/],
  [`${HEADER}\n2026-06-13,1,,0`, /Line 2: max_c "" is no number/],
  [`${HEADER}\n2026-06-13,50,86,0`, /Line 2: max_c 86 cannot be/],
  [`${HEADER}\n2026-06-13,1,2,-3`, /rain_mm -3 cannot be/],
  [`${HEADER}\n2026-06-13,9,2,0`, /minimum is above the maximum/],
  [`${HEADER}\n2026-06-13,1,2,0\n2026-06-13,1,2,0`, /Line 3: 2026-06-13 stands twice/],
  ['', /no column date/],
])('of %j says what to mend', (text, words) => {
  expect(told(text).join(' ')).toMatch(words);
});

it('reports every bad line and reads nothing then', () => {
  expect(told(`${HEADER}\nx,1,2,0\n2026-06-13,1,2,0\ny,1,2,0`)).toHaveLength(2);
});

it('comes to an end with any text', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      const read = readStationCsv(`${HEADER}\n${text}`);
      return read.ok || read.error.length > 0;
    }),
  );
});
