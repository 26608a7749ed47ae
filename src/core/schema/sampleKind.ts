import { z } from 'zod';
import { CATEGORIES } from './cause.ts';
import { causeIdSchema, idSchema, sourceRefSchema } from './common.ts';
import { PARTS } from './finding.ts';

/** What comes back: a name of what was found, or figures. */
export const SAMPLE_SORTS = ['specimen', 'soil', 'leaf', 'water'] as const;
export type SampleSort = (typeof SAMPLE_SORTS)[number];

/** Causes that a kind of sample suits: those named, and those of these categories that show on these parts (on any, where none is named). */
const suitsSchema = z.strictObject({
  categories: z.array(z.enum(CATEGORIES)),
  parts: z.array(z.enum(PARTS)),
  causes: z.array(causeIdSchema).default([]),
});

const lines = z.array(z.string().min(10)).min(1);

/** One kind of sample. Shape of one entry of `knowledge/samples/*.yaml`. */
export const sampleKindSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(3),
  sort: z.enum(SAMPLE_SORTS),
  take: lines,
  pack: lines,
  send: z.string().min(10),
  /** After how many days an answer mostly comes, the shortest and the longest. */
  days: z.tuple([z.number().int().min(0), z.number().int().max(120)]),
  for: suitsSchema,
  source: sourceRefSchema,
});
export type SampleKind = z.infer<typeof sampleKindSchema>;
