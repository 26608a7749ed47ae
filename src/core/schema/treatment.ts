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

/** What makes a treatment dangerous, and for whom. */
export const HAZARDS = [
  /** Dogs, cats or children who find it and eat it. */
  'pets',
  /** Eyes, skin, lungs or limbs of who does it. */
  'people',
  'bees',
  /** Birds, bats, snakes and harmless insects. */
  'wildlife',
  /** Fish and what else lives in water. */
  'water',
  /** Plants beside the one that is meant, or that one by too much. */
  'plants',
  /** Work above head height on a tall plant. */
  'aloft',
  /** An oil or a soap, which burns leaves in heat and on some plants. */
  'oil-or-soap',
  /** The plant takes it up into leaf, nectar and fruit. */
  'systemic',
] as const;
export type Hazard = (typeof HAZARDS)[number];

const classesSchema = z.array(z.enum(PRODUCT_CLASSES));
const hazardListSchema = z.array(z.enum(HAZARDS));
const mattersSchema = z.array(z.enum(MATTERS));
const whoSchema = z.enum(['anyone', 'arborist', 'licensed', 'wildlife', 'pest-control']);

/** What the rules of safety go by, of a step of a care topic; most of those use no product. */
export const stepSafetySchema = z.strictObject({
  classes: classesSchema.default([]),
  organic: z.boolean().default(true),
  hazards: hazardListSchema.default([]),
  matters: mattersSchema.default([]),
  who: whoSchema.default('anyone'),
});

/**
 * A practice or an active ingredient. No application rate: that stands on the label. Nothing that safety hangs on has a
 * default; the check asks for the amount, and for how often where it is a product.
 */
export const treatmentSchema = z.strictObject({
  id: treatmentIdSchema,
  name: z.string().min(3),
  rung: z.enum(RUNGS),
  who: whoSchema,
  /** Product classes this treatment acts as; empty for a practice. */
  classes: classesSchema,
  /** May be used by people who garden organically (common practice; local rules decide). */
  organic: z.boolean(),
  hazards: hazardListSchema,
  /** How a product is put to use: only a spray reaches open blossom. Left out of a practice. */
  applied: z.enum(['spray', 'soil', 'bait', 'trunk', 'water']).optional(),
  /** Active ingredients of such products, as labels name them. */
  ingredients: z.array(z.string().min(3)).default([]),
  /** Mode-of-action group as printed on labels, for example "FRAC M5". */
  modeOfAction: z.string().optional(),
  /** What to do, in plain words. */
  text: z.string().min(10),
  when: windowSchema.optional(),
  /** Null where the weather does not matter. */
  limits: limitsSchema.nullable(),
  /** How much, how often, how deep, for how long; not what stands on a label. */
  amount: amountSchema.optional(),
  measure: z.enum(MEASURES).optional(),
  /** What it does that the law of a place may rule; what follows from the fields above is not named. */
  matters: mattersSchema,
  cautions: z.array(z.string()),
  effort: wordOf(BURDEN),
  money: wordOf(BURDEN),
  source: sourceRefSchema,
});

export type Treatment = z.infer<typeof treatmentSchema>;
export type Limits = z.infer<typeof limitsSchema>;
