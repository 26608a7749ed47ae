import { useEffect } from 'react';
import type { CaseRecord } from '../../../../contracts/cases.ts';
import { selectPerson } from '../../../store/session/sessionSlice.ts';
import { useAppSelector } from '../../../store/store.ts';
import { useRecordEvent } from './useCase.ts';

/** Whoever opens a case in which nothing has happened takes it on. */
export function useAssignWhenNew({ version, assignee, plants }: CaseRecord): void {
  const happen = useRecordEvent();
  const me = useAppSelector(selectPerson);
  const isNew = version === 0 && assignee === null && plants.every(({ words }) => words === '');
  useEffect(() => {
    if (isNew && me) happen({ kind: 'assignee-set', assignee: { id: me.id, name: me.name } });
  }, [isNew, me, happen]);
}
