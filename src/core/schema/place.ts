import { z } from 'zod';
import { entryAt } from '../util/entryAt.ts';
import { placeIdSchema, sourceRefSchema } from './common.ts';
import { COUNTRY_FORM, STATE_FORM, fieldIssue } from './fieldFault.ts';

/** A country by ISO 3166. */
export const countrySchema = z.string().regex(COUNTRY_FORM);

/** A part of a country by ISO 3166-2, without the country: "me" of "us-me". */
export const stateSchema = z.string().regex(STATE_FORM);

const monthly = z.array(z.number()).length(12);

/** Monthly climate normals of a reference place. Shape of one entry of `knowledge/places/*.yaml`. */
export const placeSchema = z
  .strictObject({
    id: placeIdSchema,
    name: z.string(),
    country: countrySchema,
    /** Part of the country by ISO 3166-2, without the country. */
    state: stateSchema.optional(),
    climate: z.string(),
    latitude: z.number().min(-90).max(90),
    longitude: z.number().min(-180).max(180),
    elevationMetres: z.number(),
    /** Mean daily minimum and maximum in Celsius, and rain in millimetres, for each month. */
    minCelsius: monthly,
    maxCelsius: monthly,
    rainMillimetres: monthly,
    source: sourceRefSchema,
  })
  .refine(
    (place) => place.minCelsius.every((low, month) => low < entryAt(place.maxCelsius, month)),
    {
      ...fieldIssue({ code: 'months-crossed' }),
      path: ['minCelsius'],
    },
  );

export type Place = z.infer<typeof placeSchema>;
