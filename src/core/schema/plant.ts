import { z } from 'zod';
import { COMMONNESS } from './scale.ts';
import { idSchema, plantIdSchema, sourceRefSchema, wordOf } from './common.ts';
import { coverOf, type RegionsByArea } from './region.ts';
import { windowSchema } from './window.ts';

/** What a plant is for the rules of advice; each trait is inherited from the parents unless set. */
export const traitsSchema = z.strictObject({
  /** Which part is eaten, or none. */
  edible: z.enum(['fruit', 'leaf', 'root', 'none']).optional(),
  woody: z.boolean().optional(),
  evergreen: z.boolean().optional(),
  indoors: z.boolean().optional(),
  /** Countries and their parts by ISO 3166, or areas, where it is grown out of doors though it is a house plant elsewhere. */
  outdoorsIn: z.array(idSchema).optional(),
  /** Grows beyond what can be reached from the ground. */
  tall: z.boolean().optional(),
  beeVisited: z.boolean().optional(),
  poisonous: z.boolean().optional(),
  /** Oils and soaps burn its leaves or take off their bloom. */
  oilSensitive: z.boolean().optional(),
  /** Wants a soil of about pH 5. */
  acidLoving: z.boolean().optional(),
  /** Leaves like blades, for the drawings. */
  narrowLeaf: z.boolean().optional(),
  /** When it is in flower, as a window; used to keep insecticide off open blossom. */
  bloom: windowSchema.optional(),
});

/** A taxon or a group of plants. Shape of one entry of `knowledge/plants/*.yaml`. */
export const plantSchema = z.strictObject({
  id: plantIdSchema,
  name: z.string().min(2),
  scientific: z.string().optional(),
  rank: z.enum(['group', 'family', 'genus', 'species']).default('species'),
  parents: z.array(plantIdSchema).default([]),
  /** Names people use, in singular; plurals and small slips are found without listing them. */
  names: z.array(z.string()).default([]),
  /** Names that are also ordinary words (olive, lime): counted only beside a word such as tree, bush or my. */
  ambiguous: z.array(z.string()).default([]),
  traits: traitsSchema.default({}),
  /** How often people ask about it; weighs the hosts when the plant is not known. */
  common: wordOf(COMMONNESS).default('occasional'),
  /** Set where the plant has no normal look that worries people. */
  normalLooks: z.literal('none').optional(),
  source: sourceRefSchema,
});

export type Plant = z.infer<typeof plantSchema>;
export type Traits = z.infer<typeof traitsSchema>;

/**
 * The traits of a plant in a region: a house plant that grows out of doors there is none, and what bees do is then not known. With null, for
 * a place that is not known, those of most places.
 */
export function traitsIn(traits: Traits, region: string | null, areas: RegionsByArea): Traits {
  const { indoors, outdoorsIn = [] } = traits;
  if (indoors !== true || region === null) return traits;
  if (coverOf(outdoorsIn, region, areas) !== 'whole') return traits;
  return { ...traits, indoors: false, beeVisited: undefined };
}
