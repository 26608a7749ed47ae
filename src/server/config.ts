import { z } from 'zod';
import { countrySchema } from '../core/schema/place.ts';
import { parseDay } from '../core/timing/calendar.ts';
import { fail, ok, type Result } from '../core/util/result.ts';

const configSchema = z.object({
  DATABASE_URL: z
    .string({ error: 'set DATABASE_URL to a PostgreSQL address, or start with npm run demo' })
    .min(1),
  PORT: z.coerce.number({ error: 'PORT must be a number' }).int().min(1).max(65535).default(4310),
  HOST: z.string().default('127.0.0.1'),
  SOUNDING_TODAY: z
    .string()
    .refine((text) => parseDay(text).ok, {
      error: 'SOUNDING_TODAY must be a date such as 2026-06-13',
    })
    .optional(),
  /** Country of the clinic, by which people to call in danger are named; else that of the nearest reference place. */
  SOUNDING_COUNTRY: countrySchema.optional(),
  /** Longest time of one consultation; a longer one is refused. */
  CONSULT_SECONDS: z.coerce
    .number({ error: 'CONSULT_SECONDS must be a number of seconds' })
    .min(0.1)
    .max(60)
    .default(5),
  /** Adds the enquiries of the demonstration at the start. */
  SOUNDING_DEMO: z.enum(['yes', 'no']).default('no'),
});

/** Settings of the server, from the environment. */
export type Config = z.infer<typeof configSchema>;

/** Reads the settings; the error lists everything that is wrong in words for the operator. */
export function readConfig(environment: NodeJS.ProcessEnv): Result<Config, string> {
  const parsed = configSchema.safeParse(environment);
  return parsed.success
    ? ok(parsed.data)
    : fail(parsed.error.issues.map(({ message }) => message).join('; '));
}
