import type { Library } from '../schema/library.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import type { KnowledgeIssue } from './faults.ts';

/**
 * Ids that the code names and the library lacks, as issues; empty when all are there. A library with such an issue is
 * invalid.
 */
export function checkReliedOn(
  library: Pick<Library, keyof typeof RELIED_ON>,
): readonly KnowledgeIssue[] {
  return (['findings', 'careTopics', 'groups', 'plants', 'places'] as const).flatMap((section) => {
    const entries: readonly { readonly id: string }[] = library[section];
    const known = new Set(entries.map(({ id }) => id));
    return Object.values<string>(RELIED_ON[section])
      .filter((id) => !known.has(id))
      .map((id) => ({
        file: `${section}/`,
        id,
        field: 'id',
        fault: { code: 'relied-on' },
      }));
  });
}
