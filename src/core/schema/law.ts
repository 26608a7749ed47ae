import { z } from 'zod';
import { causeIdSchema, idSchema, plantIdSchema, sourceRefSchema } from './common.ts';
import { fieldIssue } from './fieldFault.ts';
import type { Area } from './range.ts';

/** What steps do that the law of a place may rule. */
export const MATTERS = [
  /** A pesticide that organic gardeners would not use. */
  'synthetic-pesticide',
  'herbicide',
  'neonicotinoid',
  /** An insecticide poured on the soil. */
  'soil-drench',
  'lawn-insecticide',
  /** A hard cut of hedges, shrubs and trees. */
  'hard-pruning',
  /** Any cut of living wood. */
  'pruning',
  'felling',
  'trapping',
  'burning',
  'mowing-a-weed',
  'household-waste',
  'lawn-watering',
] as const;
export type Matter = (typeof MATTERS)[number];

/** What the law asks: never, only by those named in `who`, not on certain days, or to ask first. */
export const LAW_EFFECTS = ['forbids', 'licence', 'closed-season', 'ask-first'] as const;

/** Who knows the rule and gives leave. */
export const LAW_OFFICES = [
  'council',
  'pesticide-office',
  'plant-health-office',
  'wildlife-office',
  'fire-service',
  'water-supplier',
] as const;
export type LawOffice = (typeof LAW_OFFICES)[number];

/** A day of any year, "03-01". */
const dayOfYear = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/);

/** What differs from place to place by law. Shape of one entry of `knowledge/law/*.yaml`. */
export const lawSchema = z
  .strictObject({
    id: idSchema,
    /** Countries by ISO 3166, or areas. */
    where: z.array(idSchema).min(1),
    /** It holds in parts of these countries only. */
    inParts: z.boolean().default(false),
    matters: z.array(z.enum(MATTERS)).min(1),
    /** Causes that a step must be against for the law to hold; any where empty. */
    causes: z.array(causeIdSchema).default([]),
    /** Plants or groups that it holds for; any where empty. */
    plants: z.array(plantIdSchema).default([]),
    effect: z.enum(LAW_EFFECTS),
    /** First and last day of a closed season, of each year. */
    closed: z.strictObject({ from: dayOfYear, to: dayOfYear }).optional(),
    /** The rule in a sentence. */
    say: z.string().min(10),
    who: z.enum(LAW_OFFICES),
    /** Year of this knowledge. */
    asOf: z.number().int().min(1990).max(2100),
    source: sourceRefSchema,
  })
  .refine((law) => (law.effect === 'closed-season') === (law.closed !== undefined), {
    ...fieldIssue({ code: 'closed-season' }),
    path: ['closed'],
  });
export type Law = z.infer<typeof lawSchema>;

/**
 * The laws of a country, by ISO 3166; empty where it has none. With null, for a place whose country is not known, all of them: the strictest
 * holds.
 */
export function lawsOf(
  laws: readonly Law[],
  country: string | null,
  areas: ReadonlyMap<string, Area>,
): readonly Law[] {
  if (country === null) return laws;
  return laws.filter(({ where }) =>
    where.some((one) => one === country || areas.get(one)?.countries.includes(country)),
  );
}
