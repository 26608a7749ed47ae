import ICAL from 'ical.js';
import { causeId, day } from '../../test/setting.ts';
import { addDays, isoDay, type Day } from '../../core/timing/calendar.ts';
import { readStationCsv } from '../../core/timing/stationCsv.ts';
import { simulateWeather } from '../../core/timing/weather.ts';
import { seasonCalendar, weatherCsv, type DatedEvent } from './seasonFiles.ts';

function event(name: string, from: Day, to: Day): DatedEvent {
  const banded = (one: Day) => ({ early: addDays(one, -3), median: one, late: addDays(one, 4) });
  return {
    event: {
      about: causeId('bagworm'),
      aboutName: 'Bagworm',
      name: { code: 'library', text: name },
      rule: { kind: 'any' },
      kind: 'stage',
    },
    span: { from: banded(from), to: banded(to) },
  };
}

/** Read by a parser of another hand. */
function readBack(file: string): string[] {
  const calendar = ICAL.Component.fromString(file);
  return calendar.getAllSubcomponents('vevent').map((one) => {
    const { summary, startDate, endDate } = new ICAL.Event(one);
    return `${summary} ${startDate.toString()} ${endDate.toString()} ${String(startDate.isDate)}`;
  });
}

it('is read back with the same dates, over a change of clocks and a leap day', () => {
  const file = seasonCalendar([
    event('hatch', day('2026-06-02'), day('2026-06-20')),
    event('spring forward', day('2026-03-07'), day('2026-03-09')),
    event('fall back', day('2026-10-31'), day('2026-11-02')),
    event('leap day', day('2028-02-28'), day('2028-02-29')),
  ]);
  if (!file.ok) throw new Error(file.error);
  expect(readBack(file.value)).toEqual([
    'Bagworm: hatch 2026-06-02 2026-06-21 true',
    'Bagworm: spring forward 2026-03-07 2026-03-10 true',
    'Bagworm: fall back 2026-10-31 2026-11-03 true',
    'Bagworm: leap day 2028-02-28 2028-03-01 true',
  ]);
});

it('writes the weather so that it can be imported again', () => {
  const normals = {
    minCelsius: new Float64Array(365).fill(8),
    maxCelsius: new Float64Array(365).fill(18),
    spreadCelsius: new Float64Array(365).fill(3),
    rainMillimetres: Array.from({ length: 12 }, () => 80),
  };
  const days = simulateWeather(normals, day('2026-02-20'), 20, 5);
  const read = readStationCsv(weatherCsv(days));
  expect(read.ok && read.value.days.map((one) => isoDay(one.day))).toEqual(
    days.map((one) => isoDay(one.day)),
  );
  expect(read.ok && read.value.days).toEqual(days);
});
