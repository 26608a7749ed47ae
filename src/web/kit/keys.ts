/** Name of a pressed key: `n`, `?`, `alt+y`. With Alt the place on the keyboard decides, as some layouts type other signs then. */
export function nameOfKey({
  key,
  code,
  altKey,
}: Pick<KeyboardEvent, 'key' | 'code' | 'altKey'>): string {
  if (!altKey) return key.toLowerCase();
  return `alt+${code.replace(/^(Key|Digit)/, '').toLowerCase()}`;
}
