import { z } from 'zod';
import { placeIdSchema, sourceRefSchema } from './common.ts';

const monthly = z.array(z.number()).length(12, 'twelve monthly values, January first');

/** Monthly climate normals of a reference place. Shape of one entry of `knowledge/places/*.yaml`. */
export const placeSchema = z
  .strictObject({
    id: placeIdSchema,
    name: z.string(),
    /** By ISO 3166, two small letters. */
    country: z.string().regex(/^[a-z]{2}$/, 'two small letters'),
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
    (place) => place.minCelsius.every((low, month) => low < (place.maxCelsius[month] ?? low)),
    {
      error: 'each monthly minimum is below the maximum of the same month',
      path: ['minCelsius'],
    },
  );

export type Place = z.infer<typeof placeSchema>;
