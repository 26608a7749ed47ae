import { render, type RenderResult } from '@testing-library/react';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { answerConsult } from '../application/answerConsult.ts';
import type { CasePlant, CaseRecord } from '../contracts/cases.ts';
import type { ConsultResponse } from '../contracts/consult.ts';
import { createConsultant } from '../core/consult/consult.ts';
import { caseLoaded } from '../web/store/cases/casesSlice.ts';
import { selectRecord } from '../web/store/cases/selectors.ts';
import { sessionRead } from '../web/store/session/sessionSlice.ts';
import { store } from '../web/store/store.ts';
import { CaseContext } from '../web/screens/case/common/useCase.ts';
import { OPENED_CASE } from './caseRecord.ts';
import { miniLibrary } from './miniLibrary.ts';

// React Aria asks for it, the simulated browser has none; ids of these tests need no escaping.
Object.assign(globalThis, { CSS: { escape: (text: string) => text } });

const finding = (id: string, label: string, phrase: string) => ({
  id,
  extra: { label, question: `Are there ${label.toLowerCase()}?`, phrases: [phrase] },
});

/** Two causes of spots on a fern, told apart by rings and by fuzz. */
const SPOTS = miniLibrary(
  [
    finding('spots', 'Spots', 'spots'),
    finding('rings', 'Rings', 'rings'),
    finding('fuzz', 'Fuzz', 'fuzz'),
  ],
  [
    {
      id: 'ring-spot',
      findings: { spots: 'always', rings: 'usual' },
      extra: { treatments: [{ use: 'pick', effect: 'strong' }] },
    },
    {
      id: 'gray-spot',
      findings: { spots: 'always', fuzz: 'usual' },
      extra: { treatments: [{ use: 'dry', effect: 'strong' }] },
    },
  ],
  {
    'treatments/t.yaml': [
      ['pick', 'Pick off the fronds'],
      ['dry', 'Let it dry'],
    ].map(([id, name]) => ({ id, name, rung: 'hand', text: `${name}.`, source: 'judgement' })),
  },
);

/** Whoever works the panels. */
const ADVISOR = {
  id: '9e0a7d1c-0000-4000-8000-000000000002',
  name: 'Some advisor',
  role: 'advisor',
  clinicId: 1,
} as const;
const [FERN] = OPENED_CASE.plants;

/** A plant of the opened case with these words, and the consultant's own answer on them. */
export function spottedFern(
  words: string,
  change: Partial<CasePlant> = {},
): { readonly plant: CasePlant; readonly answer: ConsultResponse } {
  if (!FERN) throw new Error('the opened case has no plant');
  const plant = { ...FERN, words, plant: 'fern', ...change };
  const answer = answerConsult(SPOTS, createConsultant(SPOTS), {
    words,
    ...(plant.plant !== null && { plant: plant.plant }),
    date: plant.date,
    place: plant.place,
    answers: plant.answers.map(({ finding: about, value, sure }) => ({
      finding: about,
      value,
      sure,
    })),
  });
  if (!answer.ok) throw new Error(answer.error.message);
  return { plant, answer: answer.value };
}

interface Shown extends RenderResult {
  /** The case as the page holds it now, with what was done in the panel. */
  readonly record: () => CaseRecord;
}

/** Draws a panel of a case whose record the page has loaded. */
export function showPanel(panel: ReactElement, change: Partial<CaseRecord> = {}): Shown {
  const record = { ...OPENED_CASE, ...change };
  store.dispatch(sessionRead({ person: ADVISOR, demo: [], firstRun: false, spelling: null }));
  store.dispatch(caseLoaded({ record, pending: [], refused: [] }));
  const drawn = render(
    <Provider store={store}>
      <MemoryRouter>
        <CaseContext value={record.id}>{panel}</CaseContext>
      </MemoryRouter>
    </Provider>,
  );
  return {
    ...drawn,
    record: () => {
      const now = selectRecord(store.getState(), record.id);
      if (!now) throw new Error('the case is gone');
      return now;
    },
  };
}
