/** Letters, digits, marks, apostrophes and joiners; surrogates too, so that no pair is ever cut. */
const WORD_UNIT = /[\p{L}\p{N}\p{M}'’]|\u200d|[\ud800-\udfff]/u;

/** Whether a UTF-16 unit belongs to a word; nothing, as before the beginning of a text, does not. */
export function isWordUnit(unit: string | undefined): boolean {
  return unit !== undefined && WORD_UNIT.test(unit);
}
