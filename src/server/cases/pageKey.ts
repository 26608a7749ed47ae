import type { Request } from 'express';
import type { CaseSummary } from '../../contracts/cases.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { PageKey, PageQuery } from './queries.ts';

export const NO_KEY: Problem = {
  code: 'invalid-field',
  field: 'after',
  message: 'That is no place in the list.',
  cure: 'Send "next" of an earlier page, or leave "after" out for the first one.',
};

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** Lines of one page of the Desk. */
export const PAGE_LINES = 100;

const toKey = ({ value, id }: PageKey): string => `${value},${id}`;

/** Reads a key as an earlier page gave it; null when it is none. */
function readPageKey(text: string): PageKey | null {
  const [value, id] = text.split(',');
  const isMoment = value !== undefined && /^\d{4}-\d{2}-\d{2}(T[\d:.]{8,12}Z)?$/.test(value);
  return isMoment && !Number.isNaN(Date.parse(value)) && id !== undefined && UUID.test(id)
    ? { value, id }
    : null;
}

/** A page of lines, and the key of the next one. */
export async function readPage<T extends CaseSummary>(
  list: (query: PageQuery) => Promise<T[]>,
  after: PageKey | null,
  valueOf: (line: T) => string,
): Promise<{ cases: T[]; next: string | null }> {
  const lines = await list({ limit: PAGE_LINES + 1, after });
  const cases = lines.slice(0, PAGE_LINES);
  const last = cases.at(-1);
  const more = lines.length > PAGE_LINES && last !== undefined;
  return { cases, next: more ? toKey({ value: valueOf(last), id: last.id }) : null };
}

/** The key of a page that a request asks for: null for the first one, undefined when it is none. */
export function pageKeyOf({ query: { after } }: Request): PageKey | null | undefined {
  if (after === undefined) return null;
  return (typeof after === 'string' ? readPageKey(after) : null) ?? undefined;
}
