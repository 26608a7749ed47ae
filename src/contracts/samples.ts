import { z } from 'zod';
import { isoDateSchema } from './consult.ts';
import { textSchema } from './storableText.ts';

/** Longest name of a laboratory, and longest report that is kept, in characters. */
export const MAX_LABORATORY = 120;
export const MAX_REPORT = 6000;
/** Most samples of a plant. */
export const MAX_SAMPLES = 20;

const id = textSchema(80).min(1);

/** `found` and `not-found` are about one cause; `report` is figures, as of a soil test. */
export const RESULT_KINDS = ['found', 'not-found', 'report'] as const;
export type ResultKind = (typeof RESULT_KINDS)[number];

/** What a laboratory answered. */
export const sampleResultSchema = z.strictObject({
  on: isoDateSchema,
  kind: z.enum(RESULT_KINDS),
  /** What was looked for and found, or not; null for figures. */
  cause: id.nullable(),
  /** In the words of the laboratory, or how it was found. */
  text: textSchema(MAX_REPORT),
});
export type SampleResult = z.infer<typeof sampleResultSchema>;

/** The parts of a sample that are filled in as it goes its way. */
const onItsWay = {
  /** Day on which it was sent, or handed in; null before. */
  sentOn: isoDateSchema.nullable(),
  laboratory: textSchema(MAX_LABORATORY),
  /** Day by which an answer is looked for; null where it is not known. */
  dueOn: isoDateSchema.nullable(),
  /** What it costs, in the money of the clinic; null where it is not known. */
  cost: z.number().min(0).max(100_000).nullable(),
};

/** A sample of a plant: what is taken, for which suspicions, where it is, and what came of it. */
export const sampleSchema = z.strictObject({
  id: z.uuid(),
  /** Kind of sample, an id of the library. */
  kind: id,
  /** Causes that it is to decide about, the likeliest first. */
  suspects: z.array(id).max(6),
  askedOn: isoDateSchema,
  ...onItsWay,
  result: sampleResultSchema.nullable(),
});
export type Sample = z.infer<typeof sampleSchema>;

/** What changes of a sample: the fields that it names. */
export const sampleChangeSchema = z.strictObject({
  sentOn: onItsWay.sentOn.optional(),
  laboratory: onItsWay.laboratory.optional(),
  dueOn: onItsWay.dueOn.optional(),
  cost: onItsWay.cost.optional(),
  result: sampleResultSchema.nullable().optional(),
});
export type SampleChange = z.infer<typeof sampleChangeSchema>;

/** Letters and digits that are not mistaken for each other when written by hand. */
const SIGNS = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const SIGNS_OF_NUMBER = 3;

/** What stands on the label: the number of the case and three signs of the sample's id, as `482-7K3`. */
export function sampleNumber(caseNumber: number, { id: sample }: Pick<Sample, 'id'>): string {
  let rest = Number.parseInt(sample.replaceAll('-', '').slice(-8), 16);
  let signs = '';
  for (let i = 0; i < SIGNS_OF_NUMBER; i++) {
    signs += SIGNS.charAt(rest % SIGNS.length);
    rest = Math.floor(rest / SIGNS.length);
  }
  return `${caseNumber}-${signs}`;
}
