import { caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { followTexts } from '../../texts/followTexts.ts';
import { sampleTexts } from '../../texts/sampleTexts.ts';
import { labelTexts } from '../../texts/labelTexts.ts';
import { entryTexts } from '../../texts/entryTexts.ts';
import { sheetTexts } from '../../texts/sheetTexts.ts';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { styled } from 'styled-components';
import type { CasePlant, CaseRecord } from '../../../contracts/cases.ts';
import { newId } from '../../../contracts/ids.ts';
import { plantIdSchema, type PlantId } from '../../../core/schema/common.ts';
import { Button } from '../../kit/Button.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { PanelBoundary } from '../../kit/PanelBoundary.tsx';
import { useRestoredFocus } from '../../kit/useRestoredFocus.ts';
import { useCalmValue } from '../../kit/useCalmValue.ts';
import { useKeys } from '../../kit/useKeys.ts';
import { isPassing } from '../../api/api.ts';
import { loadClinic, loadContacts, loadExperience, loadWeather } from '../../store/actions.ts';
import { caseLeft, caseShown } from '../../store/cases/casesSlice.ts';
import { selectPlant, selectRecord } from '../../store/cases/selectors.ts';
import { loadCase, showWithout } from '../../store/page.ts';
import { useCan } from '../../store/useCan.ts';
import { store, useAppDispatch, useAppSelector } from '../../store/store.ts';
import { AddFinding } from './AddFinding.tsx';
import { AdvicePanel } from './AdvicePanel.tsx';
import { AskPanel } from './AskPanel.tsx';
import { CaseNotes } from './CaseNotes.tsx';
import { CausesPanel } from './CausesPanel.tsx';
import { DatesPanel } from './dates/DatesPanel.tsx';
import { FinishDialog } from './FinishDialog.tsx';
import { HeardPanel } from './HeardPanel.tsx';
import { Column, Columns } from './common/layout.ts';
import { LabelPanel } from './label/LabelPanel.tsx';
import { PlantTabs } from './PlantTabs.tsx';
import { FollowPanel } from './follow/FollowPanel.tsx';
import { SamplePanel } from './samples/SamplePanel.tsx';
import { SheetPanel } from './sheet/SheetPanel.tsx';
import { ReleaseBar } from './ReleaseBar.tsx';
import { SoundingLine } from './SoundingLine.tsx';
import { UrgentBar } from './UrgentBar.tsx';
import { CaseHeader } from './CaseHeader.tsx';
import { CaseContext, useRecordEvent } from './common/useCase.ts';
import { useAssignWhenNew } from './common/useAssignWhenNew.ts';
import { useBeside, useShownPlant, type Beside } from './common/useCaseAddress.ts';

const Page = styled.main`
  display: grid;
  grid-template: auto auto auto auto minmax(0, 1fr) / minmax(0, 1fr);
  min-height: 0;
`;
const Notes = styled.div`
  grid-row: 3;
`;
const Work = styled.div`
  grid-row: 5;
  display: grid;
  min-height: 0;
`;
const Alone = styled.main`
  padding: 32px;
`;

/** A case that could not be read for a reason that passes is asked for again so much later, in milliseconds. */
const PAUSE_BEFORE_RETRY_MS = 2500;

/** Shows a case on this page; `round` counts the tries. */
function useCaseLoaded(id: string, round: number): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    dispatch(caseShown(id));
    void loadCase(id);
    void loadExperience(dispatch);
    void loadWeather(dispatch);
    void loadContacts(dispatch);
    if (store.getState().desk.clinic === null) void loadClinic(dispatch);
    return () => void dispatch(caseLeft(id));
  }, [dispatch, id, round]);
}

/** Words that are selected in the enquirer's text, as far as a phrase may be long. */
function selectedWords(): string {
  const box = document.getElementById('words');
  if (!(box instanceof HTMLTextAreaElement)) return '';
  return box.value.slice(box.selectionStart, box.selectionEnd).trim().slice(0, MAX_PHRASE);
}
const MAX_PHRASE = 200;

function hostOf(id: string | null): PlantId | null {
  const read = plantIdSchema.safeParse(id);
  return read.success ? read.data : null;
}

/** One enquiry: hear, narrow, advise, on one page. */
export function CasePage() {
  const { id = '' } = useParams();
  const [round, setRound] = useState(0);
  const record = useAppSelector((state) => selectRecord(state, id));
  const plant = useAppSelector((state) => selectPlant(state, id));
  const failed = useAppSelector(({ cases }) => (cases.failed?.caseId === id ? cases.failed : null));
  useCaseLoaded(id, round);
  const again = failed !== null && isPassing(failed.problem);
  useEffect(() => {
    if (!again) return undefined;
    const timer = setTimeout(() => setRound(round + 1), PAUSE_BEFORE_RETRY_MS);
    return () => clearTimeout(timer);
  }, [again, round]);
  useEffect(() => {
    document.title = record ? caseTexts.caseTitle(record.number) : caseTexts.openingTitle;
  }, [record]);
  if (record && plant)
    return (
      <CaseContext value={id} key={id}>
        <OpenCase record={record} plant={plant} />
      </CaseContext>
    );
  return (
    <Alone>
      {failed ? (
        <Notice tone="caution">
          {failed.problem.message} {failed.problem.cure}{' '}
          <Button onPress={() => setRound(round + 1)}>{commonTexts.tryAgain}</Button>{' '}
          <Link to="/">{caseTexts.toTheDesk}</Link>
        </Notice>
      ) : (
        <Notice>{caseTexts.openingTheCase}</Notice>
      )}
    </Alone>
  );
}

interface OpenCaseProps {
  readonly record: CaseRecord;
  readonly plant: CasePlant;
}

