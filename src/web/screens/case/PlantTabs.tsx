import { caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { styled } from 'styled-components';
import type { CasePlant, CaseRecord } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { Button } from '../../kit/Button.tsx';
import { Chip } from '../../kit/Chip.tsx';
import { DateField } from '../../kit/DateField.tsx';
import { Key } from '../../kit/Key.tsx';
import { followTexts } from '../../texts/followTexts.ts';
import { causeName } from '../../library/causeName.ts';
import { useRecordEvent } from './common/useCase.ts';
import { AssigneeChip } from './AssigneeChip.tsx';
import { NotesChip } from './NotesChip.tsx';
import { TabChip } from './TabChip.tsx';
import { SavedMark } from './SavedMark.tsx';
import { tabTitles } from './tabTitle.ts';
import { tabKey } from '../../store/cases/casesSlice.ts';
import { useAppSelector } from '../../store/store.ts';
import { briefDate } from '../../kit/dates.ts';

const Bar = styled.nav`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  padding: 0 12px;
  background: var(--ground);
  border-bottom: 1px solid var(--hairline);
  & h1 {
    font-size: 16px;
    padding-right: 8px;
  }
`;
const Tab = styled(Button)`
  border-radius: 0;
  border-bottom: 3px solid transparent;
  &[aria-current='page'] {
    border-bottom-color: var(--teal);
    font-weight: 600;
  }
`;

const Right = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 8px;
  margin-left: auto;
`;

/** When to ring back; booking a day puts the case on the Desk's list, clearing it takes it off. */
function CallBackChip({ record }: { readonly record: CaseRecord }) {
  const happen = useRecordEvent();
  const { callBackOn } = record;
  return (
    <Chip
      name={commonTexts.callBack}
      value={callBackOn === null ? caseTexts.notBooked : briefDate(callBackOn)}
    >
      {() => (
        <DateField
          label={caseTexts.callBackDay}
          optional
          value={callBackOn ?? ''}
          onChange={(on) => happen({ kind: 'call-back-set', on: on === '' ? null : on })}
        />
      )}
    </Chip>
  );
}

interface CameOfItProps {
  readonly plant: CasePlant;
  /** What stands for the plant; it names most outcomes without the library. */
  readonly answer: ConsultResponse | null;
  readonly onFollow: () => void;
}

/** What is known of how it ended, and the way to write that down. */
function CameOfIt({ plant: { outcome, followUp }, answer, onFollow }: CameOfItProps) {
  const known = answer?.causes.find(({ id }) => id === outcome?.cause);
  const proved = outcome && (known?.name ?? causeName(outcome.cause, null));
  const went = followUp && followTexts.results[followUp.result];
  const value = [proved, went].filter((one) => one !== null).join(', ');
  return (
    <Button kind="quiet" onPress={onFollow}>
      {followTexts.chip}: {value || followTexts.nothingYet} <Key>Alt O</Key>
    </Button>
  );
}

interface PlantTabsProps {
  readonly record: CaseRecord;
  readonly active: string;
  readonly answer: ConsultResponse | null;
  /** Turns to what came of it. */
  readonly onFollow: () => void;
  readonly onShow: (plantId: string) => void;
  readonly onAdd: () => void;
}

/** The plants of one call, each a tab. */
export function PlantTabs({ record, active, answer, onFollow, onShow, onAdd }: PlantTabsProps) {
  const plant = record.plants.find(({ id }) => id === active);
  const heard = useAppSelector(({ cases }) => cases.plantNames);
  const titles = tabTitles(
    record.plants.map((one) => ({
      ...one,
      name: one.name.trim() || (heard[tabKey(record.id, one.id)] ?? null),
    })),
  );
  return (
    <Bar aria-label={caseTexts.plantsOfThisCall}>
      <h1>
        {commonTexts.caseWord} {record.number}
      </h1>
      {record.plants.map(({ id }, position) => (
        <Tab
          key={id}
          kind="quiet"
          aria-current={id === active ? 'page' : 'false'}
          onPress={() => onShow(id)}
        >
          {titles[position]}
        </Tab>
      ))}
      <Button kind="quiet" onPress={onAdd}>
        {caseTexts.anotherPlant} <Key>Alt P</Key>
      </Button>
      {plant && <TabChip record={record} plant={plant} titles={titles} />}
      <Right>
        <SavedMark />
        {plant && <CameOfIt plant={plant} answer={answer} onFollow={onFollow} />}
        <AssigneeChip record={record} />
        <NotesChip record={record} />
        <CallBackChip record={record} />
      </Right>
    </Bar>
  );
}
