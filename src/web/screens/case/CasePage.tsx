import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { styled } from 'styled-components';
import { plantIdSchema, type PlantId } from '../../../core/knowledge/schema/common.ts';
import { Notice } from '../../kit/Notice.tsx';
import { useKeys } from '../../kit/useKeys.ts';
import { loadCase, loadDesk, loadExperience, loadWeather } from '../../store/actions.ts';
import { caseLeft, plantShown, selectPlant, selectRecord } from '../../store/caseSlice.ts';
import { showWithout } from '../../store/consulting.ts';
import { store, useAppDispatch, useAppSelector } from '../../store/store.ts';
import { AddFinding } from './AddFinding.tsx';
import { AdvicePanel } from './AdvicePanel.tsx';
import { AskPanel } from './AskPanel.tsx';
import { CausesPanel } from './CausesPanel.tsx';
import { DatesPanel } from './dates/DatesPanel.tsx';
import { HeardPanel } from './HeardPanel.tsx';
import { KeysDialog } from './KeysDialog.tsx';
import { Column, Columns } from './layout.ts';
import { PlantTabs } from './PlantTabs.tsx';
import { SoundingLine } from './SoundingLine.tsx';
import { Strip } from './Strip.tsx';
import { useHappen } from './useCase.ts';

const Page = styled.main`
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  min-height: 0;
`;
const Alone = styled.main`
  padding: 32px;
`;

function useCaseLoaded(id: string | undefined): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (id === undefined) return undefined;
    void loadCase(dispatch, id);
    void loadExperience(dispatch);
    void loadWeather(dispatch);
    if (store.getState().desk.clinic === null) void loadDesk(dispatch, false);
    return () => void dispatch(caseLeft());
  }, [dispatch, id]);
}

/** Words that are selected in the enquirer's text, as far as a phrase may be long. */
function selectedWords(): string {
  const box = document.getElementById('words');
  if (!(box instanceof HTMLTextAreaElement)) return '';
  return box.value.slice(box.selectionStart, box.selectionEnd).trim().slice(0, LONGEST_PHRASE);
}
const LONGEST_PHRASE = 200;

function hostOf(id: string | null): PlantId | null {
  const read = plantIdSchema.safeParse(id);
  return read.success ? read.data : null;
}

/** One enquiry: hear, narrow, advise, on one page. */
export function CasePage() {
  const { id } = useParams();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const happen = useHappen();
  const [keysShown, setKeysShown] = useState(false);
  const [dates, setDates] = useState(false);
  const [adding, setAdding] = useState<string | null>(null);
  const record = useAppSelector(selectRecord);
  const plant = useAppSelector(selectPlant);
  const { consultation, without, problem } = useAppSelector((state) => state.case);
  useCaseLoaded(id);
  useEffect(() => {
    document.title = record ? `Case ${record.number} - Sounding` : 'Case - Sounding';
  }, [record]);
  const addPlant = (): void => {
    const plantId = `plant-${(record?.plants.length ?? 0) + 1}`;
    happen({ kind: 'plant-added', plantId });
    dispatch(plantShown(plantId));
  };
  const addFinding = (): void => setAdding(selectedWords());
  useKeys({
    'alt+s': addFinding,
    'alt+t': () => setDates(!dates),
    '?': () => setKeysShown(true),
    'alt+w': () => document.getElementById('words')?.focus(),
    'alt+p': addPlant,
    'alt+d': () => void navigate('/'),
  });
  if (!record || !plant) {
    return (
      <Alone>
        {problem ? (
          <Notice tone="caution">
            {problem.message} {problem.cure} <Link to="/">To the Desk</Link>
          </Notice>
        ) : (
          <Notice>Opening the case.</Notice>
        )}
      </Alone>
    );
  }
  return (
    <Page>
      <PlantTabs
        record={record}
        active={plant.id}
        answer={consultation}
        onShow={(to) => dispatch(plantShown(to))}
        onAdd={addPlant}
      />
      <Strip record={record} plant={plant} answer={consultation} />
      <Columns>
        <HeardPanel plant={plant} answer={consultation} key={plant.id} onAdd={addFinding} />
        <SoundingLine
          plant={plant}
          answer={consultation}
          onPoint={(finding) => void showWithout(store.getState(), finding, dispatch)}
        />
        {dates && consultation ? (
          <DatesPanel
            caseId={record.id}
            plant={plant}
            answer={consultation}
            onClose={() => setDates(false)}
          />
        ) : (
          <>
            <CausesPanel answer={consultation} without={without?.consultation ?? null} />
            <Column aria-label="Questions and advice">
              <AskPanel plant={plant} answer={consultation} />
              <AdvicePanel
                answer={consultation}
                today={plant.date}
                onDates={() => setDates(true)}
              />
            </Column>
          </>
        )}
      </Columns>
      {adding !== null && (
        <AddFinding
          plant={plant}
          host={hostOf(plant.plant ?? consultation?.plant?.id ?? null)}
          said={adding}
          onClose={() => setAdding(null)}
        />
      )}
      <KeysDialog open={keysShown} onClose={() => setKeysShown(false)} />
    </Page>
  );
}
