import { useEffect, useState } from 'react';
import { Button } from '../kit/Button.tsx';
import { chooserTexts } from '../texts/chooserTexts.ts';
import { commonTexts } from '../texts/commonTexts.ts';
import { consultant } from '../workers/consultClient.ts';
import type { NamedChoice } from '../workers/messages.ts';
import { NameChooser } from './NameChooser.tsx';

interface PlantChooserProps {
  /** Words of the button that takes the choice back; null when there is none to take back. */
  readonly back: string | null;
  readonly onChoose: (plant: string | null) => void;
}

/** Finds a plant of the library by its common or scientific name. */
export function PlantChooser({ back, onChoose }: PlantChooserProps) {
  const [plants, setPlants] = useState<readonly NamedChoice[]>([]);
  useEffect(() => {
    consultant.plants().then(setPlants, () => setPlants([]));
  }, []);
  return (
    <>
      <NameChooser
        label={chooserTexts.whichPlant}
        all={commonTexts.plants}
        none={chooserTexts.noPlantOfThatName}
        choices={plants}
        autoFocus
        onChoose={onChoose}
      />
      {back !== null && <Button onPress={() => onChoose(null)}>{back}</Button>}
    </>
  );
}
