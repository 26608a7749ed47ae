import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { styled } from 'styled-components';
import { MAX_NAME } from '../../../contracts/cases.ts';
import type { SavedSearch, SavedSearches as Kept } from '../../../contracts/importing.ts';
import { newId } from '../../../contracts/ids.ts';
import type { Problem } from '../../../contracts/problem.ts';
import type { Result } from '../../../core/util/result.ts';
import { api } from '../../api/api.ts';
import { Button } from '../../kit/Button.tsx';
import { Field } from '../../kit/fields.tsx';
import { useCan } from '../../store/useCan.ts';
import { casebookTexts } from '../../texts/casebookTexts.ts';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 12px;
  padding-bottom: 10px;
`;
const Naming = styled.form`
  display: flex;
  align-items: end;
  gap: 8px;
`;

/** Searches of the clinic by name, and the way to keep the one that stands in the address. */
export function SavedSearches() {
  const { search } = useLocation();
  const writes = useCan('cases.write');
  const [searches, setSearches] = useState<readonly SavedSearch[]>([]);
  const [name, setName] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const take = (read: Result<Kept, Problem>): void => {
    if (read.ok) setSearches(read.value.searches);
    setSaid(read.ok ? null : `${read.error.message} ${read.error.cure}`);
  };
  useEffect(() => void api.searches().then(take), []);
  const query = search.replace(/^\?/, '');
  const known = searches.find((one) => one.query === query);
  const keep = async (): Promise<void> => {
    const kept = await api.keepSearch({ id: newId(), name: name ?? '', query });
    take(kept);
    if (kept.ok) setName(null);
  };
  return (
    <Bar>
      {searches.map((one) => (
        <Link key={one.id} to={`/casebook?${one.query}`}>
          {one.name}
        </Link>
      ))}
      {writes && known && (
        <Button kind="quiet" onPress={() => void api.removeSearch(known.id).then(take)}>
          {casebookTexts.removeSearch(known.name)}
        </Button>
      )}
      {writes && query !== '' && !known && name === null && (
        <Button kind="quiet" onPress={() => setName('')}>
          {casebookTexts.keepSearch}
        </Button>
      )}
      {name !== null && (
        <Naming
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
        >
          <Field
            label={casebookTexts.searchName}
            value={name}
            max={MAX_NAME}
            autoFocus
            onChange={setName}
          />
          <Button type="submit" isDisabled={name.trim() === ''}>
            {casebookTexts.keep}
          </Button>
          <Button kind="quiet" onPress={() => setName(null)}>
            {casebookTexts.forgetNo}
          </Button>
        </Naming>
      )}
      <span role="status">{said}</span>
    </Bar>
  );
}
