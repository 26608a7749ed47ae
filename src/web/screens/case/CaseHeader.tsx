import { APPROACHES } from '../../../core/advice/context.ts';
import { APPROACH_WORDS, caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { styled } from 'styled-components';
import {
  MAX_CONTACT,
  MAX_NAME,
  type CasePlant,
  type CaseRecord,
} from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { briefDate } from '../../kit/dates.ts';
import { Button } from '../../kit/Button.tsx';
import { Chip } from '../../kit/Chip.tsx';
import { DateField } from '../../kit/DateField.tsx';
import { Choices, Field } from '../../kit/fields.tsx';
import { useAppSelector } from '../../store/store.ts';
import { useCan } from '../../store/useCan.ts';
import { Key } from '../../kit/Key.tsx';
import { finishTexts } from '../../texts/finishTexts.ts';
import { Clock } from './Clock.tsx';
import { ConsentFields } from './follow/ConsentFields.tsx';
import { PlantChooser } from '../../choosers/PlantChooser.tsx';
import { placeInWords, PlaceForm } from './PlaceForm.tsx';
import { useRecordEvent } from './common/useCase.ts';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  background: var(--surface);
  border-bottom: 1px solid var(--hairline);
  min-height: 40px;
  padding: 0 8px;
`;
const End = styled.div`
  display: flex;
  align-items: center;
  gap: 12px;
  margin-left: auto;
  padding: 4px 8px;
`;

const CHANNELS = [
  { id: 'phone', text: caseTexts.byTelephone },
  { id: 'walk-in', text: commonTexts.atTheDesk },
  { id: 'email', text: caseTexts.byEmail },
  { id: 'text', text: caseTexts.byTextMessage },
] as const;
const APPROACH_CHOICES = APPROACHES.map((id) => ({ id, text: APPROACH_WORDS[id] }));

function textOf<T extends string>(
  list: readonly { readonly id: T; readonly text: string }[],
  id: T,
): string {
  return list.find((one) => one.id === id)?.text ?? id;
}

function EnquirerChip({ record }: { readonly record: CaseRecord }) {
  const happen = useRecordEvent();
  const { name, contact } = record.enquirer;
  return (
    <Chip name={caseTexts.who} value={name || caseTexts.nameNotTaken}>
      {() => (
        <>
          <Field
            label={caseTexts.name}
            value={name}
            autoFocus
            max={MAX_NAME}
            onChange={(to) => happen({ kind: 'enquirer-set', name: to })}
          />
          <Field
            label={caseTexts.howToReachThem}
            value={contact}
            max={MAX_CONTACT}
            onChange={(to) => happen({ kind: 'enquirer-set', contact: to })}
          />
          <ConsentFields record={record} />
        </>
      )}
    </Chip>
  );
}

interface CaseHeaderProps {
  readonly record: CaseRecord;
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
  readonly onFinish: () => void;
}

/** Who, which plant, where, when: each a chip that opens in place. */
export function CaseHeader({ record, plant, answer, onFinish }: CaseHeaderProps) {
  const happen = useRecordEvent();
  const { id: plantId, place, date, approach } = plant;
  const known = answer?.plant ?? null;
  const closed = record.status === 'closed';
  const writes = useCan('cases.write');
  const clinic = useAppSelector((state) => state.desk.clinic);
  return (
    <Bar>
      <EnquirerChip record={record} />
      <Chip name={caseTexts.came} value={textOf(CHANNELS, record.channel)}>
        {() => (
          <Choices
            label={caseTexts.howTheyReachedUs}
            value={record.channel}
            choices={CHANNELS}
            onChange={(channel) => happen({ kind: 'channel-set', channel })}
          />
        )}
      </Chip>
      <Chip
        name={commonTexts.plant}
        value={
          known ? `${known.name}${plant.plant === null ? ' (heard)' : ''}` : caseTexts.notKnownYet
        }
      >
        {(close) => (
          <PlantChooser
            back={plant.plant === null ? null : caseTexts.takeItFromTheWords}
            onChoose={(chosen) => {
              happen({ kind: 'plant-chosen', plantId, plant: chosen });
              close();
            }}
          />
        )}
      </Chip>
      <Chip name={caseTexts.place} value={placeInWords(place, clinic)}>
        {(close) => <PlaceForm plant={plant} clinic={clinic} close={close} />}
      </Chip>
      <Chip name={commonTexts.day} value={briefDate(date)}>
        {() => (
          <DateField
            label={caseTexts.dayOfTheEnquiry}
            value={date}
            onChange={(to) => happen({ kind: 'date-set', plantId, date: to })}
          />
        )}
      </Chip>
      <Chip name={caseTexts.approach} value={APPROACH_WORDS[approach]}>
        {() => (
          <Choices
            label={caseTexts.howTheyWantToGarden}
            value={approach}
            choices={APPROACH_CHOICES}
            onChange={(to) => happen({ kind: 'approach-set', plantId, approach: to })}
          />
        )}
      </Chip>
      <End>
        <Clock caseId={record.id} since={record.openedAt} running={!closed} />
        {closed ? (
          <Button kind="quiet" onPress={() => happen({ kind: 'status-set', status: 'open' })}>
            {caseTexts.openAgain}
          </Button>
        ) : (
          <Button kind="quiet" isDisabled={!writes} onPress={onFinish}>
            {finishTexts.finish} <Key>Alt F</Key>
          </Button>
        )}
      </End>
    </Bar>
  );
}