function OpenCase({ record, plant }: OpenCaseProps) {
  const caseId = record.id;
  const happen = useRecordEvent();
  const writes = useCan('cases.write');
  const page = useRef<HTMLElement>(null);
  const [beside, setBeside] = useBeside();
  const turnTo = (panel: Beside): void => setBeside(beside === panel ? 'causes' : panel);
  const [finishing, setFinishing] = useState(false);
  const [adding, setAdding] = useState<string | null>(null);
  const consulted = useAppSelector(({ cases }) => cases.consulted);
  const without = useAppSelector(({ cases }) => cases.without);
  const problem = useAppSelector(({ cases }) => cases.consultProblem);
  const isHere = consulted?.caseId === caseId && consulted.plantId === plant.id;
  const answer = isHere ? consulted.response : null;
  const calm = useCalmValue(answer, plant.words, plant.id);
  const show = useShownPlant(record, plant);
  useAssignWhenNew(record);
  useRestoredFocus(page, () => document.getElementById('words'));
  const addPlant = (): void => {
    const plantId = newId();
    happen({ kind: 'plant-added', plantId });
    show(plantId);
  };
  const addFinding = (): void => setAdding(selectedWords());
  useKeys({
    'alt+s': addFinding,
    'alt+t': () => turnTo('dates'),
    'alt+l': () => turnTo('sheet'),
    'alt+r': () => turnTo('label'),
    'alt+m': () => turnTo('samples'),
    'alt+o': () => turnTo('follow'),
    'alt+w': () => document.getElementById('words')?.focus(),
    'alt+p': addPlant,
    'alt+f': () => writes && record.status !== 'closed' && setFinishing(true),
    escape: () => setBeside('causes'),
  });
  const panelKey = `${plant.id} ${answer ? 'answered' : ''} ${plant.words.length}`;
  return (
    <Page ref={page}>
      <PlantTabs
        record={record}
        active={plant.id}
        answer={answer}
        onShow={show}
        onAdd={addPlant}
        onFollow={() => turnTo('follow')}
      />
      <CaseHeader
        record={record}
        plant={plant}
        answer={answer}
        onFinish={() => setFinishing(true)}
      />
      <Notes>
        <CaseNotes record={record} />
        <ReleaseBar record={record} />
        {!writes && <Notice>{entryTexts.readOnly}</Notice>}
      </Notes>
      {answer?.urgent && <UrgentBar plant={plant} urgent={answer.urgent} />}
      <Work>
        <Columns>
          <PanelBoundary name={caseTexts.whatWasHeard} resetKey={panelKey}>
            <HeardPanel plant={plant} answer={answer} key={plant.id} onAdd={addFinding} />
          </PanelBoundary>
          <PanelBoundary name={caseTexts.theLineOfEvidence} resetKey={panelKey}>
            <SoundingLine
              plant={plant}
              answer={calm}
              onPoint={(finding) => void showWithout(caseId, finding)}
            />
          </PanelBoundary>
          {beside === 'sheet' && answer ? (
            <PanelBoundary name={sheetTexts.sheetToTakeAlong} resetKey={panelKey}>
              <SheetPanel
                record={record}
                plant={plant}
                answer={answer}
                onClose={() => setBeside('causes')}
              />
            </PanelBoundary>
          ) : beside === 'samples' ? (
            <PanelBoundary name={sampleTexts.title} resetKey={panelKey}>
              <SamplePanel
                record={record}
                plant={plant}
                answer={answer}
                onClose={() => setBeside('causes')}
              />
            </PanelBoundary>
          ) : beside === 'follow' ? (
            <PanelBoundary name={followTexts.title} resetKey={panelKey}>
              <FollowPanel
                record={record}
                plant={plant}
                answer={answer}
                onClose={() => setBeside('causes')}
              />
            </PanelBoundary>
          ) : beside === 'label' && answer ? (
            <PanelBoundary name={labelTexts.title} resetKey={panelKey}>
              <LabelPanel plant={plant} key={plant.id} onClose={() => setBeside('causes')} />
            </PanelBoundary>
          ) : beside === 'dates' && answer ? (
            <PanelBoundary name={caseTexts.datesPanel} resetKey={panelKey}>
              <DatesPanel
                caseId={caseId}
                plant={plant}
                answer={answer}
                onClose={() => setBeside('causes')}
              />
            </PanelBoundary>
          ) : (
            <>
              <PanelBoundary name={caseTexts.theListOfCauses} resetKey={panelKey}>
                <CausesPanel
                  answer={calm}
                  without={isHere && without ? without.response : null}
                  problem={problem}
                />
              </PanelBoundary>
              <Column aria-label={caseTexts.questionsAndAdvice}>
                <PanelBoundary name={caseTexts.theNextQuestion} resetKey={panelKey}>
                  <AskPanel plant={plant} answer={calm} />
                </PanelBoundary>
                <PanelBoundary name={caseTexts.theAdvice} resetKey={panelKey}>
                  <AdvicePanel
                    answer={calm}
                    closed={record.status === 'closed' && plant.closingAnswer !== null}
                    plant={plant}
                    onLabel={() => setBeside('label')}
                    onDates={() => setBeside('dates')}
                    onSheet={() => setBeside('sheet')}
                    onSamples={() => setBeside('samples')}
                  />
                </PanelBoundary>
              </Column>
            </>
          )}
        </Columns>
      </Work>
      {adding !== null && (
        <AddFinding
          plant={plant}
          host={hostOf(plant.plant ?? answer?.plant?.id ?? null)}
          said={adding}
          onClose={() => setAdding(null)}
        />
      )}
      <FinishDialog
        record={record}
        answer={answer}
        open={finishing}
        onClose={() => setFinishing(false)}
        onSamples={() => setBeside('samples')}
      />
    </Page>
  );
}
