import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { styled } from 'styled-components';
import { editedPlan, movedStep } from '../../../../application/editedPlan.ts';
import type { CasePlant, StoredLabel } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { labelLines } from '../../../../wording/label.ts';
import { Button } from '../../../kit/Button.tsx';
import { shortDate } from '../../../kit/dates.ts';
import { caseTexts } from '../../../texts/caseTexts.ts';
import { commonTexts } from '../../../texts/commonTexts.ts';
import { labelTexts } from '../../../texts/labelTexts.ts';
import { planTexts } from '../../../texts/planTexts.ts';
import type { WayBack } from '../../bench/wayBack.ts';
import { AddStep, Changes } from './ChangePlan.tsx';
import { useRecordEvent } from '../common/useCase.ts';
import { useLabel } from '../label/useLabel.ts';

type Step = ConsultResponse['advice']['steps'][number];

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

const Out = styled.div`
  padding: 6px 0;
  border-top: 1px solid var(--hairline);
  font-size: 14px;
  & h3 {
    font-size: 14px;
  }
`;

function whenOf({ when }: Step, today: string): string {
  if (when.from <= today)
    return when.to === null ? commonTexts.now : caseTexts.nowTo(shortDate(when.to, today));
  return when.to === null
    ? caseTexts.from(shortDate(when.from, today))
    : `${shortDate(when.from, today)} – ${shortDate(when.to, today)}`;
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

function HowMuch({ amount }: { readonly amount: NonNullable<Step['amount']> }) {
  const { pathname } = useLocation();
  const back: WayBack = { back: pathname };
  return (
    <Amount>
      <dt>{caseTexts.howMuch}</dt>
      <dd>
        {amount.text}
        {amount.assumed.map((one) => (
          <Assumed key={one}>{caseTexts.assumed(one)}</Assumed>
        ))}
        {amount.bench !== null && (
          <Link to={amount.bench} state={back}>
            {caseTexts.onTheBench}
          </Link>
        )}
      </dd>
    </Amount>
  );
}

interface AdvisedProps {
  readonly step: Step;
  readonly plant: CasePlant;
}

function Advised({ step, plant }: AdvisedProps) {
  return (
    <>
      <When title={step.when.note}>{whenOf(step, plant.date)}</When>
      <div>
        {step.text}
        {step.amount && <HowMuch amount={step.amount} />}
      </div>
      <ByLabel label={plant.plan.labels[step.id]} />
      {step.cautions.length > 0 && (
        <Small>
          {step.cautions.map((caution) => (
            <li key={caution}>
              {commonTexts.mind} {caution}
            </li>
          ))}
        </Small>
      )}
    </>
  );
}

function Own({
  step,
  today,
}: {
  readonly step: CasePlant['plan']['own'][number];
  readonly today: string;
}) {
  // A step in somebody's own words is held against the same rules as those of the library.
  const rules = useLabel(step.text).answer?.rules ?? [];
  return (
    <>
      <When title={planTexts.own}>
        {step.on === null ? planTexts.anyDay : shortDate(step.on, today)}
      </When>
      <div>{step.text}</div>
      {rules.length > 0 && (
        <Small>
          {rules.map((rule) => (
            <li key={rule}>
              {commonTexts.mind} {rule}
            </li>
          ))}
        </Small>
      )}
    </>
  );
}

interface PlanStepsProps {
  readonly steps: readonly Step[];
  readonly plant: CasePlant;
  /** The case is closed: its plan is read and not changed. */
  readonly closed: boolean;
}

/** The steps of the plan as the advisor left it; they are moved, left out and added to while it is being changed. */
export function PlanSteps({ steps, plant, closed }: PlanStepsProps) {
  const happen = useRecordEvent();
  const [changing, setChanging] = useState(false);
  const edited = editedPlan(steps, plant.plan);
  const isChanging = changing && !closed;
  const move = (id: string, by: -1 | 1): void => {
    const order = movedStep(edited, id, by);
    if (order) happen({ kind: 'steps-ordered', plantId: plant.id, order: [...order] });
  };
  return (
    <>
      <ol>
        {edited.steps.map((one) => (
          <StepItem key={one.id}>
            {one.kind === 'own' ? (
              <Own step={one.step} today={plant.date} />
            ) : (
              <Advised step={one.step} plant={plant} />
            )}
            {isChanging && <Changes one={one} plant={plant} onMove={(by) => move(one.id, by)} />}
          </StepItem>
        ))}
      </ol>
      {edited.leftOut.length > 0 && (
        <Out>
          <h3>{planTexts.leftOut}</h3>
          {edited.leftOut.map(({ id, text }) => (
            <p key={id}>
              {text}{' '}
              {isChanging && (
                <Button
                  kind="quiet"
                  aria-label={planTexts.takeInOf(text)}
                  onPress={() =>
                    void happen({ kind: 'step-taken-in', plantId: plant.id, step: id })
                  }
                >
                  {planTexts.takeIn}
                </Button>
              )}
            </p>
          ))}
        </Out>
      )}
      {isChanging && <AddStep key={plant.id} plantId={plant.id} />}
      {!closed && (
        <Button kind="quiet" onPress={() => setChanging(!changing)}>
          {changing ? planTexts.done : planTexts.edit}
        </Button>
      )}
    </>
  );
}
