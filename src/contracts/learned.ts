import { z } from 'zod';
import { CONFIRMATIONS } from '../core/diagnosis/learning.ts';
import { FOLLOWED, RESULTS } from './followUps.ts';
import { isoDateSchema } from './consult.ts';

/** Which outcomes are counted; what is left out does not narrow. */
export const learnedQuerySchema = z.strictObject({
  from: isoDateSchema.optional(),
  to: isoDateSchema.optional(),
  /** Counts only what was confirmed at least so. */
  confirmed: z.enum(CONFIRMATIONS).optional(),
});
export type LearnedQuery = z.infer<typeof learnedQuerySchema>;

const shareSchema = z.object({
  cases: z.number().int(),
  isTrue: z.number().int(),
  share: z.number().nullable(),
  low: z.number(),
  high: z.number(),
});

/** What was said when cases were closed, beside what proved true, from `GET /api/casebook/learned`. */
export const learnedSchema = z.object({
  /** Closed plants with an answer and an outcome. */
  cases: z.number().int(),
  /** How often the truth stood first, and among the first three. */
  first: shareSchema,
  amongThree: shareSchema,
  brier: z.number().nullable(),
  bins: z.array(
    shareSchema.extend({ from: z.number(), to: z.number(), said: z.number().nullable() }),
  ),
  /** By the cause that stood first, the most often said first. */
  causes: z.array(
    shareSchema.extend({
      cause: z.string(),
      /** Mean of how surely it was said. */
      said: z.number(),
      /** What it was instead, the most often first. */
      instead: z.array(z.object({ cause: z.string(), cases: z.number().int() })),
    }),
  ),
  /** By who closed the case; a person sees themselves, a coordinator everybody. */
  people: z.array(shareSchema.extend({ name: z.string() })),
  /** How plants did by how much of the advice was done, heard within the days. */
  followUps: z.array(
    z.object({
      followed: z.enum(FOLLOWED),
      results: z.array(z.object({ result: z.enum(RESULTS), cases: z.number().int() })),
    }),
  ),
});
export type Learned = z.infer<typeof learnedSchema>;
