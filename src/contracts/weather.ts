import { z } from 'zod';
import { isoDateSchema, weatherDaySchema } from './consult.ts';

/** The clinic's weather up to yesterday, from `GET /api/weather`. */
export const weatherSchema = z.object({
  /** Whether the days are those of a real station or stand in for one. */
  source: z.enum(['none', 'simulated', 'imported']),
  days: z.array(weatherDaySchema),
});
export type ClinicWeather = z.infer<typeof weatherSchema>;

/** Longest station file, in characters: some twenty years of days. */
export const MAX_CSV = 500_000;

/** Body of `POST /api/weather`: a station's file as text, see `readStationCsv`. */
export const importWeatherSchema = z.strictObject({
  csv: z.string().min(1).max(MAX_CSV, `must be at most ${MAX_CSV} characters: send fewer years`),
});

/** What was taken in. */
export const importedSchema = z.object({
  days: z.number(),
  first: isoDateSchema,
  last: isoDateSchema,
  /** Days between the first and the last of which the file says nothing. */
  missing: z.array(isoDateSchema),
});
export type ImportedWeather = z.infer<typeof importedSchema>;
