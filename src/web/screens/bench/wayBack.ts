import { z } from 'zod';

const wayBackSchema = z.object({ back: z.string().startsWith('/case/') });

/** The case that the Bench was opened from, kept by the browser with the page. */
export type WayBack = z.infer<typeof wayBackSchema>;

/** Address of the case that the Bench was opened from. Returns null where it was opened otherwise. */
export const wayBackIn = (state: unknown): string | null =>
  wayBackSchema.safeParse(state).data?.back ?? null;
