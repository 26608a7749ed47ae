import { commonTexts } from '../texts/commonTexts.ts';
import { plantTexts } from '../texts/plantTexts.ts';
import { useEffect, useState } from 'react';
import {
  Label,
  ListBox,
  ListBoxItem,
  SearchField,
  Autocomplete,
  useFilter,
} from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from '../kit/Button.tsx';
import { TextBox } from '../kit/fields.tsx';
import { consultant } from '../workers/consultClient.ts';
import type { PlantChoice } from '../workers/messages.ts';

const Search = styled(TextBox)`
  margin-top: 6px;
`;
const List = styled(ListBox<PlantChoice>)`
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
  const { contains } = useFilter({ sensitivity: 'base' });
  useEffect(() => {
    consultant.plants().then(setPlants, () => setPlants([]));
  }, []);
  return (
    <>
      <Autocomplete filter={contains}>
        <SearchField autoFocus>
          <Label>{plantTexts.whichPlant}</Label>
          <Search />
        </SearchField>
        <List
          aria-label={commonTexts.plants}
          items={plants}
          renderEmptyState={() => plantTexts.noPlantOfThatName}
        >
          {({ id, name, scientific }: PlantChoice) => (
            <Item id={id} textValue={`${name} ${scientific ?? ''}`} onAction={() => onChoose(id)}>
              {name} <i>{scientific ?? ''}</i>
            </Item>
          )}
        </List>
      </Autocomplete>
      {back !== null && <Button onPress={() => onChoose(null)}>{back}</Button>}
    </>
  );
}
