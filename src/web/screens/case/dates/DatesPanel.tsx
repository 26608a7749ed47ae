import { datesTexts } from '../../../texts/datesTexts.ts';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { isoDay } from '../../../../core/timing/calendar.ts';
import type { PlanSchedule } from '../../../../core/advice/planSchedule.ts';
import { shortDate } from '../../../kit/dates.ts';
import { Button } from '../../../kit/Button.tsx';
import { DateField } from '../../../kit/DateField.tsx';
import { Notice } from '../../../kit/Notice.tsx';
import { CalendarButton } from '../../../season/CalendarButton.tsx';
import { Quietly } from '../common/layout.ts';
import { useRecordEvent } from '../common/useCase.ts';
import { WidePanel } from '../common/WidePanel.tsx';
import { planCalendar } from './planCalendar.ts';
import { RibbonMonths } from './Ribbon.tsx';
import { StepDates } from './StepDates.tsx';
import { useSchedule } from './useSchedule.ts';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: end;
  padding-bottom: 8px;
  & > :last-child {
    margin-left: auto;
  }
`;

const Again = styled.p`
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
`;

interface DatesPanelProps {
  readonly caseId: string;
  readonly plant: CasePlant;
  readonly answer: ConsultResponse;
  readonly onClose: () => void;
}

/** The plan in days: windows, the next ten days, repeats, harvest and labels, and what moved since it was told. */
export function DatesPanel({ caseId, plant, answer, onClose }: DatesPanelProps) {
  const state = useSchedule(plant);
  const schedule = state.kind === 'ready' ? state.schedule : null;
  return (
    <WidePanel title={datesTexts.datesOfThePlan} chord="Alt T" onClose={onClose}>
      <p>{answer.advice.headline}</p>
      {state.kind === 'working' && <Notice>{datesTexts.beingWorkedOut}</Notice>}
      {state.kind === 'failed' && <Notice tone="caution">{state.message}</Notice>}
      {schedule && <Dated caseId={caseId} plant={plant} answer={answer} schedule={schedule} />}
    </WidePanel>
  );
}

interface DatedProps extends Omit<DatesPanelProps, 'onClose'> {
  readonly schedule: PlanSchedule;
}

function Dated({ caseId, plant, answer, schedule }: DatedProps) {
  const happen = useRecordEvent();
  const { today } = schedule;
  const { id: plantId, plan } = plant;
  const stepOf = new Map(answer.advice.steps.map((step) => [step.id, step]));
  if (schedule.steps.length === 0) return <Notice>{datesTexts.nothingHasDates}</Notice>;
  const product = schedule.steps.some(({ step }) => stepOf.get(step)?.product === true);
  const keep = (): void =>
    void happen({
      kind: 'dates-kept',
      plantId,
      dates: schedule.steps.flatMap(({ step, list }) =>
        list
          .filter(({ done }) => !done)
          .map(({ number, on }) => ({ step, number, on: isoDay(on) })),
      ),
    });
  return (
    <>
      <Bar>
        {product && schedule.food && (
          <DateField
            label={datesTexts.nextHarvest}
            optional
            value={plan.harvest ?? ''}
            onChange={(on) => happen({ kind: 'harvest-set', plantId, on: on === '' ? null : on })}
          />
        )}
        <Button onPress={keep}>
          {plan.kept.length > 0 ? datesTexts.keepInstead : datesTexts.keep}
        </Button>
        <CalendarButton
          fileName="plan.ics"
          make={() => planCalendar(`${caseId}-${plant.id}`, answer.advice, schedule, plan.own)}
        />
      </Bar>
      <Quietly>{datesTexts.legend}</Quietly>
      <RibbonMonths today={today} />
      {schedule.steps.map((step) => (
        <StepDates
          key={step.step}
          step={step}
          text={stepOf.get(step.step)?.text ?? step.step}
          amount={stepOf.get(step.step)?.amount?.text ?? null}
          product={stepOf.get(step.step)?.product === true}
          food={schedule.food}
          plan={plan}
          today={today}
          onDone={(on, done) =>
            happen({
              kind: done ? 'step-done' : 'step-undone',
              plantId,
              step: step.step,
              // What is planned for later and done now was done today.
              on: isoDay(done && on > today ? today : on),
            })
          }
          onSeen={(event, on) => happen({ kind: 'event-seen', plantId, event, on })}
          onLabel={(label) => happen({ kind: 'label-read', plantId, step: step.step, label })}
        />
      ))}
      <Again>
        {datesTexts.lookAtThePlantAgainAbout} {shortDate(answer.advice.lookAgain, isoDay(today))}.
      </Again>
    </>
  );
}
