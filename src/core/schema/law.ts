import { z } from 'zod';
import { causeIdSchema, idSchema, plantIdSchema, sourceRefSchema } from './common.ts';
import { fieldIssue } from './fieldFault.ts';
import { coverOf, type RegionsByArea } from './region.ts';

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
  /** A clean cut of what is broken, which cannot wait for a season. */
  'cutting-breaks',
  'felling',
  'trapping',
  'burning',
  'mowing-a-weed',
  'household-waste',
  'lawn-watering',
  'lawn-feeding',
  /** A plant that is there: no step, but said of every plan for it. */
  'growing-the-plant',
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
    /** Countries and their parts by ISO 3166, or areas. */
    where: z.array(idSchema).min(1),
    /** It holds in towns or other parts of these regions that have no code. */
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

/** How far a law holds at a place: there, in parts that have no code, or nobody can say for want of its state or country. */
export const LAW_SCOPES = ['there', 'in-parts', 'state-unknown', 'country-unknown'] as const;
export type LawScope = (typeof LAW_SCOPES)[number];

/** A law that concerns a place, and how far. */
export interface LawHere {
  readonly law: Law;
  readonly scope: LawScope;
}

function scopeOf(
  { where, inParts }: Law,
  region: string | null,
  areas: RegionsByArea,
): LawScope | null {
  if (region === null) return 'country-unknown';
  switch (coverOf(where, region, areas)) {
    case 'whole':
      return inParts ? 'in-parts' : 'there';
    case 'part':
      return 'state-unknown';
    case 'none':
      return null;
  }
}

/**
 * The laws of a region, see {@link coverOf}; empty where it has none. In a country whose state is not known those of all its
 * states, and with null, for a place whose country is not known, all laws: the strictest holds.
 */
export const lawsOf = (
  laws: readonly Law[],
  region: string | null,
  areas: RegionsByArea,
): readonly LawHere[] =>
  laws.flatMap((law) => {
    const scope = scopeOf(law, region, areas);
    return scope === null ? [] : [{ law, scope }];
  });
