import { z } from 'zod';
import { idSchema, sourceRefSchema } from './common.ts';

/** Something on which practitioners differ. Shape of one entry of `knowledge/views/*.yaml`. */
export const viewSchema = z.strictObject({
  id: idSchema,
  /** What it is about, as a heading. */
  over: z.string().min(5),
  /** What is advised here unless the enquirer wants it otherwise. */
  here: z.string().min(10),
  others: z.string().min(10),
  why: z.string().min(10),
  /** Causes, treatments and care topics that it belongs to. */
  about: z.array(idSchema).min(1),
  source: sourceRefSchema,
});

export type View = z.infer<typeof viewSchema>;
