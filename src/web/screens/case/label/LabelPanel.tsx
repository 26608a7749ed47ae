import { styled } from 'styled-components';
import type { LabelAnswer } from '../../../../application/answerLabel.ts';
import { storableText } from '../../../../contracts/storableText.ts';
import { MAX_LABEL, type CasePlant } from '../../../../contracts/cases.ts';
import { STAND_MARKS, STAND_WORDS } from '../../../../wording/label.ts';
import { Button } from '../../../kit/Button.tsx';
import { CharactersLeft, Paper } from '../../../kit/fields.tsx';
import { Notice } from '../../../kit/Notice.tsx';
import { useDraft } from '../../../kit/useDraft.ts';
import { labelTexts } from '../../../texts/labelTexts.ts';
import { useCaseId, useRecordEvent } from '../common/useCase.ts';
import { WidePanel } from '../common/WidePanel.tsx';
import { ClinicLabels } from './ClinicLabels.tsx';
import { useLabel } from './useLabel.ts';

const Stand = styled.p<{ $stand: LabelAnswer['stand'] }>`
  padding: 10px 0 6px;
  font-size: 19px;
  font-weight: 600;
  color: ${({ $stand }) => ($stand === 'fits' ? 'var(--teal)' : $stand === 'look' ? 'var(--ochre)' : 'var(--brick)')};
`;
const Points = styled.ul`
  & li {
    display: grid;
    grid-template-columns: 52px 1fr;
    padding: 5px 0;
    border-top: 1px solid var(--hairline);
  }
  & b {
    font-weight: 600;
    font-size: 13px;
  }
`;
const Told = styled.div`
  padding: 8px 0;
  & h3 {
    font-size: 14px;
    color: var(--quiet);
  }
`;

interface LabelPanelProps {
  readonly plant: CasePlant;
  readonly onClose: () => void;
}

const keptText = ({ plan }: CasePlant): string =>
  Object.values(plan.labels).findLast(({ text }) => text !== '')?.text ?? '';

/** The label as it is read out on the telephone: whether it fits, what the job takes, and what it asks for. */
export function LabelPanel({ plant, onClose }: LabelPanelProps) {
  const draft = useDraft(`label.${useCaseId()}.${plant.id}`, () => keptText(plant));
  const { text } = draft;
  const { working, problem, answer } = useLabel(text);
  const take = (typed: string): void => draft.take(storableText(typed.slice(0, MAX_LABEL)));
  return (
    <WidePanel title={labelTexts.title} chord="Alt R" onClose={onClose}>
      <Paper
        aria-label={labelTexts.words}
        placeholder={labelTexts.example}
        maxLength={MAX_LABEL}
        autoFocus
        value={text}
        onChange={({ target }) => take(target.value)}
      />
      <CharactersLeft used={text.length} max={MAX_LABEL} />
      <div aria-live="polite">
        {problem !== null && <Notice tone="caution">{problem}</Notice>}
        {answer === null && problem === null && (
          <Notice>{working ? labelTexts.beingJudged : labelTexts.nothingYet}</Notice>
        )}
        {answer && <Judged plant={plant} answer={answer} onKept={draft.forget} />}
      </div>
      <ClinicLabels text={text} onChoose={take} />
    </WidePanel>
  );
}

function Lines({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <Told>
      <h3>{title}</h3>
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </Told>
  );
}

interface JudgedProps {
  readonly plant: CasePlant;
  readonly answer: LabelAnswer;
  readonly onKept: () => void;
}

function Judged({ plant, answer, onKept }: JudgedProps) {
  const { stand, points, facts, job } = answer;
  return (
    <>
      <Stand $stand={stand}>{STAND_WORDS[stand]}</Stand>
      <Points aria-label={labelTexts.points}>
        {points.map((point) => (
          <li key={point.text}>
            <b>{STAND_MARKS[point.stand]}</b>
            <span>{point.text}</span>
          </li>
        ))}
      </Points>
      <Lines title={labelTexts.job} lines={stand === 'refused' ? [] : job} />
      <Lines title={labelTexts.facts} lines={facts} />
      <Keep plant={plant} answer={answer} onKept={onKept} />
    </>
  );
}

/** Keeps the label with the step it belongs to; its limits then count for the dates. */
function Keep({ plant, answer, onKept }: JudgedProps) {
  const happen = useRecordEvent();
  const { stand, step, keep } = answer;
  if (stand === 'refused') return <p>{labelTexts.refused}</p>;
  if (step === null) return <p>{labelTexts.notOfThePlan}</p>;
  if (plant.plan.labels[step]?.text === keep.text) return <p role="status">{labelTexts.kept}</p>;
  const take = (): void => {
    if (happen({ kind: 'label-read', plantId: plant.id, step, label: keep }) === null) onKept();
  };
  return (
    <Button kind="main" onPress={take}>
      {labelTexts.keep}
    </Button>
  );
}
