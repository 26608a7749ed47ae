import { caseTexts } from '../../texts/caseTexts.ts';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { Button } from '../../kit/Button.tsx';
import { newId } from '../../../contracts/ids.ts';
import { diffText } from '../../../contracts/textEdits.ts';
import { plantShown } from '../../store/cases/casesSlice.ts';
import { useAppDispatch } from '../../store/store.ts';
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

/** When the words are about several plants: gives each its own tab with its sentences. */
export function SeveralPlants({ plant, answer }: SeveralPlantsProps) {
  const happen = useRecordEvent();
  const dispatch = useAppDispatch();
  const caseId = useCaseId();
  const parts = answer?.parts ?? [];
  const [first, ...others] = parts;
  if (!first) return null;
  const write = (plantId: string, before: string, words: string): void =>
    void happen({ kind: 'words-edited', plantId, edits: [...diffText(before, words)] });
  const split = (): void => {
    write(plant.id, plant.words, first.words);
    for (const { words } of others) {
      const plantId = newId();
      happen({ kind: 'plant-added', plantId });
      write(plantId, '', words);
    }
    dispatch(plantShown({ caseId, plantId: plant.id }));
  };
  return (
    <Offer role="note">
      <span>
        {caseTexts.about} {parts.map(({ name }) => midSentence(name)).join(', ')}.
      </span>
      <Button kind="quiet" keepsFocus onPress={split}>
        {caseTexts.aTabForEach}
      </Button>
    </Offer>
  );
}
