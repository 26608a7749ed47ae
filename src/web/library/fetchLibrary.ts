import type { Library } from '../../core/knowledge/schema/library.ts';

let known: Promise<Library> | null = null;

/** The library as the server holds it, fetched once; a failed fetch is tried anew at the next call. */
export function fetchLibrary(): Promise<Library> {
  known ??= fetch('/api/knowledge')
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
