import { useCallback, useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { CasebookLine, CasebookQuery } from '../../../contracts/casebook.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { api } from '../../api/api.ts';

/** What the casebook shows. */
export interface FoundCases {
  /** Null while nothing was found or not found yet. */
  readonly lines: readonly CasebookLine[] | null;
  readonly next: string | null;
  readonly problem: Problem | null;
}

const NOTHING: FoundCases = { lines: null, next: null, problem: null };

/** The search as the address holds it, so that it can be kept, sent and gone back to. */
export function useCasebookQuery(): readonly [
  CasebookQuery,
  (change: Partial<Record<keyof CasebookQuery, string>>) => void,
] {
  const [params, setParams] = useSearchParams();
  const change = useCallback(
    (changes: Partial<Record<keyof CasebookQuery, string>>): void =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [key, value] of Object.entries(changes)) {
            if (value === '') next.delete(key);
            else next.set(key, value);
          }
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return [Object.fromEntries(params), change];
}

/** Looks for cases whenever the search changes; what was found before stays meanwhile. */
export function useFoundCases(query: CasebookQuery): FoundCases & { readonly more: () => void } {
  const [found, setFound] = useState<FoundCases>(NOTHING);
  const key = JSON.stringify(query);
  useEffect(() => {
    let isNewest = true;
    const search = async (): Promise<void> => {
      const page = await api.casebook(query, null);
      if (!isNewest) return;
      setFound(
        page.ok
          ? { lines: page.value.cases, next: page.value.next, problem: null }
          : { ...NOTHING, problem: page.error },
      );
    };
    void search();
    return () => {
      isNewest = false;
    };
  }, [key]);
  const more = async (): Promise<void> => {
    const { next } = found;
    if (next === null) return;
    const page = await api.casebook(query, next);
    setFound((now) => {
      if (now.next !== next) return now;
      if (!page.ok) return { ...now, problem: page.error };
      return {
        lines: [...(now.lines ?? []), ...page.value.cases],
        next: page.value.next,
        problem: null,
      };
    });
  };
  return { ...found, more: () => void more() };
}
