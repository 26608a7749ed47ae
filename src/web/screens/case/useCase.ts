import { createContext, useCallback, useContext } from 'react';
import type { CaseEvent } from '../../../contracts/caseEvents.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { recordEvent, recordTyping, type Typing } from '../../store/cases/changes.ts';
import { desk } from '../../store/page.ts';
import { store } from '../../store/store.ts';

/** Id of the case that a panel belongs to. */
export const CaseContext = createContext('');

/** The case that this panel belongs to. */
export function useCaseId(): string {
  return useContext(CaseContext);
}

/** Records that something happened to this case. Returns why it could not, when the value is none to be kept. */
export function useHappen(): (event: CaseEvent) => Problem | null {
  const caseId = useCaseId();
  return useCallback((event: CaseEvent) => recordEvent(store, desk, caseId, event), [caseId]);
}

/** Records what was typed into the words of a plant. */
export function useTyping(plantId: string): (typing: Omit<Typing, 'plantId'>) => void {
  const caseId = useCaseId();
  return useCallback(
    (typing: Omit<Typing, 'plantId'>) =>
      void recordTyping(store, desk, caseId, { plantId, ...typing }),
    [caseId, plantId],
  );
}
