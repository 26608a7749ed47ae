import { z } from 'zod';
import { idSchema, sourceRefSchema } from './common.ts';
import { fieldIssue } from './fieldFault.ts';

/** Whom to call. */
export const CALLS = [
  'emergency',
  'fire',
  'poison',
  'vet',
  'electric',
  'gas',
  'water',
  'environment',
  'arborist',
  'plant-health',
  'pest-control',
] as const;
export type Call = (typeof CALLS)[number];

/** A list of words in a pattern, as `{animal}`. */
export const LIST = /\{([a-z]\w*)\}/g;

const isPattern = (text: string): boolean => {
  try {
    return new RegExp(text.replace(LIST, 'x')).source !== '';
  } catch {
    return false;
  }
};
const pattern = z.string().refine(isPattern, fieldIssue({ code: 'no-pattern' }));

/** Something that comes before any diagnosis. Shape of one entry of `knowledge/dangers/*.yaml`. */
export const dangerSchema = z.strictObject({
  id: idSchema,
  /** Of several dangers the one of the least order comes first. */
  order: z.number().int().min(1),
  name: z.string().min(3),
  /** Any one of them shows the danger; each is a list of patterns that all stand in one sentence. */
  signs: z.array(z.array(pattern).min(1)).min(1),
  /** A sentence with this reports no such danger. */
  unless: pattern.optional(),
  /** A name is enough, also in a question or a supposition. */
  anySense: z.boolean().default(false),
  /** What to do in the next minutes, to say aloud. */
  say: z.string().min(20),
  call: z.array(z.enum(CALLS)).min(1),
  source: sourceRefSchema,
});
export type Danger = z.infer<typeof dangerSchema>;

const contactSchema = z.strictObject({ who: z.string().min(3), number: z.string().optional() });

/** Whom to call in a country, or anywhere. Shape of one entry of `knowledge/contacts/*.yaml`. */
export const contactsSchema = z.strictObject({
  /** The country by ISO 3166, two small letters, or `any`. */
  id: idSchema,
  name: z.string(),
  calls: z.partialRecord(z.enum(CALLS), contactSchema),
  source: sourceRefSchema,
});
export type Contacts = z.infer<typeof contactsSchema>;
