import { useCallback } from 'react';
import { inSpelling } from '../../wording/spelling.ts';
import { selectSpelling } from './cases/selectors.ts';
import { useAppSelector } from './store.ts';

/** Puts texts of the catalogs of measures into the spelling of whoever is signed in; answers come in it by themselves. */
export function useSpelling(): (text: string) => string {
  const spelling = useAppSelector(selectSpelling);
  return useCallback((text: string) => inSpelling(text, spelling), [spelling]);
}
