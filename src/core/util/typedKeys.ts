/** The keys of a record, typed as in its declaration; it must hold no others. */
export const keysOf = <K extends string>(record: Readonly<Partial<Record<K, unknown>>>): K[] =>
  Object.keys(record) as K[];

/** The entries of a record without undefined values, keys typed as in its declaration; it must hold no others. */
export const entriesOf = <K extends string, V>(
  record: Readonly<Partial<Record<K, V>>>,
): (readonly [K, V])[] => Object.entries(record) as [K, V][];
