import { useState } from 'react';
import { styled } from 'styled-components';
import {
  segmentsOf,
  sheetMail,
  sheetMessage,
  sheetOf,
  sheetText,
  type Sheet,
} from '../../../../application/sheet.ts';
import {
  MAX_SHEET,
  type CasePlant,
  type CaseRecord,
  type SheetWay,
} from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { parseDay } from '../../../../core/timing/calendar.ts';
import { Button } from '../../../kit/Button.tsx';
import { shortDate } from '../../../kit/dates.ts';
import { Notice } from '../../../kit/Notice.tsx';
import { OnPaper } from '../../../kit/OnPaper.tsx';
import { Switch } from '../../../kit/SplitPage.ts';
import { copyText } from '../../../kit/copyText.ts';
import { saveFile } from '../../../kit/saveFile.ts';
import { useCan } from '../../../store/useCan.ts';
import { useAppSelector } from '../../../store/store.ts';
import { releaseTexts } from '../../../texts/releaseTexts.ts';
import { sheetTexts } from '../../../texts/sheetTexts.ts';
import { Quietly } from '../common/layout.ts';
import { useCaseId, useRecordEvent } from '../common/useCase.ts';
import { WidePanel } from '../common/WidePanel.tsx';
import { planCalendar } from '../dates/planCalendar.ts';
import { useSchedule } from '../dates/useSchedule.ts';
import { SheetPaper } from './SheetPaper.tsx';
import { useSheetAnswers } from './useSheetAnswers.ts';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding-bottom: 10px;
`;
const Message = styled.div`
  padding: 8px 12px;
  margin-bottom: 10px;
  background: var(--surface);
  border-left: 3px solid var(--teal);
`;
interface SheetPanelProps {
  readonly record: CaseRecord;
  readonly plant: CasePlant;
  /** What stands for the open plant. */
  readonly answer: ConsultResponse | null;
  readonly onClose: () => void;
}

/** The sheet of the call as it will be printed, with the ways to hand it over; what was given is kept with the case. */
export function SheetPanel({ record, plant, answer, onClose }: SheetPanelProps) {
  const clinic = useAppSelector((state) => state.desk.clinic);
  const contacts = useAppSelector((state) => state.desk.contacts);
  const state = useSheetAnswers(record);
  const today = parseDay(plant.date);
  return (
    <WidePanel title={sheetTexts.sheetToTakeAlong} chord="Alt L" onClose={onClose} onGround>
      {state.kind === 'working' && <Notice>{sheetTexts.beingWorkedOut}</Notice>}
      {state.kind === 'failed' && (
        <Notice tone="caution">{sheetTexts.failed(state.message)}</Notice>
      )}
      {state.kind === 'ready' && state.answers.length === 0 && (
        <Notice>{sheetTexts.nothingYet}</Notice>
      )}
      {state.kind === 'ready' && state.answers.some(({ answer: { urgent } }) => urgent !== null) ? (
        <Notice tone="caution">{sheetTexts.dangerFirst}</Notice>
      ) : (
        state.kind === 'ready' &&
        state.answers.length > 0 &&
        today.ok && (
          <Given
            plant={plant}
            isReleased={record.release?.state === 'released'}
            answer={answer}
            sheet={sheetOf(state.answers, {
              clinic: clinic?.name ?? '',
              region: clinic?.region ?? '',
              reach: [clinic?.address, clinic?.hours].filter(Boolean).join('. '),
              contacts,
              today: today.value,
              caseNumber: record.number,
            })}
          />
        )
      )}
    </WidePanel>
  );
}

interface GivenProps {
  readonly plant: CasePlant;
  readonly sheet: Sheet;
  /** An advisor has released what a trainee would give out. */
  readonly isReleased: boolean;
  /** What stands for the open plant; null where nothing was said of it. */
  readonly answer: ConsultResponse | null;
}

/** The dates of the plan as a calendar file, `text` being null where there are none; not ready while they are worked out. */
function useCalendar(plant: CasePlant, answer: ConsultResponse | null) {
  const caseId = useCaseId();
  const schedule = useSchedule(plant);
  if (schedule.kind !== 'ready' || !answer)
    return { isReady: schedule.kind !== 'working', text: null };
  const file = planCalendar(
    `${caseId}-${plant.id}`,
    answer.advice,
    schedule.schedule,
    plant.plan.own,
  );
  return { isReady: true, text: file.ok ? file.value : null };
}

function Given({ plant, sheet, answer, isReleased }: GivenProps) {
  const happen = useRecordEvent();
  const calendar = useCalendar(plant, answer);
  const gives = useCan('advice.give') || isReleased;
  const [large, setLarge] = useState(false);
  const [short, setShort] = useState(false);
  const [note, setNote] = useState<string | null>(null);
  const text = sheetText(sheet);
  const message = sheetMessage(sheet);
  const keep = (how: SheetWay, given: string): void =>
    void happen({
      kind: 'sheet-given',
      plantId: plant.id,
      sheet: { on: plant.date, how, text: given.slice(0, MAX_SHEET) },
    });
  const copy = async (how: SheetWay, given: string): Promise<void> => {
    const done = await copyText(given);
    setNote(done ? sheetTexts.copied : sheetTexts.notCopied);
    if (done) keep(how, given);
  };
  return (
    <>
      <Bar>
        <Button
          kind="main"
          isDisabled={!gives}
          onPress={() => {
            keep('print', text);
            window.print();
          }}
        >
          {sheetTexts.print}
        </Button>
        <Button isDisabled={!gives} onPress={() => void copy('copy', text)}>
          {sheetTexts.copy}
        </Button>
        <Button
          isDisabled={!calendar.isReady || !gives}
          onPress={() => {
            saveFile('sheet.eml', 'message/rfc822', sheetMail(sheet, calendar.text));
            keep('email', text);
          }}
        >
          {sheetTexts.email}
        </Button>
        <Button onPress={() => setShort(!short)}>{sheetTexts.message}</Button>
        <Switch isSelected={large} onChange={setLarge}>
          {sheetTexts.large}
        </Switch>
        <span role="status">{gives ? note : releaseTexts.notYet}</span>
      </Bar>
      {short && (
        <Message>
          <p>{message}</p>
          <Quietly>{sheetTexts.segments(message.length, segmentsOf(message))}</Quietly>{' '}
          <Button kind="quiet" isDisabled={!gives} onPress={() => void copy('message', message)}>
            {sheetTexts.copyMessage}
          </Button>
        </Message>
      )}
      {plant.plan.given.length > 0 && (
        <p>
          {sheetTexts.given}:{' '}
          {plant.plan.given
            .map(({ on, how }) => `${shortDate(on, plant.date)} ${sheetTexts.ways[how]}`)
            .join(', ')}
        </p>
      )}
      <SheetPaper sheet={sheet} large={large} />
      <OnPaper>
        <SheetPaper sheet={sheet} large={large} />
      </OnPaper>
    </>
  );
}
