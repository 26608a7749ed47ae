import { z } from 'zod';
import { BACKGROUND } from './scale.ts';
import { findingIdSchema, idSchema, sourceRefSchema, wordOf } from './common.ts';
import { forKinds } from './kinds.ts';
import { plateSchema } from './plate.ts';

export const PARTS = [
  'whole',
  'leaf',
  'needle',
  'flower',
  'fruit',
  'stem',
  'trunk',
  'root',
  'bulb',
  'soil',
  'turf',
  'around',
  'history',
] as const;
export type Part = (typeof PARTS)[number];

/** One observable thing. Shape of one entry of `knowledge/findings/*.yaml`. */
export const findingSchema = z.strictObject({
  id: findingIdSchema,
  part: z.enum(PARTS),
  kind: z.enum(['symptom', 'sign', 'pattern', 'context', 'test']),
  label: z.string().min(3),
  /** Plain words, ready to read aloud. */
  question: z.string().endsWith('?'),
  how: z.string().optional(),
  /** Time the question costs on the telephone, in seconds. */
  seconds: z.number().int().min(3).max(600).default(10),
  needs: z.enum(['ask', 'look', 'tool', 'lab']).default('ask'),
  background: wordOf(BACKGROUND),
  /** A more general finding that this one implies. */
  isA: z.array(findingIdSchema).default([]),
  /** Exclusive group: at most one finding of the group holds for a plant. */
  group: idSchema.optional(),
  /** Enquirers mention it unasked when it is there, so silence counts a little against it. */
  noticeable: z.boolean().default(false),
  /** May be put as a question, and of which kinds of plant. */
  askable: z.boolean().default(true),
  ...forKinds,
  /** Asked only of a plant that stands in a pot. */
  inPot: z.boolean().default(false),
  /** Asked for the sake of safe advice, so no cause needs to show it. */
  forAdvice: z.boolean().default(false),
  /** Ways people say it, in the phrase language of language/phrase.ts. */
  phrases: z.array(z.string()).default([]),
  /** What its drawing shows, read by `readPlate`; `none` where words say it all. */
  plate: plateSchema.optional(),
  source: sourceRefSchema,
});

/** Findings of which one at most holds, asked as one question. */
export const findingGroupSchema = z.strictObject({
  id: idSchema,
  question: z.string().endsWith('?'),
  how: z.string().optional(),
  seconds: z.number().int().min(3).max(600).default(12),
  /** Its findings in the order in which they are read out. */
  choices: z.array(findingIdSchema).default([]),
  source: sourceRefSchema,
});

/** Words that mean the same to the phrase matcher: `pale: [yellow, yellowish, light]`. */
export const wordClassesSchema = z.record(idSchema, z.array(z.string()).min(1));

export type Finding = z.infer<typeof findingSchema>;
export type FindingGroup = z.infer<typeof findingGroupSchema>;
