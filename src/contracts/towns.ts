import { z } from 'zod';
import { countrySchema, stateSchema } from '../core/schema/place.ts';

/** A town, or the place of a postcode. */
export const townSchema = z.object({
  name: z.string(),
  country: countrySchema,
  /** Part of the country by ISO 3166-2; null where its parts have no rules of their own here. */
  state: stateSchema.nullable(),
  lat: z.number(),
  lon: z.number(),
});
export type Town = z.infer<typeof townSchema>;

/** Most towns of one answer. */
export const MAX_TOWNS = 8;

/** The towns that a search finds, the likeliest first. */
export const townsSchema = z.object({ towns: z.array(townSchema).max(MAX_TOWNS) });
export type Towns = z.infer<typeof townsSchema>;

/** Query of `GET /api/towns`: words as "Ellsworth", "Perth, Scotland" or a postcode of the United States or Canada; towns near the place come first. */
export const townQuerySchema = z.object({
  words: z.string().trim().min(2).max(80),
  lat: z.coerce.number().min(-90).max(90),
  lon: z.coerce.number().min(-180).max(180),
});
export type TownQuery = z.infer<typeof townQuerySchema>;
