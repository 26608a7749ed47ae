import { caseTexts } from '../../texts/caseTexts.ts';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import type { Confirmation } from '../../../core/diagnosis/learning.ts';
import { Button } from '../../kit/Button.tsx';
import { Chip } from '../../kit/Chip.tsx';
import { Choices } from '../../kit/fields.tsx';
import { switchLearning } from '../../store/actions.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useRecordEvent } from './common/useCase.ts';

const HOW = [
  { id: 'laboratory', text: caseTexts.aLaboratoryFoundIt },
  { id: 'in-hand', text: caseTexts.hadItInHand },
  { id: 'photograph', text: caseTexts.weSawAPhotograph },
  { id: 'enquirer', text: caseTexts.theEnquirerSaysSo },
] as const;
const Form = styled.div`
  display: grid;
  gap: 10px;
  max-width: 340px;
  max-height: 70vh;
  overflow: auto;
`;
const Learning = styled.div`
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
  font-size: 13px;
`;
const CAUSES_OFFERED = 6;

interface OutcomeChipProps {
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
}

/** Causes to choose from: the likeliest, and the one that was chosen before. */
function offered(answer: ConsultResponse | null, chosen: string | undefined) {
  const causes = answer?.causes ?? [];
  return causes
    .filter(({ id }, rank) => rank < CAUSES_OFFERED || id === chosen)
    .map(({ id, name }) => ({ id, text: name }));
}

/** What it proved to be, and how that is known; it teaches what is common here. */
export function OutcomeChip({ plant, answer }: OutcomeChipProps) {
  const happen = useRecordEvent();
  const today = useAppSelector((state) => state.desk.clinic?.today ?? plant.date);
  const { outcome, id: plantId } = plant;
  const causes = offered(answer, outcome?.cause);
  const name = causes.find(({ id }) => id === outcome?.cause)?.text ?? outcome?.cause;
  const set = (cause: string, confirmed: Confirmation): void =>
    void happen({ kind: 'outcome-set', plantId, outcome: { cause, confirmed, on: today } });
  return (
    <Chip name={caseTexts.itWas} value={name ?? caseTexts.notKnownYet}>
      {() => (
        <Form>
          <Choices
            label={caseTexts.whatItProvedToBe}
            value={outcome?.cause ?? ''}
            choices={causes}
            onChange={(cause) => set(cause, outcome?.confirmed ?? 'enquirer')}
          />
          {outcome && (
            <Choices
              label={caseTexts.howThatIsKnown}
              value={outcome.confirmed}
              choices={HOW}
              onChange={(confirmed) => set(outcome.cause, confirmed)}
            />
          )}
          {outcome && (
            <Button onPress={() => void happen({ kind: 'outcome-set', plantId, outcome: null })}>
              {caseTexts.notKnownAfterAll}
            </Button>
          )}
          <LearningSwitch />
        </Form>
      )}
    </Chip>
  );
}

/** Confirmed cases move how common a cause is taken to be; the clinic can switch that off. */
function LearningSwitch() {
  const dispatch = useAppDispatch();
  const experience = useAppSelector((state) => state.desk.experience);
  if (!experience) return null;
  const cases = experience.seen.reduce((sum, one) => sum + one.cases, 0);
  return (
    <Learning>
      <p>
        {experience.learning
          ? caseTexts.learningExplained(cases.toFixed(1))
          : caseTexts.notLearning}
      </p>
      <Button kind="quiet" onPress={() => void switchLearning(dispatch, !experience.learning)}>
        {experience.learning ? caseTexts.doNotLearnFromCases : caseTexts.learnFromCases}
      </Button>
    </Learning>
  );
}
