import { amountSchema, MEASURES } from './amount.ts';
import { z } from 'zod';
import { COMMONNESS, EFFECT, FREQUENCY, HARM, SUSCEPTIBILITY } from './scale.ts';
import {
  causeIdSchema,
  findingIdSchema,
  plantIdSchema,
  sourceRefSchema,
  treatmentIdSchema,
  wordOf,
} from './common.ts';
import { forKinds } from './kinds.ts';
import { rangeSchema } from './range.ts';
import { RUNGS, stepSafetySchema } from './treatment.ts';
import { windowSchema } from './window.ts';

/** Culprits that live and breed; under a roof they do so all year. */
const LIVING = [
  'insect',
  'mite',
  'mollusc',
  'nematode',
  'fungus',
  'oomycete',
  'bacterium',
  'virus',
] as const;

export const CATEGORIES = [
  ...LIVING,
  'vertebrate',
  'weed',
  'nutrient',
  'water',
  'temperature',
  'light',
  'chemical',
  'mechanical',
  'care',
  'normal',
] as const;
export type Category = (typeof CATEGORIES)[number];

/** True when a cause keeps no season on a plant that is grown indoors. */
export function isSeasonless(category: Category, indoors: boolean | undefined): boolean {
  return indoors === true && LIVING.some((one) => one === category);
}

export const harmSchema = z.strictObject({
  looks: wordOf(HARM).default('none'),
  yield: wordOf(HARM).default('none'),
  plant: wordOf(HARM).default('none'),
  neighbours: wordOf(HARM).default('none'),
  people: wordOf(HARM).default('none'),
  /** How fast the harm grows if nothing is done. */
  pace: z.enum(['days', 'weeks', 'months', 'years', 'none']).default('none'),
});

/** One treatment of a cause: how well it works, when, and how to say it for this cause. */
export const optionSchema = z.strictObject({
  use: treatmentIdSchema,
  effect: wordOf(EFFECT),
  when: windowSchema.optional(),
  text: z.string().optional(),
  /** In place of that of the treatment. */
  amount: amountSchema.optional(),
  measure: z.enum(MEASURES).optional(),
  ...forKinds,
});

/** One stage of the culprit's life; `shows` lists findings that can be seen only then. */
export const stageSchema = z.strictObject({
  name: z.string(),
  when: windowSchema,
  shows: z.array(findingIdSchema).default([]),
  /** Where its dates come from, where that is not the source of the cause. */
  source: sourceRefSchema.optional(),
});

const avoidSchema = z.strictObject({ text: z.string(), why: z.string() });

/** A window and kinds of plant, and what holds for them; at any time and for all plants where absent. */
const circumstanceSchema = z.strictObject({
  when: windowSchema.optional(),
  ...forKinds,
  why: z.string().min(10),
});
export type Circumstance = z.infer<typeof circumstanceSchema>;

/** A pest, disease, shortage, condition or normal look. Shape of one entry of `knowledge/causes/*.yaml`. */
export const causeSchema = z.strictObject({
  id: causeIdSchema,
  name: z.string().min(3),
  scientific: z.string().optional(),
  aliases: z.array(z.string()).default([]),
  category: z.enum(CATEGORIES),
  hosts: z.record(plantIdSchema, wordOf(SUSCEPTIBILITY)),
  common: wordOf(COMMONNESS),
  findings: z.record(findingIdSchema, wordOf(FREQUENCY)),
  /** Causes that this one invites. */
  leadsTo: z.array(causeIdSchema).default([]),
  /** The year it was first found or described, where that is recent: no earlier work can speak of it. */
  knownSince: z.number().int().min(1900).max(2100).optional(),
  /** Where it is known; everywhere, as far as the library knows, where absent. */
  range: rangeSchema.optional(),
  /** When it can be seen; out of this window it is less likely, not impossible. */
  seen: windowSchema.default({ kind: 'any' }),
  stages: z.array(stageSchema).default([]),
  /** Set where neither the cause nor what is done about it has a season. */
  timing: z.literal('none').optional(),
  harm: harmSchema,
  lookAlikes: z.array(z.strictObject({ id: causeIdSchema, tells: z.string() })).default([]),
  /** One sentence to say aloud. */
  say: z.string().min(10),
  /** Why it may be left alone; set where no treatment is needed. */
  leave: z.string().optional(),
  /** On what plants and in which part of the year it may be left alone, and why. */
  leaveOn: z.array(circumstanceSchema).default([]),
  /** From when on, and on what plants, nothing more helps it this year, and why; always and on all where absent. */
  pastHelp: circumstanceSchema.optional(),
  treatments: z.array(optionSchema).default([]),
  avoid: z.array(avoidSchema).default([]),
  /** What to expect, and what would mean the cause was another. */
  expect: z.string().optional(),
  /** Sample or visit that confirms it, where being wrong is costly. */
  confirm: z.string().optional(),
  cautions: z.array(z.string()).default([]),
  /** When to look again, in days from the advice; the check of the library asks for it. */
  lookAgainDays: z.number().int().min(1).max(400).optional(),
  source: sourceRefSchema,
});

/** A question with no culprit. Shape of one entry of `knowledge/care/*.yaml`. */
export const careTopicSchema = z.strictObject({
  id: causeIdSchema,
  name: z.string().min(3),
  aliases: z.array(z.string()).default([]),
  hosts: z.record(plantIdSchema, wordOf(SUSCEPTIBILITY)),
  phrases: z.array(z.string()).min(1),
  say: z.string().min(10),
  steps: z
    .array(
      z.strictObject({
        text: z.string().min(10),
        rung: z.enum(RUNGS),
        ...stepSafetySchema.shape,
        when: windowSchema.optional(),
        amount: amountSchema.optional(),
        measure: z.enum(MEASURES).optional(),
        ...forKinds,
      }),
    )
    .min(1),
  avoid: z.array(avoidSchema).default([]),
  cautions: z.array(z.string()).default([]),
  lookAgainDays: z.number().int().min(1).max(400).default(60),
  source: sourceRefSchema,
});

export type Cause = z.infer<typeof causeSchema>;
export type CareTopic = z.infer<typeof careTopicSchema>;
export type TreatmentOption = z.infer<typeof optionSchema>;
export type Harm = z.infer<typeof harmSchema>;
