import { useCallback, useEffect, useMemo, useState } from 'react';
import { createAlmanacs, type Almanac } from '../../core/timing/almanac.ts';
import { parseDay, type Day } from '../../core/timing/calendar.ts';
import { fetchLibrary } from '../api/fetchLibrary.ts';
import { makeShelf, type Shelf } from './shelf.ts';
import { loadClinic } from '../store/actions.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';

/** What every page of the Library is given. */
export interface Reading {
  readonly shelf: Shelf;
  readonly almanac: Almanac;
  readonly today: Day;
}

/** The library ready for reading at the clinic's place and day. */
export interface ShelfState {
  readonly reading: Reading | null;
  /** It cannot be had just now. */
  readonly failed: boolean;
  /** Asks for it once more. */
  readonly retry: () => void;
}

/** Fetches the library and makes it ready for reading. */
export function useShelf(): ShelfState {
  const dispatch = useAppDispatch();
  const clinic = useAppSelector((state) => state.desk.clinic);
  const [shelf, setShelf] = useState<Shelf | null>(null);
  const [failed, setFailed] = useState(false);
  const [round, setRound] = useState(0);
  const noClinic = useAppSelector(
    (state) => state.desk.clinic === null && state.desk.problem !== null,
  );
  useEffect(() => {
    let here = true;
    setFailed(false);
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
  }, [round]);
  useEffect(() => {
    if (!clinic) void loadClinic(dispatch);
  }, [dispatch, clinic, round]);
  const reading = useMemo(() => {
    const today = clinic ? parseDay(clinic.today) : null;
    if (!shelf || !clinic || !today?.ok) return null;
    const almanac = createAlmanacs(shelf.library.places)(clinic.place);
    return { shelf, almanac, today: today.value };
  }, [shelf, clinic]);
  const retry = useCallback(() => setRound((before) => before + 1), []);
  return { reading, failed: failed || (noClinic && reading === null), retry };
}
