import { createEvents, type EventAttributes } from 'ics';
import Papa from 'papaparse';
import type { SeasonEvent } from '../../core/season.ts';
import { addDays, civil, isoDay, type Day } from '../../core/timing/calendar.ts';
import type { WeatherDay } from '../../core/timing/weather.ts';
import type { BandedDay, BandedSpan } from '../../core/timing/yearAhead.ts';
import { fail, ok, type Result } from '../../core/result.ts';

/** An event of the season with its dates. */
export interface DatedEvent {
  readonly event: SeasonEvent;
  readonly span: BandedSpan;
}

type Date3 = [year: number, month: number, day: number];

function date3(day: Day): Date3 {
  const { year, month, dayOfMonth } = civil(day);
  return [year, month, dayOfMonth];
}

const bandInWords = ({ early, late }: BandedDay): string =>
  early === late ? isoDay(early) : `${isoDay(early)} to ${isoDay(late)}`;

/** What an event is called in a calendar: "Bagworm: hatch". */
export const titleOf = ({ causeName, name }: SeasonEvent): string => `${causeName}: ${name}`;

/**
 * An iCalendar file of whole-day events (RFC 5545): dates without times, so that no time zone moves them. The end is the
 * day after the last one, as the format wants it. The failure is a text for the user.
 */
export function seasonCalendar(events: readonly DatedEvent[]): Result<string, string> {
  const attributes = events.map(({ event, span }): EventAttributes => ({
    uid: `${event.cause}-${event.kind}-${event.name.replace(/\W+/g, '-')}-${civil(span.from.median).year}@sounding`,
    title: titleOf(event),
    start: date3(span.from.median),
    end: date3(addDays(span.to.median, 1)),
    description: `Opens ${bandInWords(span.from)}, closes ${bandInWords(span.to)} in 8 of 10 years.`,
    productId: 'sounding/season',
    transp: 'TRANSPARENT',
  }));
  const { error, value } = createEvents(attributes);
  return typeof value !== 'string'
    ? fail(`The calendar could not be made: ${error?.message ?? 'no event'}. Choose other plants.`)
    : ok(value);
}

/** The days of the station as CSV, in the columns that an import reads. */
export function weatherCsv(days: readonly WeatherDay[]): string {
  return Papa.unparse(
    days.map(({ day, minCelsius, maxCelsius, rainMillimetres }) => ({
      date: isoDay(day),
      min_c: minCelsius,
      max_c: maxCelsius,
      rain_mm: rainMillimetres,
    })),
  );
}
