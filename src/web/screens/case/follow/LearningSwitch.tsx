import { styled } from 'styled-components';
import { Button } from '../../../kit/Button.tsx';
import { switchLearning } from '../../../store/actions.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { useCan } from '../../../store/useCan.ts';
import { caseTexts } from '../../../texts/caseTexts.ts';

const Learning = styled.div`
  margin-top: 14px;
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
  font-size: 13px;
`;

/** Confirmed cases move how common a cause is taken to be; the clinic can switch that off. */
export function LearningSwitch() {
  const dispatch = useAppDispatch();
  const switches = useCan('clinic.learn');
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
      {switches && (
        <Button kind="quiet" onPress={() => void switchLearning(dispatch, !experience.learning)}>
          {experience.learning ? caseTexts.doNotLearnFromCases : caseTexts.learnFromCases}
        </Button>
      )}
    </Learning>
  );
}
