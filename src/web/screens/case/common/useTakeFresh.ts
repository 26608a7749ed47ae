import { useEffect } from 'react';
import type { CaseRecord } from '../../../../contracts/cases.ts';
import { selectPerson } from '../../../store/session/sessionSlice.ts';
import { useAppSelector } from '../../../store/store.ts';
import { useRecordEvent } from './useCase.ts';

/** Whoever opens a case in which nothing has happened takes it on. */
export function useTakeFresh({ version, holder, plants }: CaseRecord): void {
  const happen = useRecordEvent();
  const me = useAppSelector(selectPerson);
  const isFresh = version === 0 && holder === null && plants.every(({ words }) => words === '');
  useEffect(() => {
    if (isFresh && me) happen({ kind: 'holder-set', holder: { id: me.id, name: me.name } });
  }, [isFresh, me, happen]);
}
