import {
  causeIdSchema,
  findingIdSchema,
  idSchema,
  placeIdSchema,
  plantIdSchema,
} from './common.ts';

/**
 * Ids of the library that the code itself names. Renaming one in the library would silence a rule, so that
 * `npm run check:knowledge` and every start refuse a library in which one of them is missing.
 */
export const RELIED_ON = {
  /** Findings that the safety rules look for. */
  findings: {
    inBloom: findingIdSchema.parse('plant-in-bloom'),
    heat: findingIdSchema.parse('hot-spell'),
    dry: findingIdSchema.parse('soil-dry'),
    pets: findingIdSchema.parse('pets-or-children'),
    water: findingIdSchema.parse('near-open-water'),
    tall: findingIdSchema.parse('tall-plant'),
    newlyPlanted: findingIdSchema.parse('newly-planted'),
    little: findingIdSchema.parse('extent-little'),
    some: findingIdSchema.parse('extent-some'),
    much: findingIdSchema.parse('extent-much'),
    over: findingIdSchema.parse('extent-over'),
    acid: findingIdSchema.parse('acid-soil'),
    alkaline: findingIdSchema.parse('alkaline-soil'),
    muchPhosphorus: findingIdSchema.parse('test-phosphorus-high'),
    salty: findingIdSchema.parse('test-salts-high'),
    potted: findingIdSchema.parse('potted'),
  },
  /** The question of care that is asked where a test report is read out. */
  careTopics: { readTest: causeIdSchema.parse('care-read-test') },
  /** The group that asks how much is affected. */
  groups: { extent: idSchema.parse('extent') },
  /** The group whose names say where on it something is: "moss in the lawn". */
  plants: { lawn: plantIdSchema.parse('turf'), indoors: plantIdSchema.parse('house-plant') },
  /** The place whose dates a window without a place of its own is written for. */
  places: { reference: placeIdSchema.parse('columbus') },
} as const;
