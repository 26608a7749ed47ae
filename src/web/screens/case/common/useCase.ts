import { createContext, useCallback, useContext } from 'react';
import type { CaseEvent } from '../../../../contracts/caseEvents.ts';
import type { Problem } from '../../../../contracts/problem.ts';
import type { TextEdits } from '../../../../contracts/textEdits.ts';
import { editsBetween } from '../../../store/cases/arrivals.ts';
import { recordEvent, recordTyping, type Typing } from '../../../store/cases/changes.ts';
import { author } from '../../../store/page.ts';
import { useCan } from '../../../store/useCan.ts';
import { entryTexts } from '../../../texts/entryTexts.ts';
import { store } from '../../../store/store.ts';

/** Nothing happens to a case by who only reads; the page says so above it. */
const READS_ONLY: Problem = {
  code: 'forbidden',
  field: null,
  message: entryTexts.readOnly,
  cure: '',
};

/** Id of the case that a panel belongs to. */
export const CaseContext = createContext('');

/** The case that this panel belongs to. */
export function useCaseId(): string {
  return useContext(CaseContext);
}

/** Records that something happened to this case. Returns why it could not, when the value is none to be kept. */
export function useRecordEvent(): (event: CaseEvent) => Problem | null {
  const caseId = useCaseId();
  const writes = useCan('cases.write');
  return useCallback(
    (event: CaseEvent) => (writes ? recordEvent(store, author(), caseId, event) : READS_ONLY),
    [caseId, writes],
  );
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
      void recordTyping(store, author(), caseId, { plantId, ...typing }),
    [caseId, plantId],
  );
}
