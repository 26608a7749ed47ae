import type { Library } from '../schema/library.ts';

/** What stands in a new entry where somebody has yet to write; the check refuses it. */
export const UNWRITTEN = 'To be written.';

/** Texts of entries that nobody has written yet: id and field. */
export function unwrittenIn({
  causes,
  careTopics,
}: Pick<Library, 'causes' | 'careTopics'>): readonly (readonly [string, string])[] {
  const texts = [
    ...causes.map(({ id, say }) => [id, 'say', say] as const),
    ...careTopics.flatMap(({ id, say, steps, phrases }) => [
      [id, 'say', say] as const,
      ...phrases.map((text) => [id, 'phrases', text] as const),
      ...steps.map(({ text }) => [id, 'steps', text] as const),
    ]),
  ];
  return texts.flatMap(([id, field, text]) => (text === UNWRITTEN ? [[id, field] as const] : []));
}
