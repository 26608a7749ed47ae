import { styled } from 'styled-components';
import type { CasePlant, CaseRecord } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { sampleNumber } from '../../../../contracts/samples.ts';
import { Button } from '../../../kit/Button.tsx';
import { Notice } from '../../../kit/Notice.tsx';
import { OnPaper } from '../../../kit/OnPaper.tsx';
import { useLibrary } from '../../../library/useLibrary.ts';
import type { LibraryIndex } from '../../../library/libraryIndex.ts';
import { useAppSelector } from '../../../store/store.ts';
import { sampleTexts } from '../../../texts/sampleTexts.ts';
import { Halves } from '../common/layout.ts';
import { WidePanel } from '../common/WidePanel.tsx';
import { causeName } from '../../../library/causeName.ts';
import { AskForSample } from './AskForSample.tsx';
import { SampleEntry } from './SampleEntry.tsx';
import { SampleLabels, type LabelOfSample } from './SampleLabels.tsx';

const Head = styled.div`
  display: flex;
  align-items: baseline;
  justify-content: space-between;
`;

interface SamplePanelProps {
  readonly record: CaseRecord;
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
  readonly onClose: () => void;
}

/** Labels of the samples that have not been sent. */
function labelsOf(
  { number }: CaseRecord,
  { samples }: CasePlant,
  plant: string,
  shelf: LibraryIndex | null,
): readonly LabelOfSample[] {
  return samples
    .filter(({ sentOn }) => sentOn === null)
    .map((sample) => ({
      number: sampleNumber(number, sample),
      plant,
      kind:
        shelf?.library.sampleKinds.find(({ id }) => id === sample.kind)?.name ??
        sampleTexts.unknownKind,
      suspects: sample.suspects.map((id) => causeName(id, shelf)),
      laboratory: sample.laboratory,
    }));
}

/** Samples of a plant: what would decide, what was asked for, where it is and what came back. */
export function SamplePanel({ record, plant, answer, onClose }: SamplePanelProps) {
  const { reading } = useLibrary();
  const shelf = reading?.shelf ?? null;
  const clinic = useAppSelector((state) => state.desk.clinic);
  const labels = labelsOf(record, plant, answer?.plant?.name ?? '', shelf);
  return (
    <WidePanel title={sampleTexts.title} chord="Alt M" onClose={onClose}>
      {labels.length > 0 && (
        <OnPaper>
          <SampleLabels
            clinic={[clinic?.name, clinic?.region].filter(Boolean).join(', ')}
            labels={labels}
          />
        </OnPaper>
      )}
      <Halves>
        <section>
          <h3>{sampleTexts.what}</h3>
          {shelf ? (
            <AskForSample plant={plant} answer={answer} shelf={shelf} />
          ) : (
            <Notice>{sampleTexts.noLibrary}</Notice>
          )}
        </section>
        <section>
          <Head>
            <h3>{sampleTexts.asked}</h3>
            {labels.length > 0 && (
              <Button kind="quiet" onPress={() => window.print()}>
                {sampleTexts.labels}
              </Button>
            )}
          </Head>
          {plant.samples.length === 0 && <p>{sampleTexts.none}</p>}
          {plant.samples.map((sample) => (
            <SampleEntry
              key={sample.id}
              caseNumber={record.number}
              plant={plant}
              sample={sample}
              shelf={shelf}
            />
          ))}
        </section>
      </Halves>
    </WidePanel>
  );
}
