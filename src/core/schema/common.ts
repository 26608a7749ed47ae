import { z } from 'zod';
import { fieldIssue, ID_FORM } from './fieldFault.ts';

/** A stable kebab-case id, as it stands in the YAML files. */
export const idSchema = z.string().regex(ID_FORM);

export const plantIdSchema = idSchema.brand<'PlantId'>();
export const findingIdSchema = idSchema.brand<'FindingId'>();
export const causeIdSchema = idSchema.brand<'CauseId'>();
export const treatmentIdSchema = idSchema.brand<'TreatmentId'>();
export const placeIdSchema = idSchema.brand<'PlaceId'>();

export type PlantId = z.infer<typeof plantIdSchema>;
export type FindingId = z.infer<typeof findingIdSchema>;
export type CauseId = z.infer<typeof causeIdSchema>;
export type TreatmentId = z.infer<typeof treatmentIdSchema>;
export type PlaceId = z.infer<typeof placeIdSchema>;

/** `practice`, `judgement`, or the id of a published work listed in sources.yaml. */
export const sourceRefSchema = idSchema;

/**
 * An enum schema of the words of a verbal scale, which map to probabilities or points. Parsing rejects every other
 * word.
 */
export function wordOf<K extends string>(scale: Readonly<Record<K, number>>): z.ZodType<K> {
  const words = Object.keys(scale);
  return z.custom<K>(
    (value) => typeof value === 'string' && words.includes(value),
    fieldIssue({ code: 'not-a-word-of', words }),
  );
}
