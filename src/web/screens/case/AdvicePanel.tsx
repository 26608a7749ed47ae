import { caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { labelTexts } from '../../texts/labelTexts.ts';
import { sampleTexts } from '../../texts/sampleTexts.ts';
import { sheetTexts } from '../../texts/sheetTexts.ts';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { callInLines } from '../../../application/contacts.ts';
import { useAppSelector } from '../../store/store.ts';
import { midSentence } from '../../../wording/midSentence.ts';
import { shortDate } from '../../kit/dates.ts';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { PlanSteps } from './plan/PlanSteps.tsx';
import { ColumnTitle, Quietly } from './common/layout.ts';

type Advice = ConsultResponse['advice'];

const Verdict = styled.span<{ $careful: boolean }>`
  padding: 1px 8px;
  border-radius: 3px;
  white-space: nowrap;
  font: 600 14px/1.5 var(--sans);
  background: ${({ $careful }) => ($careful ? 'var(--ochre-wash)' : 'var(--teal-wash)')};
  color: ${({ $careful }) => ($careful ? 'var(--ochre)' : 'var(--teal)')};
`;
const Headline = styled.p`
  font-size: 16px;
  padding-bottom: 8px;
`;
const Note = styled.div`
  padding: 8px 0;
  border-top: 1px solid var(--hairline);
  & h3 {
    font-size: 14px;
  }
  & li + li {
    padding-top: 5px;
  }
  & li,
  & p {
    font-size: 14px;
  }
`;

const VERDICT_WORDS: Readonly<Record<Advice['verdict'], string>> = {
  leave: caseTexts.leaveIt,
  'act-now': caseTexts.actNow,
  wait: caseTexts.waitForTheWindow,
  'too-late': caseTexts.tooLateThisYear,
  'find-out': caseTexts.findOutFirst,
  professional: caseTexts.callAProfessional,
};
const CAREFUL: readonly Advice['verdict'][] = ['find-out', 'too-late', 'professional', 'wait'];

interface AdvicePanelProps {
  readonly answer: ConsultResponse | null;
  /** It is the answer that the case was closed with. */
  readonly closed: boolean;
  readonly plant: CasePlant;
  readonly onLabel: () => void;
  readonly onDates: () => void;
  readonly onSheet: () => void;
  readonly onSamples: () => void;
}

/** The advice so far: a sentence to say aloud, dated steps, cautions, and what not to do. */
export function AdvicePanel(props: AdvicePanelProps) {
  const { answer, plant, closed, onLabel, onDates, onSheet, onSamples } = props;
  const contacts = useAppSelector((state) => state.desk.contacts);
  if (!answer) return null;
  if (answer.urgent) return <Notice>{caseTexts.adviceWaits}</Notice>;
  const { verdict, headline, answers, steps, cautions, refer, notDoing, differ, lookAgain } =
    answer.advice;
  return (
    <section aria-label={caseTexts.adviceSoFar}>
      <ColumnTitle>
        {caseTexts.adviceSoFar}
        <Verdict $careful={CAREFUL.includes(verdict)}>{VERDICT_WORDS[verdict]}</Verdict>
        <Button kind="quiet" onPress={onDates}>
          {caseTexts.dates} <Key>Alt T</Key>
        </Button>
        <Button kind="quiet" onPress={onLabel}>
          {labelTexts.label} <Key>Alt R</Key>
        </Button>
        <Button kind="quiet" onPress={onSheet}>
          {sheetTexts.sheet} <Key>Alt L</Key>
        </Button>
        <Button kind="quiet" onPress={onSamples}>
          {sampleTexts.samples}
          {plant.samples.length > 0 && ` (${plant.samples.length})`} <Key>Alt M</Key>
        </Button>
      </ColumnTitle>
      <Headline>{headline}</Headline>
      {answers.length > 0 && (
        <Note>
          <h3>{caseTexts.asked}</h3>
          <ul>
            {answers.map(({ span: [start], asked, text }) => (
              <li key={start}>
                <b>{caseTexts.quoted(asked)}</b> {text}
              </li>
            ))}
          </ul>
        </Note>
      )}
      <PlanSteps steps={steps} plant={plant} closed={closed} />
      {notDoing.length > 0 && (
        <Note>
          <h3>{caseTexts.notDoing}</h3>
          <ul>
            {notDoing.map(({ text, why }) => (
              <li key={text}>
                {text}: {why}
              </li>
            ))}
          </ul>
        </Note>
      )}
      {differ.map(({ over, here, others, why }) => (
        <Note key={over}>
          <h3>
            {commonTexts.advisorsDiffer} {midSentence(over)}
          </h3>
          <p>
            {others} {commonTexts.here} {here} {why}
          </p>
        </Note>
      ))}
      {refer.length > 0 && (
        <Note>
          <h3>{caseTexts.referTo}</h3>
          <ul>
            {callInLines(answer.advice, contacts).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </Note>
      )}
      <Note>
        {cautions.map((caution) => (
          <p key={caution}>{caution}</p>
        ))}
        <p>
          {caseTexts.lookAgainAbout} {shortDate(lookAgain, plant.date)}.{' '}
          <Quietly>
            {commonTexts.library} {answer.knowledge.version.slice(0, 8)}
            {closed && caseTexts.answeredAtClosing}
          </Quietly>
        </p>
      </Note>
    </section>
  );
}
