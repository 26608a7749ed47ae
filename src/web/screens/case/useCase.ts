import { useCallback } from 'react';
import type { CaseEvent } from '../../../contracts/cases.ts';
import { eventHappened } from '../../store/caseSlice.ts';
import { useAppDispatch } from '../../store/store.ts';

/** Records that something happened to the open case. */
export function useHappen(): (event: CaseEvent) => void {
  const dispatch = useAppDispatch();
  return useCallback((event: CaseEvent) => void dispatch(eventHappened(event)), [dispatch]);
}
