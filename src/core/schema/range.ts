import { z } from 'zod';
import { idSchema, sourceRefSchema } from './common.ts';
import { coverOf, regionSchema, type RegionsByArea } from './region.ts';

/** A name for several regions. Shape of one entry of `knowledge/areas/*.yaml`. */
export const areaSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(3),
  regions: z.array(regionSchema).min(1),
  source: sourceRefSchema,
});
export type Area = z.infer<typeof areaSchema>;

/** Countries and their parts by ISO 3166, or areas. */
const whereSchema = z.array(idSchema);

/** Where a cause is known; everywhere else it is absent and watched for. */
export const rangeSchema = z.strictObject({
  established: whereSchema.min(1),
  spreading: whereSchema.default([]),
  /** Where nobody has looked, or reports differ: neither expected nor ruled out. */
  unknown: whereSchema.default([]),
  /** Year of this knowledge. */
  asOf: z.number().int().min(1990).max(2100),
  source: sourceRefSchema,
});
export type Range = z.infer<typeof rangeSchema>;

/** How a cause stands in a region. */
export const PRESENCES = ['established', 'spreading', 'absent'] as const;
export type Presence = (typeof PRESENCES)[number];

/**
 * How a cause of this range stands in a region, see {@link regionSchema}; in a country whose state is not known, as in the
 * worst of its states. Returns null where no range is known, the region is not, or the range says that nobody knows.
 */
export function presenceIn(
  range: Range | undefined,
  region: string | null,
  areas: RegionsByArea,
): Presence | null {
  if (range === undefined || region === null) return null;
  const covers = (where: readonly string[]): boolean => coverOf(where, region, areas) !== 'none';
  if (covers(range.established)) return 'established';
  if (covers(range.spreading)) return 'spreading';
  return covers(range.unknown) ? null : 'absent';
}
