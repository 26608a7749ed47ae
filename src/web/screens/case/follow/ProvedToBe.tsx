import { styled } from 'styled-components';
import type { CasePlant } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { NOT_IN_LIBRARY, NOTHING_WRONG } from '../../../../contracts/saidAndTrue.ts';
import type { Confirmation } from '../../../../core/diagnosis/learning.ts';
import { CauseChooser } from '../../../choosers/CauseChooser.tsx';
import { Button } from '../../../kit/Button.tsx';
import { Choices } from '../../../kit/fields.tsx';
import type { LibraryIndex } from '../../../library/libraryIndex.ts';
import { useAppSelector } from '../../../store/store.ts';
import { caseTexts } from '../../../texts/caseTexts.ts';
import { followTexts } from '../../../texts/followTexts.ts';
import { useRecordEvent } from '../common/useCase.ts';
import { causeName } from '../../../library/causeName.ts';

const HOW = [
  { id: 'laboratory', text: caseTexts.aLaboratoryFoundIt },
  { id: 'in-hand', text: caseTexts.hadItInHand },
  { id: 'photograph', text: caseTexts.weSawAPhotograph },
  { id: 'enquirer', text: caseTexts.theEnquirerSaysSo },
] as const;
const Proved = styled.p`
  padding-bottom: 8px;
  font-size: 18px;
  font-weight: 600;
`;
const Space = styled.div`
  display: grid;
  gap: 12px;
`;
const CAUSES_OFFERED = 6;

interface ProvedToBeProps {
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
  /** Null until the library is there. */
  readonly shelf: LibraryIndex | null;
}

/** What it proved to be, and how that is known; it teaches what is common here. */
export function ProvedToBe({ plant, answer, shelf }: ProvedToBeProps) {
  const happen = useRecordEvent();
  const today = useAppSelector((state) => state.desk.clinic?.today ?? plant.date);
  const { outcome, id: plantId } = plant;
  const likely = (answer?.causes ?? []).slice(0, CAUSES_OFFERED);
  const choices = [
    ...likely.map(({ id, name }) => ({ id, text: name })),
    { id: NOTHING_WRONG, text: followTexts.nothingWrong },
    { id: NOT_IN_LIBRARY, text: followTexts.notInLibrary },
  ];
  const set = (cause: string, confirmed: Confirmation): void =>
    void happen({ kind: 'outcome-set', plantId, outcome: { cause, confirmed, on: today } });
  const choose = (cause: string): void => set(cause, outcome?.confirmed ?? 'enquirer');
  return (
    <Space>
      <div>
        <h3>{followTexts.proved}</h3>
        <Proved role="status">
          {outcome ? causeName(outcome.cause, shelf) : followTexts.notKnown}
        </Proved>
        {outcome && (
          <Choices
            label={followTexts.howKnown}
            value={outcome.confirmed}
            choices={HOW}
            onChange={(confirmed) => set(outcome.cause, confirmed)}
          />
        )}
        {outcome && (
          <Button
            kind="quiet"
            onPress={() => void happen({ kind: 'outcome-set', plantId, outcome: null })}
          >
            {followTexts.takeBack}
          </Button>
        )}
      </div>
      <Choices
        label={followTexts.likely}
        value={outcome?.cause ?? ''}
        choices={choices}
        onChange={choose}
      />
      <CauseChooser shelf={shelf} onChoose={choose} />
    </Space>
  );
}
