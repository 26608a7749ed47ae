import { createContext, useCallback, useContext } from 'react';
import type { CaseEvent } from '../../../../contracts/caseEvents.ts';
import type { Problem } from '../../../../contracts/problem.ts';
import type { TextEdits } from '../../../../contracts/textEdits.ts';
import { editsBetween } from '../../../store/cases/arrivals.ts';
import { recordEvent, recordTyping, type Typing } from '../../../store/cases/changes.ts';
import { desk } from '../../../store/page.ts';
import { store } from '../../../store/store.ts';

/** Id of the case that a panel belongs to. */
export const CaseContext = createContext('');

/** The case that this panel belongs to. */
export function useCaseId(): string {
  return useContext(CaseContext);
}

/** Records that something happened to this case. Returns why it could not, when the value is none to be kept. */
export function useRecordEvent(): (event: CaseEvent) => Problem | null {
  const caseId = useCaseId();
  return useCallback((event: CaseEvent) => recordEvent(store, desk, caseId, event), [caseId]);
}

/** What led from one text of a plant to another, step by step; asked when it is needed, as it draws nothing. */
export function useEditsBetween(
  plantId: string,
): (before: string, after: string) => readonly TextEdits[] {
  const caseId = useCaseId();
  return useCallback(
    (before: string, after: string) =>
      editsBetween(store.getState().cases.byId[caseId]?.arrivals ?? [], plantId, before, after),
    [caseId, plantId],
  );
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
