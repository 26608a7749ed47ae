import { z } from 'zod';
import { findingIdSchema, idSchema, sourceRefSchema } from './common.ts';

/** One act of looking and what it shows all at once. Shape of one entry of `knowledge/looks/*.yaml`. */
export const lookSchema = z.strictObject({
  id: idSchema,
  /** What to do, to say aloud. */
  say: z.string().min(10),
  /** Time the act costs on the telephone, in seconds. */
  seconds: z.number().int().min(3).max(600),
  shows: z.array(findingIdSchema).min(2),
  source: sourceRefSchema,
});

export type Look = z.infer<typeof lookSchema>;
