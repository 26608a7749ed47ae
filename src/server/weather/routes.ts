import { stationProblemText } from '../../wording/stationFile.ts';
import { and, asc, eq, lt, ne, sql } from 'drizzle-orm';
import { Router } from 'express';
import type { Problem } from '../../contracts/problem.ts';
import {
  importWeatherSchema,
  type ClinicWeather,
  type ImportedWeather,
} from '../../contracts/weather.ts';
import { isoDay } from '../../core/timing/calendar.ts';
import {
  readStationCsv,
  type StationProblem,
  type StationRecord,
} from '../../core/timing/stationCsv.ts';
import type { ClinicContext } from '../office/clinicContext.ts';
import { guarded, type Door } from '../access/guard.ts';
import type { Database } from '../db/connect.ts';
import { weatherDays } from '../db/schema.ts';
import { readBody } from '../http/problems.ts';
import type { Reply } from '../http/respond.ts';

async function readWeather(db: Database, office: ClinicContext): Promise<ClinicWeather> {
  const rows = await db
    .select()
    .from(weatherDays)
    .where(and(eq(weatherDays.clinicId, office.id), lt(weatherDays.day, office.today())))
    .orderBy(asc(weatherDays.day));
  return {
    source: rows[0]?.source ?? 'none',
    days: rows.map(({ day, minCelsius, maxCelsius, rainMillimetres, windKmh }) => ({
      day,
      minCelsius,
      maxCelsius,
      rainMillimetres,
      windKmh,
    })),
  };
}

/** Rows written with one statement; PostgreSQL takes at most 65,535 values. */
const ROWS_AT_ONCE = 5000;

/** Takes a station's days in: they replace the simulated ones, and earlier imports of the same days. */
async function keepWeather(
  db: Database,
  clinicId: number,
  { days, missing }: StationRecord,
): Promise<ImportedWeather> {
  const rows = days.map(({ day, ...values }) => ({
    clinicId,
    day: isoDay(day),
    ...values,
    source: 'imported' as const,
  }));
  await db.transaction(async (tx) => {
    await tx
      .delete(weatherDays)
      .where(and(eq(weatherDays.clinicId, clinicId), ne(weatherDays.source, 'imported')));
    for (let i = 0; i < rows.length; i += ROWS_AT_ONCE)
      await tx
        .insert(weatherDays)
        .values(rows.slice(i, i + ROWS_AT_ONCE))
        .onConflictDoUpdate({
          target: [weatherDays.clinicId, weatherDays.day],
          set: {
            minCelsius: sql`excluded.min_celsius`,
            maxCelsius: sql`excluded.max_celsius`,
            rainMillimetres: sql`excluded.rain_millimetres`,
            windKmh: sql`excluded.wind_kmh`,
          },
        });
  });
  return {
    days: rows.length,
    first: rows[0]?.day ?? '',
    last: rows.at(-1)?.day ?? '',
    missing: missing.map(isoDay),
  };
}

const MAX_SHOWN = 8;

function unreadable(problems: readonly StationProblem[]): Problem {
  const shown = problems.slice(0, MAX_SHOWN).map(stationProblemText);
  const more = problems.length - shown.length;
  return {
    code: 'invalid-field',
    field: 'csv',
    message: `Nothing was taken in. ${shown.join(' ')}${more > 0 ? ` And ${more} more lines.` : ''}`,
    cure: 'Mend these lines and send the file again.',
  };
}

/** Routes below `/api/weather`. */
export function weatherRoutes(door: Door): Router {
  const routes = Router();
  routes.get(
    '/',
    guarded(door, 'clinic.read', async (db, _request, { office }) => ({
      body: await readWeather(db, office),
    })),
  );
  routes.post(
    '/',
    guarded(door, 'weather.import', async (db, request, { clinicId }): Promise<Reply> => {
      const body = readBody(importWeatherSchema, request.body);
      if (!body.ok) return { problem: body.error };
      const record = readStationCsv(body.value.csv);
      return record.ok
        ? { body: await keepWeather(db, clinicId, record.value) }
        : { problem: unreadable(record.error) };
    }),
  );
  return routes;
}
