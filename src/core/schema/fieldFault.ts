import { z } from 'zod';

/** Of an id, as it stands in the YAML files. */
export const ID_FORM = /^[a-z0-9]+(-[a-z0-9]+)*$/;
/** Of a country by ISO 3166, in small letters. */
export const COUNTRY_FORM = /^[a-z]{2}$/;
/** Of a part of a country without the country. */
export const STATE_FORM = /^[a-z0-9]{1,3}$/;
/** Of a country or a part of one by ISO 3166, in small letters. */
export const REGION_FORM = /^[a-z]{2}(-[a-z0-9]{1,3})?$/;

const strings = z.array(z.string());

/** What is wrong with a text of the library that has a form of its own; worded in `wording/libraryFaults.ts`. */
const fieldFaultSchema = z.discriminatedUnion('code', [
  z.strictObject({ code: z.literal('no-window'), text: z.string(), seasons: strings }),
  z.strictObject({ code: z.literal('not-a-word-of'), words: strings }),
  z.strictObject({ code: z.literal('plate-word'), word: z.string(), expected: strings }),
  z.strictObject({ code: z.literal('months-crossed') }),
  z.strictObject({ code: z.literal('id-form') }),
  z.strictObject({ code: z.literal('country-form') }),
  z.strictObject({ code: z.literal('state-form') }),
  z.strictObject({ code: z.literal('region-form') }),
  z.strictObject({ code: z.literal('no-pattern') }),
  z.strictObject({ code: z.literal('closed-season') }),
  z.strictObject({ code: z.literal('no-amount'), text: z.string(), units: strings }),
]);

export type FieldFault = Readonly<z.infer<typeof fieldFaultSchema>>;

/** The issue of a schema that carries a fault as data; {@link fieldFaultOf} reads it. */
export const fieldIssue = (fault: FieldFault) => ({ code: 'custom' as const, params: fault });

const FORMS: readonly (readonly [RegExp, FieldFault])[] = [
  [ID_FORM, { code: 'id-form' }],
  [COUNTRY_FORM, { code: 'country-form' }],
  [STATE_FORM, { code: 'state-form' }],
  [REGION_FORM, { code: 'region-form' }],
];

/** The fault that an issue stands for; null where Zod's own message says it all. */
export function fieldFaultOf(issue: z.core.$ZodIssue): FieldFault | null {
  if (issue.code === 'invalid_format')
    return FORMS.find(([form]) => String(form) === issue.pattern)?.[1] ?? null;
  return issue.code === 'custom' ? (fieldFaultSchema.safeParse(issue.params).data ?? null) : null;
}
