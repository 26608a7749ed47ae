import { z } from 'zod';
import { isoDateSchema } from './consult.ts';
import { textSchema } from './storableText.ts';

/** How much of the advice the enquirer did. */
export const FOLLOWED = ['all', 'partly', 'none'] as const;
export type Followed = (typeof FOLLOWED)[number];

/** How the plant does after it. */
export const RESULTS = ['better', 'same', 'worse', 'dead', 'too-early'] as const;
export type FollowUpResult = (typeof RESULTS)[number];

/** Longest note to a follow-up, in characters. */
export const MAX_FOLLOW_UP_NOTE = 1000;

/** What was heard of the plant after the advice. */
export const followUpSchema = z.strictObject({
  on: isoDateSchema,
  followed: z.enum(FOLLOWED),
  result: z.enum(RESULTS),
  note: textSchema(MAX_FOLLOW_UP_NOTE),
});
export type FollowUp = z.infer<typeof followUpSchema>;

/** What the enquirer agreed to; null while they were not asked. */
export const consentSchema = z.strictObject({
  /** To be called or written to about how it went. */
  callBack: z.boolean().nullable(),
  /** To have photographs kept, and shown to colleagues. */
  photographs: z.boolean().nullable(),
});
export type Consent = z.infer<typeof consentSchema>;

/** What changes of it: the fields that it names. */
export const consentChangeSchema = consentSchema.partial();
export type ConsentChange = z.infer<typeof consentChangeSchema>;

/** Nothing was asked. */
export const NO_CONSENT: Consent = { callBack: null, photographs: null };
