import { useEffect, useState } from 'react';
import type { CasebookPeople } from '../../contracts/casebook.ts';
import { api } from '../api/api.ts';

/** People of the clinic by name; empty until they are known. */
export function usePeople(): CasebookPeople['people'] {
  const [people, setPeople] = useState<CasebookPeople['people']>([]);
  useEffect(() => {
    let isHere = true;
    void api.casebookPeople().then((read) => {
      if (isHere && read.ok) setPeople(read.value.people);
    });
    return () => {
      isHere = false;
    };
  }, []);
  return people;
}
