import { useEffect, useMemo, useState } from 'react';
import { createAlmanacs, type Almanac } from '../../core/timing/almanac.ts';
import { parseDay, type Day } from '../../core/timing/calendar.ts';
import { fetchLibrary } from './fetchLibrary.ts';
import { makeShelf, type Shelf } from './shelf.ts';
import { loadDesk } from '../store/actions.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';

/** What every page of the Library is given. */
export interface Reading {
  readonly shelf: Shelf;
  readonly almanac: Almanac;
  readonly today: Day;
}

/** The library ready for reading at the clinic's place and day; `failed` when it cannot be had. */
export function useShelf(): { readonly reading: Reading | null; readonly failed: boolean } {
  const dispatch = useAppDispatch();
  const clinic = useAppSelector((state) => state.desk.clinic);
  const [shelf, setShelf] = useState<Shelf | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let here = true;
    fetchLibrary().then(
      (library) => {
        if (here) setShelf(makeShelf(library));
      },
      () => {
        if (here) setFailed(true);
      },
    );
    return () => {
      here = false;
    };
  }, []);
  useEffect(() => {
    if (!clinic) void loadDesk(dispatch, false);
  }, [dispatch, clinic]);
  const reading = useMemo(() => {
    const today = clinic ? parseDay(clinic.today) : null;
    if (!shelf || !clinic || !today?.ok) return null;
    const almanac = createAlmanacs(shelf.library.places)(clinic.place);
    return { shelf, almanac, today: today.value };
  }, [shelf, clinic]);
  return { reading, failed };
}
