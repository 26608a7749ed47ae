import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { applyCaseEvent } from '../../contracts/applyCaseEvent.ts';
import type { CaseEvent, CasePlant, CaseRecord, ClinicExperience } from '../../contracts/cases.ts';
import type { ConsultRequest, ConsultResponse, Seen } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import { addToOutbox } from './outbox.ts';

/** Where the changes of the open case stand. */
export type Saving = 'saved' | 'saving' | 'kept-here' | 'refused';

interface CaseState {
  /** The case as the server last confirmed it. */
  readonly confirmed: CaseRecord | null;
  /** Events on top of it, in order. */
  readonly outbox: readonly CaseEvent[];
  /** How many events of the outbox are on their way. */
  readonly sending: number;
  readonly saving: Saving;
  readonly problem: Problem | null;
  readonly activePlant: string;
  readonly consultation: ConsultResponse | null;
  /** Ranking without one piece of evidence, while the advisor points at it. */
  readonly without: { readonly finding: string; readonly consultation: ConsultResponse } | null;
}

const initialState: CaseState = {
  confirmed: null,
  outbox: [],
  sending: 0,
  saving: 'saved',
  problem: null,
  activePlant: 'plant-1',
  consultation: null,
  without: null,
};

const slice = createSlice({
  name: 'case',
  initialState,
  reducers: {
    caseLeft: () => initialState,
    caseLoaded: (
      _state,
      { payload }: PayloadAction<{ record: CaseRecord; outbox: readonly CaseEvent[] }>,
    ): CaseState => ({
      ...initialState,
      confirmed: payload.record,
      outbox: payload.outbox,
      saving: payload.outbox.length > 0 ? 'kept-here' : 'saved',
      activePlant: payload.record.plants[0]?.id ?? 'plant-1',
    }),
    loadFailed: (_state, { payload }: PayloadAction<Problem>): CaseState => ({
      ...initialState,
      problem: payload,
    }),
    eventHappened: (state, { payload }: PayloadAction<CaseEvent>): CaseState => ({
      ...state,
      outbox: addToOutbox(state.outbox, payload, state.sending),
      saving: 'saving',
    }),
    sendingStarted: (state): CaseState => ({
      ...state,
      sending: state.outbox.length,
      saving: 'saving',
    }),
    sendingDone: (state, { payload }: PayloadAction<CaseRecord>): CaseState => {
      const rest = state.outbox.slice(state.sending);
      return {
        ...state,
        confirmed: payload,
        outbox: rest,
        sending: 0,
        problem: null,
        saving: rest.length > 0 ? 'saving' : 'saved',
      };
    },
    /** Another window was faster: our events go on top of what stands now. */
    rebased: (state, { payload }: PayloadAction<CaseRecord>): CaseState => ({
      ...state,
      confirmed: payload,
      sending: 0,
    }),
    sendingFailed: (
      state,
      { payload }: PayloadAction<{ problem: Problem; refused: boolean }>,
    ): CaseState => ({
      ...state,
      sending: 0,
      problem: payload.problem,
      saving: payload.refused ? 'refused' : 'kept-here',
    }),
    plantShown: (state, { payload }: PayloadAction<string>): CaseState => ({
      ...state,
      activePlant: payload,
      consultation: null,
      without: null,
    }),
    consulted: (state, { payload }: PayloadAction<ConsultResponse>): CaseState => ({
      ...state,
      consultation: payload,
      without: null,
    }),
    withoutShown: (state, { payload }: PayloadAction<CaseState['without']>): CaseState => ({
      ...state,
      without: payload,
    }),
  },
});

export const {
  caseLeft,
  caseLoaded,
  consulted,
  eventHappened,
  loadFailed,
  plantShown,
  rebased,
  sendingDone,
  sendingFailed,
  sendingStarted,
  withoutShown,
} = slice.actions;
export const caseReducer = slice.reducer;

interface WithCase {
  readonly case: CaseState;
  readonly desk: { readonly experience: ClinicExperience | null };
}

/** The case with everything that was done, confirmed or not. */
export const selectRecord = createSelector(
  (state: WithCase) => state.case.confirmed,
  (state: WithCase) => state.case.outbox,
  (confirmed, outbox) => (confirmed ? outbox.reduce<CaseRecord>(applyCaseEvent, confirmed) : null),
);

/** The plant whose tab is open. */
export const selectPlant = createSelector(
  selectRecord,
  (state: WithCase) => state.case.activePlant,
  (record, active): CasePlant | null =>
    record?.plants.find(({ id }) => id === active) ?? record?.plants[0] ?? null,
);

const NOTHING_SEEN: readonly Seen[] = [];

/** The clinic's confirmed cases while learning is switched on. */
const selectSeen = ({ desk }: WithCase): readonly Seen[] =>
  desk.experience?.learning === true ? desk.experience.seen : NOTHING_SEEN;

/** What the consultant is asked about the open plant. */
export const selectRequest = createSelector(
  selectPlant,
  selectRecord,
  selectSeen,
  (plant, record, seen): ConsultRequest | null => {
    if (!plant || !record) return null;
    const { words, date, place, approach, answers } = plant;
    const experience = [...seen];
    const base = { words, date, place, approach, answers, channel: record.channel, experience };
    return plant.plant === null ? base : { ...base, plant: plant.plant };
  },
);
