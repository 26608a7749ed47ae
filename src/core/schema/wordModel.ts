import { z } from 'zod';
import { findingIdSchema } from './common.ts';

/**
 * What was learned from labelled sentences of enquirers: how much each word speaks for each finding, and how much each
 * trait of a reading speaks for its being right. Shape of `models/hearing.yaml`, which `npm run learn` writes.
 */
export const wordModelSchema = z.strictObject({
  /** Weight of each trait of a reading in log-odds, and `always` for all. */
  readings: z.record(z.string(), z.number()),
  /** Weights of the readings of the same words, and `always` for all; without them each reading is judged alone. */
  rivals: z.record(z.string(), z.number()).default({}),
  /** Findings that are reported in one sentence, for each those after it in the alphabet: `leaf-drop soil-dry`. */
  together: z.record(findingIdSchema, z.string()).default({}),
  /** Stems with how rare each is among the sentences, in hundredths: `tar 512 spot 231`. */
  words: z.string(),
  /** For each finding its log-odds without any word, then stems with their weights, all in hundredths: `-480 tar 910`. */
  findings: z.record(findingIdSchema, z.string()),
});

export type WordModelText = z.infer<typeof wordModelSchema>;
