import { z } from 'zod';
import { idSchema } from './common.ts';

/** A published work. `recalled` says that it was written from memory and not read for this entry. */
export const sourceSchema = z.strictObject({
  id: idSchema,
  author: z.string(),
  title: z.string(),
  publisher: z.string(),
  year: z.number().int().min(1700).max(2100),
  recalled: z.boolean(),
});

export type Source = z.infer<typeof sourceSchema>;

/** Sources that are no published work: common practice, and our own estimate. */
export const UNPUBLISHED = ['practice', 'judgement'] as const;
