import { z } from 'zod';
import { countrySchema, stateSchema } from '../core/schema/place.ts';
import { parseDay } from '../core/timing/calendar.ts';
import { fail, ok, type Result } from '../core/util/result.ts';

const MIN_SECRET = 32;

const listed = (name: string) =>
  z
    .string({ error: `${name} must be a list separated by commas` })
    .default('')
    .transform((text) =>
      text
        .split(',')
        .map((one) => one.trim())
        .filter((one) => one !== ''),
    );

const configSchema = z.object({
  DATABASE_URL: z
    .string({ error: 'set DATABASE_URL to a PostgreSQL address, or start with npm run demo' })
    .min(1),
  /** Address by a role that owns the tables, where the server's own one may not change their form. */
  MIGRATE_URL: z.string().min(1).optional(),
  /** Address of a replica on which the casebook is searched; never read where it lags behind. */
  REPLICA_URL: z.string().min(1).optional(),
  /** Address on which changes are heard, where DATABASE_URL leads through a pool; else that one. */
  LISTEN_URL: z.string().min(1).optional(),
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
  /** State or province of the clinic in that country, by which its law goes; left out, the strictest rules hold. */
  SOUNDING_STATE: stateSchema.optional(),
  /** Longest time of one consultation; a longer one is refused. */
  CONSULT_SECONDS: z.coerce
    .number({ error: 'CONSULT_SECONDS must be a number of seconds' })
    .min(0.1)
    .max(60)
    .default(5),
  /** Adds the enquiries of the demonstration at the start, and lets people of it sign in by being chosen. */
  SOUNDING_DEMO: z.enum(['yes', 'no']).default('no'),
  /** Secrets that sign the cookies of sessions, separated by commas; the first signs, the others are still read. */
  SESSION_SECRETS: listed('SESSION_SECRETS').refine(
    (secrets) => secrets.length > 0 && secrets.every(({ length }) => length >= MIN_SECRET),
    {
      error: `set SESSION_SECRETS to a secret of at least ${MIN_SECRET} characters, as "openssl rand -hex 32" makes one`,
    },
  ),
  /** Names by which the server is reached besides localhost, separated by commas. */
  SOUNDING_HOSTS: listed('SOUNDING_HOSTS'),
  /** Proxies in front of the server: how many, or their addresses; 0 for none. */
  TRUST_PROXY: z.string().default('0'),
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
