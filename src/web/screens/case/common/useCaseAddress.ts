import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { CasePlant, CaseRecord } from '../../../../contracts/cases.ts';
import { plantShown } from '../../../store/cases/casesSlice.ts';
import { useAppDispatch } from '../../../store/store.ts';

/** What can stand in place of the causes and the plan. */
const BESIDE = ['dates', 'sheet', 'label', 'samples', 'follow'] as const;
export type Beside = (typeof BESIDE)[number];

/** An address with another value under a name; null takes it out. */
const withValue =
  (name: string, value: string | null) =>
  (now: URLSearchParams): URLSearchParams => {
    const next = new URLSearchParams(now);
    if (value === null) next.delete(name);
    else next.set(name, value);
    return next;
  };

/** What stands beside the words, kept in the address, so that it is there again after a reload. */
export function useBeside(): readonly ['causes' | Beside, (to: 'causes' | Beside) => void] {
  const [query, setQuery] = useSearchParams();
  const asked = query.get('view');
  const turn = (to: 'causes' | Beside): void =>
    setQuery(withValue('view', to === 'causes' ? null : to), { replace: true });
  return [BESIDE.find((one) => one === asked) ?? 'causes', turn];
}

/** Shows the plant that the address names when the page comes up, and keeps in it which one is shown. */
export function useShownPlant(record: CaseRecord, plant: CasePlant): (plantId: string) => void {
  const dispatch = useAppDispatch();
  const [query, setQuery] = useSearchParams();
  const [asked] = useState(() => query.get('plant'));
  const caseId = record.id;
  const isThere = record.plants.some(({ id }) => id === asked);
  useEffect(() => {
    if (asked !== null && isThere) dispatch(plantShown({ caseId, plantId: asked }));
  }, [dispatch, caseId, asked, isThere]);
  const shown = record.plants[0]?.id === plant.id ? null : plant.id;
  useEffect(() => {
    if (query.get('plant') !== shown) setQuery(withValue('plant', shown), { replace: true });
  }, [query, setQuery, shown]);
  return (plantId) => void dispatch(plantShown({ caseId, plantId }));
}
