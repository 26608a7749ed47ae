import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { useKeys } from '../../kit/useKeys.ts';
import { ColumnTitle } from './layout.ts';
import { useHappen } from './useCase.ts';

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

interface AskPanelProps {
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
}

/** At most three questions, the most useful first, ready to read aloud. */
export function AskPanel({ plant, answer }: AskPanelProps) {
  const happen = useHappen();
  const tell = (finding: string, value: boolean | string): void =>
    happen({
      kind: 'answer-given',
      plantId: plant.id,
      answer: { finding, value, sure: ANSWER_SURE },
    });
  const questions = answer && !answer.settled ? answer.ask : [];
  const [first] = questions;
  const answerFirst = (value: boolean | 'unknown') => () => {
    if (first && (first.choices.length === 0 || value === 'unknown')) tell(first.finding, value);
  };
  useKeys({
    'alt+y': answerFirst(true),
    'alt+n': answerFirst(false),
    'alt+u': answerFirst('unknown'),
  });
  return (
    <Area role="region" aria-label="Ask next">
      <ColumnTitle>Ask next</ColumnTitle>
      {answer && questions.length === 0 && <p>Settled: no question would change the advice now.</p>}
      {answer && answer.plant === null && <HostQuestion />}
      <ul>
        {(answer?.plant === null ? [] : questions).map((question, i) => (
          <QuestionItem
            key={question.finding}
            question={question}
            showKeys={i === 0}
            onTell={tell}
          />
        ))}
      </ul>
    </Area>
  );
}

/** The plant comes first: without it every cause of the library stands. */
function HostQuestion() {
  return (
    <Asked as="div">
      <p>Which plant is it?</p>
      <small>
        If they do not know: is it a tree, a shrub, a vegetable, grass or in a pot? Needles or
        leaves? Type what they say, or choose it above.
      </small>
    </Asked>
  );
}

interface QuestionItemProps {
  readonly question: Question;
  readonly showKeys: boolean;
  readonly onTell: (finding: string, value: boolean | string) => void;
}

function QuestionItem({ question, showKeys, onTell }: QuestionItemProps) {
  const { finding, choices } = question;
  const button = (text: string, value: boolean | string, key: string) => (
    <Button
      key={text}
      onPress={() => onTell(finding, value)}
      aria-label={`${text}: ${question.question}`}
    >
      {text} {showKeys && key !== '' && <Key>Alt {key}</Key>}
    </Button>
  );
  return (
    <Asked>
      <p>{question.question}</p>
      {question.how && <small>{question.how}</small>}
      <Answers>
        {choices.length === 0
          ? [button('Yes', true, 'Y'), button('No', false, 'N')]
          : choices.map((choice) => button(choice.label, choice.finding, ''))}
        {button('Cannot tell', 'unknown', 'U')}
      </Answers>
    </Asked>
  );
}
