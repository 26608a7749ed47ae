/** Names in a row: "a", "a or b", "a, b and c"; empty without any. */
export const list = (names: readonly string[], last: 'and' | 'or'): string =>
  names.length < 2
    ? names.join('')
    : `${names.slice(0, -1).join(', ')} ${last} ${names.at(-1) ?? ''}`;
