/** Pauses before a part of the program is asked for again, in milliseconds. */
const PAUSES_MS = [500, 1000, 2000, 4000, 8000];

const rest = (ms: number): Promise<void> => new Promise((wait) => setTimeout(wait, ms));

/**
 * Makes a fetch of a part of the program that is done once and shared, and done again for a while when the server is away. The
 * promise fails when it stays away; the next call then begins anew.
 */
export function fetchPart<T>(
  load: () => Promise<T>,
  pauses: readonly number[] = PAUSES_MS,
): () => Promise<T> {
  let part: Promise<T> | null = null;
  const attempt = async (left: readonly number[]): Promise<T> => {
    try {
      return await load();
    } catch (error) {
      const [pause, ...others] = left;
      if (pause === undefined) throw error;
      await rest(pause);
      return attempt(others);
    }
  };
  return () =>
    (part ??= attempt(pauses).catch((error: unknown) => {
      part = null;
      throw error;
    }));
}
