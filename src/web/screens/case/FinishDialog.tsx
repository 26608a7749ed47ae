import { useState, type KeyboardEvent } from 'react';
import { styled } from 'styled-components';
import { MAX_CONTACT, type CaseRecord } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { shiftDay } from '../../../core/timing/calendar.ts';
import { Button } from '../../kit/Button.tsx';
import { DateField } from '../../kit/DateField.tsx';
import { Field } from '../../kit/fields.tsx';
import { FloatingDialog } from '../../kit/FloatingDialog.tsx';
import { Key } from '../../kit/Key.tsx';
import { longDate } from '../../kit/dates.ts';
import { closeCase } from '../../store/page.ts';
import { useAppSelector } from '../../store/store.ts';
import { useCan } from '../../store/useCan.ts';
import { finishTexts } from '../../texts/finishTexts.ts';
import { HandOver, useHandingOver } from './HandOver.tsx';
import { useRecordEvent } from './common/useCase.ts';

const Ends = styled.ul`
  display: grid;
  gap: 14px;
  padding: 14px 0 4px;
  & li {
    display: grid;
    justify-items: start;
    gap: 4px;
  }
  & small {
    font-size: 14px;
    color: var(--quiet);
  }
`;

/** Days until a call-back, where the advice names no day to look again. */
const CALL_BACK_DAYS = 3;

interface FinishDialogProps {
  readonly record: CaseRecord;
  readonly answer: ConsultResponse | null;
  readonly open: boolean;
  readonly onClose: () => void;
  /** Turns to the samples of the case. */
  readonly onSamples: () => void;
}

/** How a call ends and when it goes on, each end by one key. */
export function FinishDialog({ record, answer, open, onClose, onSamples }: FinishDialogProps) {
  const happen = useRecordEvent();
  const today = useAppSelector((state) => state.desk.clinic?.today ?? '');
  const lookAgain = answer?.advice.lookAgain ?? null;
  const soon = today === '' ? '' : shiftDay(today, CALL_BACK_DAYS);
  const [typed, setTyped] = useState<string | null>(null);
  const day = typed ?? record.callBackOn ?? lookAgain ?? soon;
  const mayClose = useCan('advice.give') || record.release?.state === 'released';
  const close = (): void => {
    void closeCase(record.id);
    onClose();
  };
  const callBack = (): void => {
    happen({ kind: 'call-back-set', on: day });
    happen({ kind: 'status-set', status: 'waiting' });
    onClose();
  };
  const sample = (): void => {
    onSamples();
    onClose();
  };
  const handing = useHandingOver(open, onClose);
  const ends: Readonly<Record<string, () => void>> = {
    1: () => mayClose && close(),
    2: () => day !== '' && callBack(),
    3: sample,
    [finishTexts.handOverKey]: handing.handOver,
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const end = ends[event.key];
    if (!end || !(event.target instanceof HTMLButtonElement)) return;
    event.preventDefault();
    end();
  };
  return (
    <FloatingDialog title={finishTexts.title} open={open} onClose={onClose}>
      <Ends onKeyDown={onKeyDown}>
        <li>
          <Button isDisabled={!mayClose} autoFocus={mayClose} onPress={close}>
            {finishTexts.advised} <Key>1</Key>
          </Button>
          {!mayClose && <small>{finishTexts.needsRelease}</small>}
          {mayClose && lookAgain !== null && (
            <small>{finishTexts.asksAgain(longDate(lookAgain))}</small>
          )}
        </li>
        <li>
          <Field
            label={finishTexts.reach}
            value={record.enquirer.contact}
            max={MAX_CONTACT}
            onChange={(contact) => happen({ kind: 'enquirer-set', contact })}
          />
          <DateField label={finishTexts.callBackOn} value={day} onChange={setTyped} />
          <Button isDisabled={day === ''} autoFocus={!mayClose} onPress={callBack}>
            {finishTexts.callBack} <Key>2</Key>
          </Button>
          <small>{finishTexts.comesUp}</small>
        </li>
        <li>
          <Button onPress={sample}>
            {finishTexts.sample} <Key>3</Key>
          </Button>
          <small>{finishTexts.sampleHow}</small>
        </li>
        <HandOver {...handing} />
      </Ends>
    </FloatingDialog>
  );
}
