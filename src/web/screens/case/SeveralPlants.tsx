import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { Button } from '../../kit/Button.tsx';
import { plantShown, selectRecord } from '../../store/caseSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useHappen } from './useCase.ts';
import { midSentence } from '../../../core/midSentence.ts';

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
  const happen = useHappen();
  const dispatch = useAppDispatch();
  const record = useAppSelector(selectRecord);
  const parts = answer?.parts ?? [];
  const [first, ...others] = parts;
  if (!record || !first) return null;
  const split = (): void => {
    happen({ kind: 'words-set', plantId: plant.id, words: first.words });
    others.forEach(({ words }, i) => {
      const plantId = `plant-${record.plants.length + 1 + i}`;
      happen({ kind: 'plant-added', plantId });
      happen({ kind: 'words-set', plantId, words });
    });
    dispatch(plantShown(plant.id));
  };
  return (
    <Offer role="note">
      <span>About {parts.map(({ name }) => midSentence(name)).join(', ')}.</span>
      <Button kind="quiet" onPress={split}>
        A tab for each
      </Button>
    </Offer>
  );
}
