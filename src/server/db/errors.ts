/** What may be logged of an error: nothing of it can hold words, names or numbers of enquirers. */
export interface ErrorSummary {
  readonly name: string;
  /** Code of PostgreSQL (SQLSTATE) or of the system; null where there is none. */
  readonly code: string | null;
  /** Where it was thrown, the innermost place first. */
  readonly at: readonly string[];
}

const MAX_FRAMES = 6;

function chainOf(error: unknown): readonly object[] {
  const chain: object[] = [];
  for (let one = error; typeof one === 'object' && one !== null && chain.length < 5;) {
    chain.push(one);
    one = 'cause' in one ? one.cause : null;
  }
  return chain;
}

/** The code of an error or of what caused it; null where there is none. */
export function errorCode(error: unknown): string | null {
  for (const one of chainOf(error))
    if ('code' in one && typeof one.code === 'string') return one.code.slice(0, 40);
  return null;
}

/**
 * What may be logged of an error. Messages and parameters of failed queries are left out, as they hold what was written
 * to the database.
 */
export function summarizeError(error: unknown): ErrorSummary {
  const [outer] = chainOf(error);
  const stack = outer instanceof Error ? (outer.stack ?? '') : '';
  const frames = stack.split('\n').filter((line) => /^\s+at /.test(line));
  return {
    name: outer instanceof Error ? outer.name : typeof error,
    code: errorCode(error),
    at: frames.slice(0, MAX_FRAMES).map((line) => line.trim()),
  };
}

/** SQLSTATE classes and codes after which the same work may succeed: lost or refused connections, deadlocks. */
const TRANSIENT =
  /^(08...|57P0[1-3]|40001|40P01|53300|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOENT)$/;
/** Errors of the driver that have no code. */
const TRANSIENT_MESSAGE =
  /connection terminated|connection error|timeout exceeded when trying to connect|not queryable/i;

/** Whether the same work may succeed a moment later. */
export function isTransient(error: unknown): boolean {
  const code = errorCode(error);
  if (code !== null) return TRANSIENT.test(code);
  return chainOf(error).some((one) => one instanceof Error && TRANSIENT_MESSAGE.test(one.message));
}

/** PostgreSQL could not hold a value (class 22): the sender is at fault, not the server. */
export function isBadValue(error: unknown): boolean {
  return /^22...$/.test(errorCode(error) ?? '');
}

/** A value that must be the only one of its kind is there already. */
export function isTaken(error: unknown): boolean {
  return errorCode(error) === '23505';
}
