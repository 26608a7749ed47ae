import { styled } from 'styled-components';
import type { CasePlant } from '../../../../contracts/cases.ts';
import {
  MAX_LABORATORY,
  sampleNumber,
  type Sample,
  type SampleChange,
} from '../../../../contracts/samples.ts';
import { shiftDay } from '../../../../core/timing/calendar.ts';
import { Button } from '../../../kit/Button.tsx';
import { DateField } from '../../../kit/DateField.tsx';
import { shortDate } from '../../../kit/dates.ts';
import { AmountField, Field } from '../../../kit/fields.tsx';
import type { LibraryIndex } from '../../../library/libraryIndex.ts';
import { sampleTexts } from '../../../texts/sampleTexts.ts';
import { contactsOf } from '../../../../application/contacts.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Quietly } from '../common/layout.ts';
import { useRecordEvent } from '../common/useCase.ts';
import { causeName } from '../../../library/causeName.ts';
import { SampleResult } from './SampleResult.tsx';

const Entry = styled.article`
  padding: 10px 0 14px;
  border-top: 1px solid var(--hairline);
`;
const Head = styled.h4`
  display: flex;
  align-items: baseline;
  gap: 10px;
  margin: 0;
  padding-bottom: 4px;
  font-size: 15px;
  & code {
    font: 600 17px/1.2 var(--figures);
  }
  & button {
    margin-left: auto;
  }
`;
const Way = styled.div`
  display: grid;
  grid-template-columns: 148px 148px 1fr;
  gap: 8px 12px;
  padding: 8px 0;
  && > div + div {
    margin-top: 0;
  }
`;

interface SampleEntryProps {
  readonly caseNumber: number;
  readonly plant: CasePlant;
  readonly sample: Sample;
  readonly shelf: LibraryIndex | null;
}

/** One sample: what stands on its label, where it is, and what came back. */
export function SampleEntry({ caseNumber, plant, sample, shelf }: SampleEntryProps) {
  const happen = useRecordEvent();
  const laboratories = contactsOf(
    useAppSelector((state) => state.desk.contacts),
    'laboratory',
  );
  const number = sampleNumber(caseNumber, sample);
  const kind = shelf?.library.sampleKinds.find(({ id }) => id === sample.kind);
  const change = (changed: SampleChange): void =>
    void happen({
      kind: 'sample-changed',
      plantId: plant.id,
      sample: sample.id,
      change: changed,
    });
  const sent = (on: string): void => {
    if (on === '') change({ sentOn: null });
    // An answer is looked for when the longest usual wait is over.
    else change({ sentOn: on, dueOn: sample.dueOn ?? (kind ? shiftDay(on, kind.days[1]) : null) });
  };
  const suspects = sample.suspects.map((id) => causeName(id, shelf));
  return (
    <Entry aria-label={`${sampleTexts.labelTitle} ${number}`}>
      <Head>
        <code>{number}</code> {kind?.name ?? sampleTexts.unknownKind}
        {sample.sentOn === null && sample.result === null && (
          <Button
            kind="quiet"
            aria-label={sampleTexts.removeOf(number)}
            onPress={() =>
              void happen({ kind: 'sample-removed', plantId: plant.id, sample: sample.id })
            }
          >
            {sampleTexts.remove}
          </Button>
        )}
      </Head>
      <Quietly>
        {sampleTexts.askedOn(shortDate(sample.askedOn, plant.date))}
        {suspects.length > 0 && ` · ${sampleTexts.forCauses(suspects.join(', '))}`}
      </Quietly>
      <Way>
        <DateField
          label={sampleTexts.sentOn}
          optional
          value={sample.sentOn ?? ''}
          onChange={sent}
        />
        <DateField
          label={sampleTexts.dueOn}
          optional
          value={sample.dueOn ?? ''}
          onChange={(on) => change({ dueOn: on === '' ? null : on })}
        />
        <AmountField
          label={sampleTexts.cost}
          value={sample.cost}
          most={100_000}
          onChange={(cost) => change({ cost })}
        />
      </Way>
      <Field
        label={sampleTexts.laboratory}
        value={sample.laboratory}
        max={MAX_LABORATORY}
        onChange={(laboratory) => change({ laboratory })}
      />
      {sample.laboratory === '' &&
        laboratories.map(({ id, name }) => (
          <Button key={id} kind="quiet" onPress={() => change({ laboratory: name })}>
            {sampleTexts.toLaboratory(name)}
          </Button>
        ))}
      <SampleResult
        plant={plant}
        number={number}
        sample={sample}
        sort={kind?.sort ?? 'specimen'}
        shelf={shelf}
        onChange={change}
      />
    </Entry>
  );
}
