import { z } from 'zod';

/** Said to every page of a clinic when a case was opened or changed; its events are asked for by whoever shows it. */
export const caseChangedSchema = z.object({
  id: z.uuid(),
  version: z.number().int().min(0),
});
export type CaseChanged = z.infer<typeof caseChangedSchema>;

/**
 * Kinds of what a page hears: `case` of a {@link CaseChanged}; `gap` when something may have been missed, so that all is
 * to be asked for anew; `beat` while nothing happens.
 */
export const LIVE_EVENTS = ['case', 'gap', 'beat'] as const;
