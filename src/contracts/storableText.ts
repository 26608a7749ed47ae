import { z } from 'zod';

/** What no text of ours may hold: NUL, which PostgreSQL refuses, and halves of a pair of surrogates, which are no Unicode. */
const UNSTORABLE = /\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

/** Place of the first character that cannot be stored, in UTF-16 units; null when all can. */
export function unstorableAt(text: string): number | null {
  const at = text.search(UNSTORABLE);
  return at === -1 ? null : at;
}

/** The text without what cannot be stored; the same string when all can. */
export function storableText(text: string): string {
  return text.replace(UNSTORABLE, '');
}

/** A text that can be stored, of at most `max` UTF-16 units. */
export function textSchema(max: number, tooLong?: string) {
  return z
    .string()
    .max(max, tooLong ?? `must be at most ${max} characters`)
    .refine((text) => unstorableAt(text) === null, {
      error: 'holds a character that cannot be stored: NUL or half of a surrogate pair',
    });
}
