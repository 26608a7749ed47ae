import { APPROACHES } from '../../../core/advice/context.ts';
import { APPROACH_WORDS, caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { useState } from 'react';
import { styled } from 'styled-components';
import {
  MAX_CONTACT,
  MAX_NAME,
  type CasePlant,
  type CaseRecord,
  type Clinic,
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

function degrees(value: number, positive: string, negative: string): string {
  return `${Math.abs(value).toFixed(1)}° ${value >= 0 ? positive : negative}`;
}

/** The region of the clinic where the plant stands there, or else its coordinates. */
function placeInWords({ lat, lon }: CasePlant['place'], clinic: Clinic | null): string {
  if (clinic?.place.lat === lat && clinic.place.lon === lon) return clinic.region;
  return `${degrees(lat, 'N', 'S')} ${degrees(lon, 'E', 'W')}`;
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

function PlaceForm({ plant, close }: { readonly plant: CasePlant; readonly close: () => void }) {
  const happen = useRecordEvent();
  const [lat, setLat] = useState(String(plant.place.lat));
  const [lon, setLon] = useState(String(plant.place.lon));
  const [height, setHeight] = useState(String(plant.place.height ?? ''));
  const known = height.trim() === '' ? {} : { height: Number(height) };
  const place = { lat: Number(lat), lon: Number(lon), ...known };
  const good =
    lat.trim() !== '' &&
    lon.trim() !== '' &&
    Math.abs(place.lat) <= 90 &&
    Math.abs(place.lon) <= 180 &&
    (known.height === undefined || (known.height >= -450 && known.height <= 6000));
  const save = (): void => {
    happen({ kind: 'place-set', plantId: plant.id, place });
    close();
  };
  return (
    <>
      <Field label={caseTexts.latitudeSouthIsNegative} value={lat} autoFocus onChange={setLat} />
      <Field label={caseTexts.longitudeWestIsNegative} value={lon} onChange={setLon} />
      <Field label={caseTexts.heightInMetresIfKnown} value={height} onChange={setHeight} />
      <p>{good ? '' : caseTexts.placeInvalid}</p>
      <Button kind="main" isDisabled={!good} onPress={save}>
        {caseTexts.useThisPlace}
      </Button>
    </>
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
        {(close) => <PlaceForm plant={plant} close={close} />}
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
