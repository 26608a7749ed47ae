import { useState } from 'react';
import { styled } from 'styled-components';
import { MAX_CHARACTERS } from '../../../../contracts/consult.ts';
import type { CasePlant } from '../../../../contracts/cases.ts';
import {
  MAX_REPORT,
  RESULT_KINDS,
  type ResultKind,
  type Sample,
  type SampleChange,
} from '../../../../contracts/samples.ts';
import { storableText } from '../../../../contracts/storableText.ts';
import type { SampleSort } from '../../../../core/schema/sampleKind.ts';
import { reportInWords } from '../../../../wording/samples.ts';
import { CauseChooser } from '../../../choosers/CauseChooser.tsx';
import { Button } from '../../../kit/Button.tsx';
import { shortDate } from '../../../kit/dates.ts';
import { CharactersLeft, Choices, Paper } from '../../../kit/fields.tsx';
import { useDraft } from '../../../kit/useDraft.ts';
import type { LibraryIndex } from '../../../library/libraryIndex.ts';
import { useAppSelector } from '../../../store/store.ts';
import { sampleTexts } from '../../../texts/sampleTexts.ts';
import { Quietly } from '../common/layout.ts';
import { useRecordEvent } from '../common/useCase.ts';
import { resultLine } from '../../../library/resultLine.ts';
import { causeName } from '../../../library/causeName.ts';

const Area = styled.div`
  padding-top: 10px;
`;
const Text = styled(Paper)`
  min-height: 60px;
  margin-top: 6px;
`;
const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
`;
const Said = styled.p`
  white-space: pre-wrap;
  overflow-wrap: anywhere;
`;

const KINDS = RESULT_KINDS.map((id) => ({ id, text: sampleTexts.resultKinds[id] }));

interface SampleResultProps {
  readonly plant: CasePlant;
  readonly number: string;
  readonly sample: Sample;
  readonly sort: SampleSort;
  readonly shelf: LibraryIndex | null;
  readonly onChange: (change: SampleChange) => void;
}

/** What the laboratory answered: shown where it is known, asked for where it is not. */
export function SampleResult(props: SampleResultProps) {
  return props.sample.result === null ? <Answering {...props} /> : <Answered {...props} />;
}

function Answering({ plant, number, sample, sort, shelf, onChange }: SampleResultProps) {
  const happen = useRecordEvent();
  const today = useAppSelector((state) => state.desk.clinic?.today ?? plant.date);
  const draft = useDraft(`sample.${sample.id}`);
  const [kind, setKind] = useState<ResultKind | ''>(sort === 'specimen' ? '' : 'report');
  const [cause, setCause] = useState(sample.suspects[0] ?? '');
  const about = [...new Set([...sample.suspects, cause])].filter((id) => id !== '');
  const isWhole = kind === 'report' ? draft.text.trim() !== '' : kind !== '' && cause !== '';
  const keep = (): void => {
    if (kind === '') return;
    const found = kind === 'report' ? null : cause;
    onChange({ result: { on: today, kind, cause: found, text: draft.text } });
    draft.forget();
    if (kind === 'found')
      happen({
        kind: 'outcome-set',
        plantId: plant.id,
        outcome: { cause, confirmed: 'laboratory', on: today },
      });
  };
  return (
    <Area>
      <Two>
        <Choices<ResultKind | ''>
          label={sampleTexts.result}
          value={kind}
          choices={KINDS}
          onChange={setKind}
        />
        {(kind === 'found' || kind === 'not-found') && (
          <div>
            <Choices
              label={sampleTexts.about}
              value={cause}
              choices={about.map((id) => ({ id, text: causeName(id, shelf) }))}
              onChange={setCause}
            />
            <CauseChooser shelf={shelf} onChoose={setCause} />
          </div>
        )}
      </Two>
      {kind !== '' && (
        <>
          <Text
            aria-label={`${sampleTexts.resultText} ${number}`}
            placeholder={sampleTexts.resultText}
            maxLength={MAX_REPORT}
            value={draft.text}
            onChange={({ target }) => draft.take(storableText(target.value.slice(0, MAX_REPORT)))}
          />
          <CharactersLeft used={draft.text.length} max={MAX_REPORT} />
          <Button kind="main" isDisabled={!isWhole} onPress={keep}>
            {sampleTexts.keepResult}
          </Button>
        </>
      )}
    </Area>
  );
}

function Answered({ plant, number, sample, sort, shelf, onChange }: SampleResultProps) {
  const happen = useRecordEvent();
  const { result } = sample;
  if (!result) return null;
  const report = reportInWords(number, sort, result.text);
  const standsInWords = plant.words.includes(report);
  const room = plant.words.length + report.length < MAX_CHARACTERS;
  const readIn = (): void => {
    const at = plant.words.length;
    const insert = at === 0 ? report : `\n${report}`;
    happen({ kind: 'words-edited', plantId: plant.id, edits: [{ at, remove: '', insert }] });
  };
  const takeBack = (): void => {
    onChange({ result: null });
    const { outcome } = plant;
    const proved = result.kind === 'found' && outcome?.confirmed === 'laboratory';
    if (proved && outcome.cause === result.cause)
      happen({ kind: 'outcome-set', plantId: plant.id, outcome: null });
  };
  return (
    <Area>
      <p>
        <b>{resultLine(sample, shelf)}</b>{' '}
        <Quietly>{sampleTexts.answeredOn(shortDate(result.on, plant.date))}</Quietly>
      </p>
      {result.text !== '' && <Said>{result.text}</Said>}
      {result.kind === 'report' && !standsInWords && (
        <p>
          <Button isDisabled={!room} onPress={readIn}>
            {sampleTexts.intoWords}
          </Button>{' '}
          <Quietly>{sampleTexts.intoWordsWhat}</Quietly>
        </p>
      )}
      <Quietly>
        {result.kind === 'report' ? standsInWords && sampleTexts.inWords : sampleTexts.counts}
      </Quietly>{' '}
      <Button kind="quiet" onPress={takeBack}>
        {sampleTexts.takeBack}
      </Button>
    </Area>
  );
}
