import { useEffect, useState } from 'react';
import type { CasebookPeople } from '../../contracts/casebook.ts';
import { api } from '../api/api.ts';

/** People of the clinic by name, asked for once they are wanted; empty until they are known. */
export function usePeople(wanted = true): CasebookPeople['people'] {
  const [people, setPeople] = useState<CasebookPeople['people']>([]);
  useEffect(() => {
    if (!wanted) return undefined;
    let isHere = true;
    void api.casebookPeople().then((read) => {
      if (isHere && read.ok) setPeople(read.value.people);
    });
    return () => {
      isHere = false;
    };
  }, [wanted]);
  return people;
}
