import { caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { labelTexts } from '../../texts/labelTexts.ts';
import { sheetTexts } from '../../texts/sheetTexts.ts';
import { Link, useLocation } from 'react-router';
import { styled } from 'styled-components';
import type { CasePlan, StoredLabel } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { labelLines } from '../../../wording/label.ts';
import { midSentence } from '../../../wording/midSentence.ts';
import { shortDate } from '../../kit/dates.ts';
import type { WayBack } from '../bench/wayBack.ts';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { ColumnTitle, Quietly } from './common/layout.ts';

type Advice = ConsultResponse['advice'];
type Step = Advice['steps'][number];

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
const StepItem = styled.li`
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 2px 10px;
  padding: 7px 0;
  border-top: 1px solid var(--hairline);
`;
const When = styled.span`
  font: 14px/1.4 var(--figures);
  color: var(--quiet);
`;
const Small = styled.ul`
  grid-column: 2;
  font-size: 13px;
  color: var(--ochre);
`;
const Amount = styled.dl`
  font-size: 14px;
  & dt,
  & dd {
    display: inline;
    margin: 0;
  }
  & dt {
    color: var(--quiet);
  }
  & dt::after {
    content: ': ';
  }
  & dd {
    font-weight: 600;
    & a {
      display: block;
      font-weight: 400;
      font-size: 13px;
    }
  }
`;
const Assumed = styled.span`
  display: block;
  font-weight: 400;
  color: var(--quiet);
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

function whenOf({ when }: Step, today: string): string {
  if (when.from <= today)
    return when.to === null ? commonTexts.now : caseTexts.nowTo(shortDate(when.to, today));
  return when.to === null
    ? caseTexts.from(shortDate(when.from, today))
    : `${shortDate(when.from, today)} – ${shortDate(when.to, today)}`;
}

interface StepsProps {
  readonly steps: readonly Step[];
  readonly today: string;
  readonly labels: CasePlan['labels'];
}

function Steps({ steps, today, labels }: StepsProps) {
  const { pathname } = useLocation();
  const back: WayBack = { back: pathname };
  return (
    <ol>
      {steps.map((step) => (
        <StepItem key={step.id}>
          <When title={step.when.note}>{whenOf(step, today)}</When>
          <div>
            {step.text}
            {step.amount && (
              <Amount>
                <dt>{caseTexts.howMuch}</dt>
                <dd>
                  {step.amount.text}
                  {step.amount.assumed.map((one) => (
                    <Assumed key={one}>{caseTexts.assumed(one)}</Assumed>
                  ))}
                  {step.amount.bench !== null && (
                    <Link to={step.amount.bench} state={back}>
                      {caseTexts.onTheBench}
                    </Link>
                  )}
                </dd>
              </Amount>
            )}
          </div>
          <ByLabel label={labels[step.id]} />
          {step.cautions.length > 0 && (
            <Small>
              {step.cautions.map((caution) => (
                <li key={caution}>
                  {commonTexts.mind} {caution}
                </li>
              ))}
            </Small>
          )}
        </StepItem>
      ))}
    </ol>
  );
}

/** What the label that was read out for a step comes to. */
function ByLabel({ label }: { readonly label: StoredLabel | undefined }) {
  const lines = label === undefined ? [] : labelLines(label.text);
  if (lines.length === 0) return null;
  return (
    <Small>
      <li>
        <b>{labelTexts.byLabel}:</b> {lines.join('; ')}
      </li>
    </Small>
  );
}

interface AdvicePanelProps {
  readonly answer: ConsultResponse | null;
  readonly today: string;
  /** It is the answer that the case was closed with. */
  readonly closed: boolean;
  readonly labels: CasePlan['labels'];
  readonly onLabel: () => void;
  readonly onDates: () => void;
  readonly onSheet: () => void;
}

/** The advice so far: a sentence to say aloud, dated steps, cautions, and what not to do. */
export function AdvicePanel(props: AdvicePanelProps) {
  const { answer, today, closed, labels, onLabel, onDates, onSheet } = props;
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
        {steps.some(({ product }) => product) && (
          <Button kind="quiet" onPress={onLabel}>
            {labelTexts.label} <Key>Alt R</Key>
          </Button>
        )}
        <Button kind="quiet" onPress={onSheet}>
          {sheetTexts.sheet} <Key>Alt L</Key>
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
      <Steps steps={steps} today={today} labels={labels} />
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
          <p>{refer.join(', ')}</p>
        </Note>
      )}
      <Note>
        {cautions.map((caution) => (
          <p key={caution}>{caution}</p>
        ))}
        <p>
          {caseTexts.lookAgainAbout} {shortDate(lookAgain, today)}.{' '}
          <Quietly>
            {commonTexts.library} {answer.knowledge.version.slice(0, 8)}
            {closed && caseTexts.answeredAtClosing}
          </Quietly>
        </p>
      </Note>
    </section>
  );
}
