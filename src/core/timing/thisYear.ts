import { civil, dayOf, DAYS_IN_YEAR, indexOfDay, type Day } from './calendar.ts';
import type { DailyNormals } from './climate.ts';
import { buildSeasonYear, type SeasonYear } from './seasonYear.ts';
import type { WeatherDay } from './weather.ts';

/** First day of the gardening year that holds `day`: 1 January north of the equator, 1 July south of it. */
export function firstOfGardeningYear(day: Day, south: boolean): Day {
  const { year } = civil(day);
  if (!south) return dayOf(year, 1, 1);
  const july = dayOf(year, 7, 1);
  return day >= july ? july : dayOf(year - 1, 7, 1);
}

/**
 * Daily extremes in degrees Celsius of the gardening year that begins on `first`: the given days, of equal ones the
 * later, else normals.
 */
export function withDays(
  normals: DailyNormals,
  first: Day,
  days: readonly WeatherDay[],
): DailyNormals {
  const minCelsius = Float64Array.from(normals.minCelsius);
  const maxCelsius = Float64Array.from(normals.maxCelsius);
  const spreadCelsius = Float64Array.from(normals.spreadCelsius);
  for (const { day, minCelsius: low, maxCelsius: high } of days) {
    if (day < first || day >= first + DAYS_IN_YEAR) continue;
    const index = indexOfDay(day);
    minCelsius[index] = low;
    maxCelsius[index] = high;
    spreadCelsius[index] = 0;
  }
  return { minCelsius, maxCelsius, spreadCelsius };
}

/**
 * The gardening year of one year's weather. Heat, which adds up, is that of the days; the turns of the season are the
 * usual ones, for a single hot or cold day is no turn.
 */
export function yearOfWeather(daily: DailyNormals, usual: SeasonYear, south: boolean): SeasonYear {
  const { peak, winterless, wet, growthEnd } = usual;
  return { ...buildSeasonYear(daily, south), peak, winterless, wet, growthEnd };
}
