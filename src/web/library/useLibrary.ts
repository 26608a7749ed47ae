import { useCallback, useEffect, useMemo, useState } from 'react';
import { createAlmanacs, type Almanac } from '../../core/timing/almanac.ts';
import { parseDay, type Day } from '../../core/timing/calendar.ts';
import type { Library } from '../../core/schema/library.ts';
import { allInSpelling } from '../../wording/spelling.ts';
import { selectSpelling } from '../store/cases/selectors.ts';
import { fetchLibrary } from '../api/fetchLibrary.ts';
import { makeLibraryIndex, type LibraryIndex } from './libraryIndex.ts';
import { loadClinic } from '../store/actions.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';

/** What every page of the Library is given. */
export interface LibraryReading {
  readonly shelf: LibraryIndex;
  readonly almanac: Almanac;
  readonly today: Day;
}

/** The library ready for reading at the clinic's place and day. */
export interface LibraryState {
  readonly reading: LibraryReading | null;
  /** It cannot be had just now. */
  readonly failed: boolean;
  /** Asks for it once more. */
  readonly retry: () => void;
}

/** Fetches the library and makes it ready for reading. */
export function useLibrary(): LibraryState {
  const dispatch = useAppDispatch();
  const clinic = useAppSelector((state) => state.desk.clinic);
  const spelling = useAppSelector(selectSpelling);
  const [library, setLibrary] = useState<Library | null>(null);
  const shelf = useMemo(
    () => library && makeLibraryIndex(allInSpelling(library, spelling)),
    [library, spelling],
  );
  const [failed, setFailed] = useState(false);
  const [round, setRound] = useState(0);
  const noClinic = useAppSelector(
    (state) => state.desk.clinic === null && state.desk.problem !== null,
  );
  useEffect(() => {
    let here = true;
    setFailed(false);
    fetchLibrary().then(
      (fetched) => {
        if (here) setLibrary(fetched);
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
