import type { Limits } from '../schema/treatment.ts';
import { indexOfDay } from './calendar.ts';
import type { ComingDay } from './outlook.ts';

/** What speaks against a day: degrees Celsius, a probability of 0 to 1, kilometres an hour. */
export type DayReason =
  | { readonly code: 'too-hot' | 'too-cold'; readonly celsius: number; readonly limit: number }
  | { readonly code: 'maybe-too-hot'; readonly limit: number }
  | { readonly code: 'frost' | 'no-hours' }
  | { readonly code: 'wind-unknown'; readonly limit: number }
  | { readonly code: 'windy'; readonly kmh: number; readonly limit: number }
  | { readonly code: 'rain-likely' | 'rain-possible'; readonly probability: number };

/** Whether a treatment can be done on a day, and why not or not surely. */
export interface DayCheck {
  readonly go: 'go' | 'doubtful' | 'no-go';
  readonly reasons: readonly DayReason[];
  /** Hours that suit it, 24-hour clock of the sun; null where none do. */
  readonly hours: { readonly from: number; readonly to: number } | null;
}

/** What is done to a plant, as far as the weather matters. */
export interface DayWork {
  readonly limits: Limits | null;
  /** A spray: it must dry, and wind carries it away. */
  readonly spray: boolean;
}

/** Chance of a wet day from which it is no day for a spray, and from which it is doubtful: our own estimates. */
const RAIN = { no: 0.5, doubtful: 0.3 } as const;
/** Wind above which no one sprays, km/h (common practice: about 10 miles an hour). */
const MAX_WIND_KMH = 16;
/** A spray wants this long to dry before evening, hours: common practice. */
const DRYING_HOURS = 4;
/** Shortest stretch of the day worth going out for, hours. */
const MIN_HOURS = 2;
/** The warmest hour of the day by the sun; the coldest is sunrise. */
const WARMEST_HOUR = 15;

/** Half of the day's length in hours, by latitude and day (sunrise equation, declination by P. I. Cooper, 1969). */
export function halfDaylight(latitude: number, dayOfYear: number): number {
  const radians = (degrees: number): number => (degrees * Math.PI) / 180;
  const declination = 23.45 * Math.sin(radians((360 * (284 + dayOfYear + 1)) / 365));
  const cosine = -Math.tan(radians(latitude)) * Math.tan(radians(declination));
  return (Math.acos(Math.max(-1, Math.min(1, cosine))) * 12) / Math.PI;
}

/** Temperature at an hour: half a cosine up from sunrise to the warmest hour, then down to the next sunrise. */
function celsiusAt(hour: number, sunrise: number, { minCelsius, maxCelsius }: ComingDay): number {
  const rising = hour <= WARMEST_HOUR;
  const share = rising
    ? (hour - sunrise) / (WARMEST_HOUR - sunrise)
    : (hour - WARMEST_HOUR) / (24 + sunrise - WARMEST_HOUR);
  const height = (1 - Math.cos(Math.PI * Math.max(0, Math.min(1, share)))) / 2;
  return minCelsius + (maxCelsius - minCelsius) * (rising ? height : 1 - height);
}

function stretch(timeOfDay: Limits['timeOfDay'], sunrise: number, sunset: number, spray: boolean) {
  switch (timeOfDay) {
    case 'morning':
      return { from: sunrise, to: 11 };
    case 'evening':
      return { from: sunset - 3, to: sunset };
    case 'any':
      return { from: sunrise, to: spray ? sunset - DRYING_HOURS : sunset };
  }
}

/** The longest run of whole hours in which the temperature is right. */
function suitableHours(work: DayWork, day: ComingDay, latitude: number): DayCheck['hours'] {
  const half = halfDaylight(latitude, indexOfDay(day.day));
  const [sunrise, sunset] = [12 - half, 12 + half];
  const { minCelsius = -Infinity, maxCelsius = Infinity, timeOfDay = 'any' } = work.limits ?? {};
  const { from, to } = stretch(timeOfDay, sunrise, sunset, work.spray);
  let best: { from: number; to: number } | null = null;
  let start: number | null = null;
  for (let hour = Math.ceil(from); hour <= Math.floor(to); hour++) {
    const then = celsiusAt(hour, sunrise, day);
    if (then < minCelsius || then > maxCelsius) {
      start = null;
      continue;
    }
    start ??= hour;
    if (best === null || hour - start > best.to - best.from) best = { from: start, to: hour };
  }
  return best !== null && best.to - best.from >= MIN_HOURS ? best : null;
}

function* heatReasons({ limits, spray }: DayWork, day: ComingDay): Generator<DayReason> {
  const { maxCelsius = Infinity, minCelsius = -Infinity } = limits ?? {};
  if (day.maxCelsius > maxCelsius)
    yield { code: 'too-hot', celsius: day.maxCelsius, limit: maxCelsius };
  if (day.maxCelsius < minCelsius)
    yield { code: 'too-cold', celsius: day.maxCelsius, limit: minCelsius };
  if (spray && day.minCelsius <= 0) yield { code: 'frost' };
}

function* doubts(work: DayWork, day: ComingDay, mostWind: number): Generator<DayReason> {
  const { maxCelsius = Infinity } = work.limits ?? {};
  if (work.spray && day.windKmh === null) yield { code: 'wind-unknown', limit: mostWind };
  if (day.maxCelsius + day.plusMinus > maxCelsius)
    yield { code: 'maybe-too-hot', limit: maxCelsius };
}

/**
 * Whether a day suits a treatment: temperature, frost, rain in the hours that must stay dry, wind, time to dry. `next` is
 * the day after, into which long rain-free hours reach; `latitude` gives the length of the day.
 */
export function checkDay(
  work: DayWork,
  day: ComingDay,
  next: ComingDay | null,
  latitude: number,
): DayCheck {
  const { rainFreeHours = 0, maxWindKmh = MAX_WIND_KMH } = work.limits ?? {};
  const needsDry = work.spray || rainFreeHours > 0;
  const wet = needsDry ? Math.max(day.rain, rainFreeHours >= 24 ? (next?.rain ?? 0) : 0) : 0;
  const hours = suitableHours(work, day, latitude);
  const no: DayReason[] = [...heatReasons(work, day)];
  if (wet >= RAIN.no) no.push({ code: 'rain-likely', probability: wet });
  if (work.spray && day.windKmh !== null && day.windKmh > maxWindKmh)
    no.push({ code: 'windy', kmh: day.windKmh, limit: maxWindKmh });
  if (no.length === 0 && hours === null) no.push({ code: 'no-hours' });
  if (no.length > 0) return { go: 'no-go', reasons: no, hours };
  const doubtful: DayReason[] = [...doubts(work, day, maxWindKmh)];
  if (wet >= RAIN.doubtful) doubtful.push({ code: 'rain-possible', probability: wet });
  return { go: doubtful.length > 0 ? 'doubtful' : 'go', reasons: doubtful, hours };
}
