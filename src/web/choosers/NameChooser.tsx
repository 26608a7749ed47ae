import { useMemo, useState } from 'react';
import { Autocomplete, Label, ListBox, SearchField } from 'react-aria-components';
import type { NamedChoice } from '../workers/messages.ts';
import { Item, Scrolled, Search } from './parts.ts';
import { makeNameSearch, type FoundName } from './rankNames.ts';

interface NameChooserProps {
  readonly label: string;
  /** Name of the list. */
  readonly all: string;
  readonly none: string;
  readonly choices: readonly NamedChoice[];
  readonly autoFocus?: boolean;
  /** Lists nothing until something is typed. */
  readonly onlyTyped?: boolean;
  readonly onChoose: (id: string) => void;
}

/** Finds one of many by its common or scientific name. */
export function NameChooser({
  label,
  all,
  none,
  choices,
  autoFocus = false,
  onlyTyped = false,
  onChoose,
}: NameChooserProps) {
  const [typed, setTyped] = useState('');
  const search = useMemo(() => makeNameSearch(choices), [choices]);
  const found = useMemo(() => search(typed), [search, typed]);
  return (
    <Autocomplete inputValue={typed} onInputChange={setTyped}>
      <SearchField autoFocus={autoFocus}>
        <Label>{label}</Label>
        <Search />
      </SearchField>
      {(!onlyTyped || typed.trim() !== '') && (
        <Scrolled aria-label={all}>
          <ListBox<FoundName> aria-label={all} items={found} renderEmptyState={() => none}>
            {({ id, name, scientific, by }: FoundName) => (
              <Item
                id={id}
                textValue={name}
                onAction={() => {
                  setTyped('');
                  onChoose(id);
                }}
              >
                {name} <i>{by ?? scientific ?? ''}</i>
              </Item>
            )}
          </ListBox>
        </Scrolled>
      )}
    </Autocomplete>
  );
}
