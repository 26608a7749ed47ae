import { commonTexts } from '../texts/commonTexts.ts';
import { plantTexts } from '../texts/plantTexts.ts';
import { useEffect, useMemo, useState } from 'react';
import { Label, ListBox, ListBoxItem, SearchField, Autocomplete } from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from '../kit/Button.tsx';
import { TextBox } from '../kit/fields.tsx';
import { consultant } from '../workers/consultClient.ts';
import type { PlantChoice } from '../workers/messages.ts';
import { makePlantSearch, type FoundPlant } from './rankPlants.ts';

const Search = styled(TextBox)`
  margin-top: 6px;
`;
const List = styled(ListBox<FoundPlant>)`
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

interface PlantChooserProps {
  /** Words of the button that takes the choice back; null when there is none to take back. */
  readonly back: string | null;
  readonly onChoose: (plant: string | null) => void;
}

/** Finds a plant of the library by its common or scientific name. */
export function PlantChooser({ back, onChoose }: PlantChooserProps) {
  const [plants, setPlants] = useState<readonly PlantChoice[]>([]);
  const [typed, setTyped] = useState('');
  const search = useMemo(() => makePlantSearch(plants), [plants]);
  const found = useMemo(() => search(typed), [search, typed]);
  useEffect(() => {
    consultant.plants().then(setPlants, () => setPlants([]));
  }, []);
  return (
    <>
      <Autocomplete inputValue={typed} onInputChange={setTyped}>
        <SearchField autoFocus>
          <Label>{plantTexts.whichPlant}</Label>
          <Search />
        </SearchField>
        <List
          aria-label={commonTexts.plants}
          items={found}
          renderEmptyState={() => plantTexts.noPlantOfThatName}
        >
          {({ id, name, scientific, by }: FoundPlant) => (
            <Item id={id} textValue={name} onAction={() => onChoose(id)}>
              {name} <i>{by ?? scientific ?? ''}</i>
            </Item>
          )}
        </List>
      </Autocomplete>
      {back !== null && <Button onPress={() => onChoose(null)}>{back}</Button>}
    </>
  );
}
