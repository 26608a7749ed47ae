import { caseTexts } from '../../texts/caseTexts.ts';
import { Fragment } from 'react';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { newId } from '../../../contracts/ids.ts';
import { CHANGE_QUESTION } from '../../../core/questions/candidateChange.ts';
import { PLANT_QUESTION } from '../../../core/questions/candidates.ts';
import { RELIED_ON } from '../../../core/schema/reliedOn.ts';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { useKeys } from '../../kit/useKeys.ts';
import { useStableValue } from '../../kit/useStableValue.ts';
import { PlateFigure } from '../../plates/PlateFigure.tsx';
import { ColumnTitle } from './common/layout.ts';
import { useRecordEvent } from './common/useCase.ts';

type Question = ConsultResponse['ask'][number];

const Area = styled.div`
  border-bottom: 2px solid var(--ink);
  padding-bottom: 10px;
  margin-bottom: 12px;
`;
const Asked = styled.li`
  padding: 6px 0 8px;
  border-top: 1px solid var(--hairline);
  & p {
    font-weight: 600;
  }
  & small {
    display: block;
    font-size: 13px;
    color: var(--quiet);
  }
`;
const AskBack = styled.p`
  padding: 5px 8px;
  margin-bottom: 6px;
  font-size: 14px;
  background: var(--ochre-wash);
  color: var(--ochre);
`;
const OneLook = styled.li`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: baseline;
  padding: 6px 0 4px;
  & p {
    flex: 1 1 16em;
    font-style: italic;
  }
  & button {
    padding: 2px 10px;
  }
`;
const Answers = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding-top: 5px;
  & button {
    padding: 2px 10px;
  }
`;

const ANSWER_SURE = 0.85;

const WithPlate = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 10px;
  align-items: start;
  & > * {
    grid-column: 1;
  }
  & > svg {
    grid-area: 1 / 2 / span 2;
  }
`;
const Choice = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 6px;
`;
const QUESTION_PLATE = 68;
const CHOICE_PLATE = 40;

interface AskPanelProps {
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
}

/** At most three questions, the most useful first, ready to read aloud. */
export function AskPanel({ plant, answer }: AskPanelProps) {
  const happen = useRecordEvent();
  const tell = (finding: string, value: boolean | string): void =>
    void happen(
      finding === PLANT_QUESTION && typeof value === 'string' && value !== 'unknown'
        ? { kind: 'plant-chosen', plantId: plant.id, plant: value }
        : {
            kind: 'answer-given',
            plantId: plant.id,
            answer: { id: newId(), finding, value, sure: ANSWER_SURE },
          },
    );
  const open = answer ? openQuestions(answer) : [];
  const [first] = open;
  // The others guess at what an open question asks for.
  const isAlone = answer?.plant === null || first?.finding === CHANGE_QUESTION;
  const questions = isAlone ? open.slice(0, 1) : open;
  const together = askedTogether(questions);
  const noneOfThem = (): void => together.forEach(({ finding }) => tell(finding, false));
  const read = useStableValue(first, first?.finding);
  const answerFirst = (value: boolean | 'unknown') => () => {
    const meant = read();
    if (meant && (meant.choices.length === 0 || value === 'unknown')) tell(meant.finding, value);
  };
  useKeys({
    'alt+y': answerFirst(true),
    'alt+n': answerFirst(false),
    'alt+u': answerFirst('unknown'),
    'alt+0': noneOfThem,
  });
  return (
    <Area role="region" aria-label={caseTexts.askNext}>
      <ColumnTitle>{caseTexts.askNext}</ColumnTitle>
      {answer && <Conflicts conflicts={answer.conflicts} />}
      {answer?.settled && <Settled why={answer.settledWhy} />}
      <ul>
        {questions.map((question, i) => (
          <Fragment key={question.finding}>
            {opensLook(questions, i) && (
              <OneLook>
                <p>{question.look?.say}</p>
                {i === 0 && (
                  <Button keepsFocus onPress={noneOfThem}>
                    {caseTexts.noneOfThese(together.length)} <Key>Alt 0</Key>
                  </Button>
                )}
              </OneLook>
            )}
            <QuestionItem
              question={question}
              words={plant.words}
              showKeys={i === 0}
              onTell={tell}
            />
          </Fragment>
        ))}
      </ul>
    </Area>
  );
}

/** What is still to be asked: once the cause is settled only how much is affected. */
const openQuestions = ({ settled, ask }: ConsultResponse): readonly Question[] =>
  settled ? ask.filter(({ finding }) => finding === RELIED_ON.groups.extent) : ask;

/** The first question with those that the same look answers; none where it stands by itself. */
function askedTogether(questions: readonly Question[]): readonly Question[] {
  const [first] = questions;
  if (!first?.look) return [];
  const { id } = first.look;
  const together = questions.filter(({ look }) => look?.id === id);
  return together.length > 1 ? together : [];
}

/** Whether a question is the first of several that stand together and that one look answers. */
function opensLook(questions: readonly Question[], i: number): boolean {
  const lookAt = (at: number): string | undefined => questions[at]?.look?.id;
  return lookAt(i) !== undefined && lookAt(i) !== lookAt(i - 1) && lookAt(i) === lookAt(i + 1);
}

/** Why nothing is left to ask, and what to send when only that would help. */
function Settled({ why }: { readonly why: ConsultResponse['settledWhy'] }) {
  return (
    <Asked as="div">
      <p>{caseTexts.settled}</p>
      <small>{why.reason}</small>
      {why.sample !== null && (
        <small>
          {caseTexts.onlyASampleWouldHelp} {why.sample}
        </small>
      )}
    </Asked>
  );
}

/** Reports that hardly go together, to be asked back first. */
function Conflicts({ conflicts }: { readonly conflicts: ConsultResponse['conflicts'] }) {
  return conflicts.map(({ text }) => (
    <AskBack key={text} role="note">
      {text}
    </AskBack>
  ));
}

interface QuestionItemProps {
  readonly question: Question;
  readonly words: string;
  readonly showKeys: boolean;
  readonly onTell: (finding: string, value: boolean | string) => void;
}

function QuestionItem({ question, words, showKeys, onTell }: QuestionItemProps) {
  const { finding, choices, plate, said } = question;
  const button = (
    text: string,
    value: boolean | string,
    key: string,
    drawn: string | null = null,
  ) => (
    <Button
      key={text}
      keepsFocus
      onPress={() => onTell(finding, value)}
      aria-label={`${text}: ${question.question}`}
    >
      <Choice>
        {drawn !== null && <PlateFigure plate={drawn} pixels={CHOICE_PLATE} />}
        {text} {showKeys && key !== '' && <Key>Alt {key}</Key>}
      </Choice>
    </Button>
  );
  return (
    <Asked>
      <WithPlate>
        {said && <small>{caseTexts.halfHeard(words.slice(...said))}</small>}
        <p>{question.question}</p>
        {plate !== null && <PlateFigure plate={plate} pixels={QUESTION_PLATE} />}
        {question.how && <small>{question.how}</small>}
      </WithPlate>
      <Answers>
        {choices.length === 0
          ? [button(caseTexts.yes, true, 'Y'), button(caseTexts.no, false, 'N')]
          : choices.map((choice) => button(choice.label, choice.finding, '', choice.plate))}
        {button(caseTexts.cannotTell, 'unknown', 'U')}
      </Answers>
    </Asked>
  );
}
