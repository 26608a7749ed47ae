import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { applyCaseEvent } from '../../contracts/applyCaseEvent.ts';
import type {
  CaseEvent,
  CasePlant,
  CaseRecord,
  Clinic,
  ClinicExperience,
} from '../../contracts/cases.ts';
import type { ConsultRequest, ConsultResponse, Seen } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { ClinicWeather } from '../../contracts/weather.ts';
import { distanceKm } from '../../core/timing/climate.ts';
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
  readonly desk: {
    readonly experience: ClinicExperience | null;
    readonly weather: ClinicWeather | null;
    readonly clinic: Clinic | null;
  };
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

/** As far as this from the clinic its station tells the weather of a garden: our own estimate. */
const STATION_REACHES_KM = 60;
/** Days before the case that are told: more than a gardening year. */
const DAYS_TOLD = 400;
const NO_WEATHER: ConsultRequest['weather'] = [];

/** The station's days before a day, where a garden lies near the clinic. */
function stationDays(
  { weather, clinic }: WithCase['desk'],
  place: CasePlant['place'] | undefined,
  before: string | undefined,
): ConsultRequest['weather'] {
  if (!place || before === undefined || !weather || !clinic) return NO_WEATHER;
  if (distanceKm(place, clinic.place) > STATION_REACHES_KM) return NO_WEATHER;
  return weather.days.filter(({ day }) => day < before).slice(-DAYS_TOLD);
}

/** The station's days up to the day of the call. */
const selectWeather = createSelector(
  (state: WithCase) => state.desk,
  (state: WithCase) => selectPlant(state)?.place,
  (state: WithCase) => selectPlant(state)?.date,
  stationDays,
);

/** The clinic's day with the station's days up to it, from which a plan is dated on. */
export const selectNow = createSelector(
  (state: WithCase) => state.desk,
  (state: WithCase) => selectPlant(state)?.place,
  (state: WithCase) => selectPlant(state)?.date,
  (desk, place, called) => {
    const today = desk.clinic?.today ?? called ?? '';
    const weather = stationDays(desk, place, today);
    return {
      today,
      weather,
      simulated: weather.length > 0 && desk.weather?.source === 'simulated',
    };
  },
);

/** What the consultant is asked about the open plant. */
export const selectRequest = createSelector(
  selectPlant,
  selectRecord,
  selectSeen,
  selectWeather,
  (plant, record, seen, weather): ConsultRequest | null => {
    if (!plant || !record) return null;
    const { words, date, place, approach, answers } = plant;
    const experience = [...seen];
    const { channel } = record;
    const base = { words, date, place, approach, answers, channel, experience, weather };
    return plant.plant === null ? base : { ...base, plant: plant.plant };
  },
);
