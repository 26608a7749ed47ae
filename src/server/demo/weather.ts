import { eq } from 'drizzle-orm';
import type { Place } from '../../core/schema/place.ts';
import { addDays, civil, dayOf, isoDay, parseDay } from '../../core/timing/calendar.ts';
import { climateAt } from '../../core/timing/climate.ts';
import { simulateWeather, withEvents, type WeatherEvent } from '../../core/timing/weather.ts';
import type { ClinicContext } from '../office/clinicContext.ts';
import type { Database } from '../db/connect.ts';
import { weatherDays } from '../db/schema.ts';

const SEED = 44_679;

/** The demonstration's spring: some days not reported, a wet spell, a late frost and a first heat wave. */
function eventsOf(year: number): readonly WeatherEvent[] {
  return [
    { kind: 'gap', from: dayOf(year, 3, 8), days: 3 },
    { kind: 'wet-spell', from: dayOf(year, 4, 27), days: 9 },
    { kind: 'late-frost', from: dayOf(year, 5, 21), days: 1 },
    { kind: 'heat-wave', from: dayOf(year, 6, 2), days: 4 },
  ];
}

/** Writes a simulated station from 1 January to yesterday, unless the clinic has weather; returns the number of days. */
export async function seedWeather(
  db: Database,
  office: ClinicContext,
  places: readonly Place[],
): Promise<number> {
  const known = await db
    .select({ day: weatherDays.day })
    .from(weatherDays)
    .where(eq(weatherDays.clinicId, office.id))
    .limit(1);
  const today = parseDay(office.today());
  if (known.length > 0 || !today.ok) return 0;
  const { year } = civil(today.value);
  const first = dayOf(year, 1, 1);
  const normals = climateAt(places, office.place);
  const days = withEvents(
    simulateWeather(normals, first, addDays(today.value, -1) - first + 1, SEED),
    eventsOf(year),
  );
  if (days.length === 0) return 0;
  await db.insert(weatherDays).values(
    days.map(({ day, ...values }) => ({
      clinicId: office.id,
      day: isoDay(day),
      ...values,
      source: 'simulated' as const,
    })),
  );
  return days.length;
}
