import { z } from 'zod';

/** Sent to every page of a clinic when a case was opened or changed; a page that shows the case then fetches its events. */
export const caseChangedSchema = z.object({
  id: z.uuid(),
  version: z.number().int().min(0),
});
export type CaseChanged = z.infer<typeof caseChangedSchema>;

/**
 * Event types of the stream: `case` with a {@link CaseChanged}; `gap` when events may have been missed, so that the
 * page fetches everything again; `heartbeat` at intervals.
 */
export const LIVE_EVENTS = ['case', 'gap', 'heartbeat'] as const;
