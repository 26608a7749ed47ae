import type { Library } from '../../core/schema/library.ts';

let known: Promise<Library> | null = null;

/** A library that has not come by then is asked for anew, in milliseconds. */
const MAX_FETCH_MS = 40_000;

/** The library as the server holds it, fetched once; a failed fetch is tried anew at the next call. */
export function fetchLibrary(): Promise<Library> {
  known ??= fetch('/api/knowledge', { signal: AbortSignal.timeout(MAX_FETCH_MS) })
    .then(async (response) => {
      if (!response.ok) throw new Error(`knowledge: ${response.status}`);
      return (await response.json()) as Library;
    })
    .catch((error: unknown) => {
      known = null;
      throw error;
    });
  return known;
}
