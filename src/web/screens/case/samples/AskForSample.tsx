import { useMemo, useState } from 'react';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { newId } from '../../../../contracts/ids.ts';
import type { Cause } from '../../../../core/schema/cause.ts';
import type { SampleKind } from '../../../../core/schema/sampleKind.ts';
import { samplesFor } from '../../../../core/advice/samples.ts';
import { Button } from '../../../kit/Button.tsx';
import { FieldLabel, SelectBox } from '../../../kit/fields.tsx';
import { Notice } from '../../../kit/Notice.tsx';
import type { LibraryIndex } from '../../../library/libraryIndex.ts';
import { useAppSelector } from '../../../store/store.ts';
import { sampleTexts } from '../../../texts/sampleTexts.ts';
import { useRecordEvent } from '../common/useCase.ts';

const Guide = styled.dl`
  display: grid;
  grid-template-columns: 48px 1fr;
  gap: 6px 10px;
  margin: 10px 0;
  & dt {
    color: var(--quiet);
    font-size: 13px;
  }
  & dd {
    margin: 0;
  }
  & li + li {
    padding-top: 3px;
  }
`;
const Said = styled.p`
  padding-bottom: 6px;
`;
const Wide = styled(SelectBox)`
  width: 100%;
  max-width: none;
`;

/** Causes that a sample is asked to decide between: those that are likely enough to matter. */
const MAX_SUSPECTS = 3;
const LEAST_SHARE = 0.05;

/** The likeliest causes that a sample could decide about. */
function suspectsOf(answer: ConsultResponse | null, shelf: LibraryIndex): readonly Cause[] {
  return (answer?.causes ?? [])
    .filter(({ probability }) => probability >= LEAST_SHARE)
    .flatMap(({ id }) => shelf.causes.get(id) ?? [])
    .slice(0, MAX_SUSPECTS);
}

/** Kinds of sample for several causes: those of the likeliest first, each once. */
function kindsFor(causes: readonly Cause[], { library }: LibraryIndex): readonly SampleKind[] {
  const findings = new Map(library.findings.map((finding) => [finding.id, finding]));
  const { sampleKinds } = library;
  return [...new Set(causes.flatMap((cause) => samplesFor(cause, { findings, sampleKinds })))];
}

interface AskForSampleProps {
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
  readonly shelf: LibraryIndex;
}

/** What to take for what is suspected now, ready to read aloud, and the act of asking for it. */
export function AskForSample({ plant, answer, shelf }: AskForSampleProps) {
  const happen = useRecordEvent();
  const today = useAppSelector((state) => state.desk.clinic?.today ?? plant.date);
  const suspects = useMemo(() => suspectsOf(answer, shelf), [answer, shelf]);
  const kinds = useMemo(() => kindsFor(suspects, shelf), [suspects, shelf]);
  const [chosen, setChosen] = useState<string | null>(null);
  const kind = kinds.find(({ id }) => id === chosen) ?? kinds[0];
  if (!kind) return <Notice>{sampleTexts.nothingToSend}</Notice>;
  const ask = (): void =>
    void happen({
      kind: 'sample-asked',
      plantId: plant.id,
      sample: {
        id: newId(),
        kind: kind.id,
        suspects: suspects.map(({ id }) => id),
        askedOn: today,
        sentOn: null,
        laboratory: '',
        dueOn: null,
        cost: null,
        result: null,
      },
    });
  const confirms = suspects.flatMap(({ id, name, confirm }) =>
    confirm === undefined ? [] : [{ id, name, confirm }],
  );
  return (
    <>
      <Said>{sampleTexts.forCauses(suspects.map(({ name }) => name).join(', '))}</Said>
      {confirms.map(({ id, name, confirm }) => (
        <Said key={id}>
          <b>{name}.</b> {confirm}
        </Said>
      ))}
      <label>
        <FieldLabel elementType="span">{sampleTexts.kind}</FieldLabel>
        <Wide value={kind.id} onChange={({ target }) => setChosen(target.value)}>
          {kinds.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Wide>
      </label>
      <Guide>
        <dt>{sampleTexts.take}</dt>
        <dd>
          <Lines lines={kind.take} />
        </dd>
        <dt>{sampleTexts.pack}</dt>
        <dd>
          <Lines lines={kind.pack} />
        </dd>
        <dt>{sampleTexts.send}</dt>
        <dd>
          {kind.send} {sampleTexts.wait(...kind.days)}
        </dd>
      </Guide>
      <Button kind="main" onPress={ask}>
        {sampleTexts.ask}
      </Button>
    </>
  );
}

function Lines({ lines }: { readonly lines: readonly string[] }) {
  return (
    <ul>
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}
