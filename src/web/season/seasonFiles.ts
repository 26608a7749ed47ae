import { seasonTexts } from '../texts/seasonTexts.ts';
import { eventName } from '../../wording/season.ts';
import { createEvents, type EventAttributes } from 'ics';
import Papa from 'papaparse';
import type { SeasonEvent } from '../../core/consult/season.ts';
import { addDays, civil, isoDay, type Day } from '../../core/timing/calendar.ts';
import { degreeDaysSingleSine } from '../../core/timing/degreeDays.ts';
import type { WeatherDay } from '../../core/timing/weather.ts';
import type { BandedDay, BandedSpan } from '../../core/timing/yearAhead.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';

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
  early === late ? isoDay(early) : seasonTexts.between(isoDay(early), isoDay(late));

/** What an event is called in a calendar: "Bagworm: hatch". */
export const titleOf = ({ aboutName, name }: SeasonEvent): string =>
  `${aboutName}: ${eventName(name)}`;

/** One thing of a calendar that takes whole days. */
export interface CalendarEntry {
  /** Stays the same when the dates change, so that a calendar moves the entry. */
  readonly key: string;
  readonly title: string;
  readonly from: Day;
  readonly to: Day;
  readonly description: string;
}

/**
 * An iCalendar file of whole-day events (RFC 5545): dates without times, so that no time zone moves them. The end is the
 * day after the last one, as the format wants it. The failure is a text for the user.
 */
export function calendarFile(entries: readonly CalendarEntry[]): Result<string, string> {
  const attributes = entries.map(({ key, title, from, to, description }): EventAttributes => ({
    uid: `${key.replace(/[^\w-]+/g, '-')}@sounding`,
    title,
    start: date3(from),
    end: date3(addDays(to, 1)),
    description,
    productId: 'sounding/dates',
    transp: 'TRANSPARENT',
  }));
  const { error, value } = createEvents(attributes);
  return typeof value === 'string'
    ? ok(value)
    : fail(seasonTexts.calendarFailed(error?.message ?? seasonTexts.noDateInIt));
}

/** The dates of a season, by their medians. */
export function seasonCalendar(events: readonly DatedEvent[]): Result<string, string> {
  return calendarFile(
    events.map(({ event, span }) => ({
      key: `${event.about}-${event.kind}-${eventName(event.name)}-${civil(span.from.median).year}`,
      title: titleOf(event),
      from: span.from.median,
      to: span.to.median,
      description: seasonTexts.opensCloses(bandInWords(span.from), bandInWords(span.to)),
    })),
  );
}

/** Base of the heat that stands in the file, Celsius. */
const CSV_BASE_CELSIUS = 10;

/** The days of the station as CSV, in the columns that an import reads, with the heat of each day. */
export function weatherCsv(days: readonly WeatherDay[]): string {
  return Papa.unparse(
    days.map(({ day, minCelsius, maxCelsius, rainMillimetres, windKmh }) => ({
      date: isoDay(day),
      min_c: minCelsius,
      max_c: maxCelsius,
      rain_mm: rainMillimetres,
      wind_kmh: windKmh,
      degree_days_10_c:
        Math.round(10 * degreeDaysSingleSine(minCelsius, maxCelsius, CSV_BASE_CELSIUS)) / 10,
    })),
  );
}
