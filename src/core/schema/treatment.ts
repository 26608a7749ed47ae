import { z } from 'zod';
import { amountSchema, MEASURES } from './amount.ts';
import { MATTERS } from './law.ts';
import { BURDEN } from './scale.ts';
import { sourceRefSchema, treatmentIdSchema, wordOf } from './common.ts';
import { windowSchema } from './window.ts';

/** The ladder, from the least to the most drastic. */
export const RUNGS = [
  'leave',
  'hand',
  'conditions',
  'biological',
  'low-toxicity',
  'conventional',
  'professional',
  'replace',
] as const;
export type Rung = (typeof RUNGS)[number];

/** What kind of pest a product kills; a practice has none. */
export const PRODUCT_CLASSES = [
  'insecticide',
  'miticide',
  'molluscicide',
  'fungicide',
  'bactericide',
  'herbicide',
  'rodenticide',
  'repellent',
  'nutrient',
] as const;
export type ProductClass = (typeof PRODUCT_CLASSES)[number];

/** Weather outside which the treatment fails or harms. */
export const limitsSchema = z.strictObject({
  maxCelsius: z.number().optional(),
  minCelsius: z.number().optional(),
  maxWindKmh: z.number().optional(),
  rainFreeHours: z.number().optional(),
  timeOfDay: z.enum(['morning', 'evening', 'any']).default('any'),
});

const HAZARDS = {
  /** Product classes this treatment acts as; empty for a practice. */
  classes: z.array(z.enum(PRODUCT_CLASSES)).default([]),
  /** May be used by people who garden organically (common practice; local rules decide). */
  organic: z.boolean().default(true),
  systemic: z.boolean().default(false),
  restricted: z.boolean().default(false),
  oilOrSoap: z.boolean().default(false),
  /** Work above head height on a tall plant. */
  aloft: z.boolean().default(false),
  /** Dangerous to dogs, cats or children who find it. */
  petHazard: z.boolean().default(false),
  /** How a product is put to use: only a spray reaches open blossom. */
  applied: z.enum(['spray', 'soil', 'bait', 'trunk', 'water']).default('spray'),
  /** What it does that the law of a place may rule; what follows from the fields above is not named. */
  matters: z.array(z.enum(MATTERS)).default([]),
};
const WHO = z
  .enum(['anyone', 'arborist', 'licensed', 'wildlife', 'pest-control'])
  .default('anyone');

/** What the rules of safety go by, of treatments and of the steps of care alike. */
export const hazardsSchema = z.strictObject({ ...HAZARDS, who: WHO });

/** A practice or an active ingredient. No application rate: that stands on the label. */
export const treatmentSchema = z.strictObject({
  id: treatmentIdSchema,
  name: z.string().min(3),
  rung: z.enum(RUNGS),
  ...HAZARDS,
  /** Active ingredients of such products, as labels name them. */
  ingredients: z.array(z.string().min(3)).default([]),
  /** Mode-of-action group as printed on labels, for example "FRAC M5". */
  modeOfAction: z.string().optional(),
  who: WHO,
  /** What to do, in plain words. */
  text: z.string().min(10),
  when: windowSchema.optional(),
  limits: limitsSchema.optional(),
  /** How much, how often, how deep, for how long; not what stands on a label. */
  amount: amountSchema.optional(),
  measure: z.enum(MEASURES).optional(),
  repeat: z.strictObject({ everyDays: z.number().int(), times: z.number().int() }).optional(),
  cautions: z.array(z.string()).default([]),
  effort: wordOf(BURDEN).default('low'),
  money: wordOf(BURDEN).default('none'),
  source: sourceRefSchema,
});

export type Treatment = z.infer<typeof treatmentSchema>;
export type Limits = z.infer<typeof limitsSchema>;
