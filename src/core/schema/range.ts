import { z } from 'zod';
import { idSchema, sourceRefSchema } from './common.ts';
import { countrySchema } from './place.ts';

/** A name for several countries. Shape of one entry of `knowledge/areas/*.yaml`. */
export const areaSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(3),
  countries: z.array(countrySchema).min(1),
  source: sourceRefSchema,
});
export type Area = z.infer<typeof areaSchema>;

/** Countries by ISO 3166, or areas. */
const whereSchema = z.array(idSchema);

/** Where a cause is known; in all other countries it is absent and watched for. */
export const rangeSchema = z.strictObject({
  established: whereSchema.min(1),
  spreading: whereSchema.default([]),
  /** Year of this knowledge. */
  asOf: z.number().int().min(1990).max(2100),
  source: sourceRefSchema,
});
export type Range = z.infer<typeof rangeSchema>;

/** How a cause stands in a country. */
export const PRESENCES = ['established', 'spreading', 'absent'] as const;
export type Presence = (typeof PRESENCES)[number];

/**
 * How a cause of this range stands in a country, by ISO 3166. Returns null where no range is known or the country is
 * not.
 */
export function presenceIn(
  range: Range | undefined,
  country: string | null,
  areas: ReadonlyMap<string, Area>,
): Presence | null {
  if (range === undefined || country === null) return null;
  const covers = (where: readonly string[]): boolean =>
    where.some((one) => one === country || areas.get(one)?.countries.includes(country));
  if (covers(range.established)) return 'established';
  return covers(range.spreading) ? 'spreading' : 'absent';
}
