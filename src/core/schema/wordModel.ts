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
  /** Log-odds of each finding in a sentence without any known word, in hundredths; their order numbers the findings from 0. */
  findings: z.record(findingIdSchema, z.int()),
  /**
   * For each stem how rare it is among the sentences, then the findings that it speaks for or against with its weight for
   * each, all in hundredths; a finding is given by how many numbers it stands after the one before: `512 3 910 41 -62`.
   */
  words: z.record(z.string(), z.string()),
});

export type WordModelText = z.infer<typeof wordModelSchema>;
