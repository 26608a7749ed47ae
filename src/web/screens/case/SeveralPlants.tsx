import { caseTexts } from '../../texts/caseTexts.ts';
import { useState } from 'react';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { Button } from '../../kit/Button.tsx';
import { newId } from '../../../contracts/ids.ts';
import { diffText } from '../../../contracts/textEdits.ts';
import { plantShown } from '../../store/cases/casesSlice.ts';
import { selectRecord } from '../../store/cases/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { tabTexts } from '../../texts/tabTexts.ts';
import { useCaseId, useRecordEvent } from './common/useCase.ts';
import { midSentence } from '../../../wording/midSentence.ts';

const Offer = styled.p`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  margin-top: 8px;
  padding: 5px 8px;
  font-size: 14px;
  background: var(--teal-wash);
`;

interface SeveralPlantsProps {
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
}

/** The tabs that one text was split into, each with its words, and the text. */
interface Split {
  readonly before: string;
  readonly tabs: readonly { readonly plantId: string; readonly words: string }[];
}

/** Whether a split can be undone: its tabs are there, and nobody has changed their words. */
const isAsSplit = ({ tabs }: Split, plants: readonly CasePlant[]): boolean =>
  tabs.every(({ plantId, words }) =>
    plants.some((plant) => plant.id === plantId && plant.words === words),
  );

/** When the words are about several plants: gives each its own tab with its sentences, and puts them together again. */
export function SeveralPlants({ plant, answer }: SeveralPlantsProps) {
  const happen = useRecordEvent();
  const dispatch = useAppDispatch();
  const caseId = useCaseId();
  const plants = useAppSelector((state) => selectRecord(state, caseId)?.plants);
  const [split, setSplit] = useState<Split | null>(null);
  const parts = answer?.parts ?? [];
  const [first, ...others] = parts;
  const write = (plantId: string, before: string, words: string): void =>
    void happen({ kind: 'words-edited', plantId, edits: [...diffText(before, words)] });
  const splitUp = (): void => {
    if (!first) return;
    write(plant.id, plant.words, first.words);
    const added = others.map(({ words }) => ({ plantId: newId(), words }));
    for (const { plantId, words } of added) {
      happen({ kind: 'plant-added', plantId });
      write(plantId, '', words);
    }
    const own = { plantId: plant.id, words: first.words };
    setSplit({ before: plant.words, tabs: [own, ...added] });
    dispatch(plantShown({ caseId, plantId: plant.id }));
  };
  const undo = ({ before, tabs }: Split): void => {
    write(plant.id, plant.words, before);
    for (const { plantId } of tabs.slice(1)) happen({ kind: 'plant-removed', plantId });
    setSplit(null);
  };
  if (split && plants && isAsSplit(split, plants))
    return (
      <Offer role="note">
        <span>{tabTexts.wasSplit}</span>
        <Button kind="quiet" keepsFocus onPress={() => undo(split)}>
          {tabTexts.undoSplit}
        </Button>
      </Offer>
    );
  if (!first) return null;
  return (
    <Offer role="note">
      <span>
        {caseTexts.about} {parts.map(({ name }) => midSentence(name)).join(', ')}.
      </span>
      <Button kind="quiet" keepsFocus onPress={splitUp}>
        {caseTexts.aTabForEach}
      </Button>
    </Offer>
  );
}
