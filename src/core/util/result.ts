/** Outcome of an operation that may fail in foreseen ways; the core never throws for bad input. */
export type Result<T, E> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: E };

/** Wraps a success. */
export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value };
}

/** Wraps a failure. */
export function fail<E>(error: E): { readonly ok: false; readonly error: E } {
  return { ok: false, error };
}
