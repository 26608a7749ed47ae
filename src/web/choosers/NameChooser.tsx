import { useMemo, useState } from 'react';
import { Autocomplete, Label, ListBox, ListBoxItem, SearchField } from 'react-aria-components';
import { styled } from 'styled-components';
import { TextBox } from '../kit/fields.tsx';
import type { NamedChoice } from '../workers/messages.ts';
import { makeNameSearch, type FoundName } from './rankNames.ts';

const Search = styled(TextBox)`
  margin-top: 6px;
`;
/** Takes the focus, so that the list can be scrolled by keys too: its names never have it. */
const Scrolled = styled.div.attrs({ tabIndex: 0, role: 'group' })`
  max-height: 240px;
  overflow: auto;
  margin: 8px 0;
`;
const Item = styled(ListBoxItem)`
  padding: 4px 8px;
  cursor: pointer;
  &[data-focused],
  &[data-hovered] {
    background: var(--teal-wash);
  }
  & i {
    color: var(--quiet);
    font-size: 13px;
  }
`;

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
